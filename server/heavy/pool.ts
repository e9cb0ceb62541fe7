import { availableParallelism } from 'node:os'
import { Tinypool } from 'tinypool'
import { ok, refuse } from '#core/base'
import type { ComputeRefusal, Result } from '#core/base'
import type { Heavy, JobName, Outputs, Task } from '#usecases/ground/heavy'

/** So long, and with so much memory, a job may take; so many may wait. */
export const HEAVY_LIMITS = { seconds: 1.5, megabytes: 192, waiting: 60 }
/** Whole textbooks take their time: as many times as long. */
const LONGER: Partial<Record<JobName, number>> = { shelfFile: 6 }

/** Worker threads for heavy jobs; what a request no longer waits for is ended together with its thread. */
export interface HeavyPool {
  /** For one request, which may go away. */
  readonly until: (gone: AbortSignal | null) => Heavy
  readonly waiting: () => number
  readonly close: () => Promise<void>
}

/**
 * @param workerFile address of the built worker, as a `file:` address
 * @param onLost told of each thread that died while it had no job
 */
export function heavyPool(
  workerFile: string,
  onLost: (error: unknown) => unknown,
  limits = HEAVY_LIMITS,
): HeavyPool {
  const pool = new Tinypool({
    filename: workerFile,
    runtime: 'worker_threads',
    minThreads: 1,
    // one processor at least is left for answering
    maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)),
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: limits.megabytes, maxYoungGenerationSizeMb: 32 },
  })

  // the next job gets a new thread; without anybody listening it would end the process
  pool.on('error', onLost)

  async function run<N extends JobName>(
    task: Task<N>,
    gone: AbortSignal | null,
  ): Promise<Result<Outputs[N], ComputeRefusal>> {
    if (pool.queueSize >= limits.waiting) return refuse({ code: 'compute/busy' })
    const seconds = limits.seconds * (LONGER[task.job] ?? 1)
    const late = AbortSignal.timeout(seconds * 1000)
    const signal = gone === null ? late : AbortSignal.any([late, gone])
    try {
      return ok((await pool.run(task, { signal })) as Outputs[N])
    } catch (error) {
      if (signal.aborted || isOutOfMemory(error)) return refuse({ code: 'compute/too-much', seconds })
      throw error
    }
  }
  return {
    until: (gone) => ({ run: (job, ...input) => run({ job, input }, gone) }),
    waiting: () => pool.queueSize,
    close: () => pool.destroy(),
  }
}

function isOutOfMemory(error: unknown): boolean {
  return (error as { readonly code?: unknown } | null)?.code === 'ERR_WORKER_OUT_OF_MEMORY'
}
