import { ok } from '#core/base'
import type { ComputeRefusal, Result } from '#core/base'
import {
  fileSortOf,
  parseClosures,
  parseOutline,
  parsePlanTable,
  parseRoster,
  readGivenFile,
} from '#core/formats'
import { ripplesOf } from '#core/knockOn'

const JOBS = {
  closures: parseClosures,
  outline: parseOutline,
  planTable: parsePlanTable,
  roster: parseRoster,
  shelfFile: readGivenFile,
  fileSort: fileSortOf,
  ripples: ripplesOf,
} as const

/**
 * What somebody else's text or plan may make long: it is never done on the thread that answers everybody. Plain
 * values in, plain values out.
 */
export type JobName = keyof typeof JOBS
type Inputs = { readonly [N in JobName]: Parameters<(typeof JOBS)[N]> }
export type Outputs = { readonly [N in JobName]: Awaited<ReturnType<(typeof JOBS)[N]>> }
/** One job with its input, as it is handed to a worker. */
export interface Task<N extends JobName> {
  readonly job: N
  readonly input: Inputs[N]
}

// said so that job, input and output belong together for any one name
const RUN: { readonly [N in JobName]: (...input: Inputs[N]) => Outputs[N] | Promise<Outputs[N]> } = JOBS

/** Does a job here and now. */
export async function doHeavy<N extends JobName>({ job, input }: Task<N>): Promise<Outputs[N]> {
  return RUN[job](...input)
}

/** Runs heavy jobs within a limit of time and memory; refused beyond it, and when too many wait. */
export interface Heavy {
  readonly run: <N extends JobName>(
    job: N,
    ...input: Inputs[N]
  ) => Promise<Result<Outputs[N], ComputeRefusal>>
}

/** Heavy jobs where nobody else has to be answered meanwhile, such as while the demo is made. */
export const onThisThread: Heavy = { run: async (job, ...input) => ok(await doHeavy({ job, input })) }
