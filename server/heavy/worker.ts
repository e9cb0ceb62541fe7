import { HEAVY_JOBS } from '#usecases/heavy'
import type { JobName } from '#usecases/heavy'

/** What the pool hands to a worker: a job's name and its input. */
export interface Task {
  readonly job: JobName
  readonly input: readonly unknown[]
}

/** Runs in a thread of its own; built into a file beside the server. */
export default function work({ job, input }: Task): unknown {
  const run = HEAVY_JOBS[job] as (...input: readonly unknown[]) => unknown
  return run(...input)
}
