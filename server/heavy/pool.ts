import { availableParallelism } from 'node:os'
import { Tinypool } from 'tinypool'
import { ok, refuse } from '#core/base'
import type { ComputeRefusal, Result } from '#core/base'
import type { Heavy, JobName, Outputs, Task } from '#usecases/ground/heavy'
import { Turns } from './turns'

/**
 * So long, from when it begins, and with so much memory, a job may take; so many may wait, and so many of one person.
 */
export const HEAVY_LIMITS = { seconds: 1.5, megabytes: 192, waiting: 60, waitingOfOne: 6 }
/** Whole textbooks take their time: as many times as long. */
const LONGER: Partial<Record<JobName, number>> = { shelfFile: 6 }
/** One thread is left for short jobs while a long one runs; one processor for answering, where there are more. */
const THREADS = Math.max(2, Math.min(4, availableParallelism() - 1))

/** Worker threads for heavy jobs; what a request no longer waits for is ended together with its thread. */
export interface HeavyPool {
  /** For one request, which may go away, and whoever asks it; null: the server itself. */
  readonly until: (gone: AbortSignal | null, who?: string | null) => Heavy
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
    maxThreads: THREADS,
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: limits.megabytes, maxYoungGenerationSizeMb: 32 },
  })

  const turns = new Turns({ ...limits, atOnce: THREADS, longAtOnce: THREADS - 1 })

  // the next job gets a new thread; without anybody listening it would end the process
  pool.on('error', onLost)

  async function run<N extends JobName>(
    task: Task<N>,
    who: string | null,
    gone: AbortSignal | null,
  ): Promise<Result<Outputs[N], ComputeRefusal>> {
    const times = LONGER[task.job] ?? 1
    const seconds = limits.seconds * times
    const leave = await turns.take({ who, isLong: times > 1 }, gone)
    if (leave === null)
      return refuse(gone?.aborted ? { code: 'compute/too-much', seconds } : { code: 'compute/busy' })
    const late = AbortSignal.timeout(Math.round(seconds * 1000))
    const signal = gone === null ? late : AbortSignal.any([late, gone])
    try {
      return ok((await pool.run(task, { signal })) as Outputs[N])
    } catch (error) {
      if (signal.aborted || isOutOfMemory(error)) return refuse({ code: 'compute/too-much', seconds })
      throw error
    } finally {
      leave()
    }
  }
  return {
    until: (gone, who = null) => ({ run: (job, ...input) => run({ job, input }, who, gone) }),
    waiting: () => turns.waiting,
    close: () => pool.destroy(),
  }
}

function isOutOfMemory(error: unknown): boolean {
  return (error as { readonly code?: unknown } | null)?.code === 'ERR_WORKER_OUT_OF_MEMORY'
}
