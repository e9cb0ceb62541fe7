import { ok } from '#core/base'
import type { ComputeRefusal, Result } from '#core/base'
import { parseClosures, parseOutline, parsePlanTable, parseRoster } from '#core/formats'
import { ripplesOf } from './pacing/ripples'

/**
 * What somebody else's text or plan may make long: it is never done on the thread that answers everybody. Plain
 * values in, plain values out.
 */
export const HEAVY_JOBS = {
  closures: parseClosures,
  outline: parseOutline,
  planTable: parsePlanTable,
  roster: parseRoster,
  ripples: ripplesOf,
} as const

type Jobs = typeof HEAVY_JOBS
export type JobName = keyof Jobs

/** Runs heavy jobs within a limit of time and memory; refused beyond it, and when too many wait. */
export interface Heavy {
  readonly run: <N extends JobName>(
    job: N,
    ...input: Parameters<Jobs[N]>
  ) => Promise<Result<ReturnType<Jobs[N]>, ComputeRefusal>>
}

/** Heavy jobs where nobody else has to be answered meanwhile, such as while the demo is made. */
export const onThisThread: Heavy = {
  run: async (job, ...input) => ok((HEAVY_JOBS[job] as unknown as (...of: typeof input) => never)(...input)),
}
