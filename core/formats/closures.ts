import type { IsoDay } from '../base'

export interface FoundClosure {
  readonly name: string
  readonly fromOn: IsoDay
  readonly throughOn: IsoDay
}

export const SKIPPED_BECAUSE = [
  'not-all-day',
  'outside-year',
  'no-date',
  'bad-date',
  'repeats-too-often',
  'cancelled',
  'unknown-zone',
  'task',
] as const
/** An event that closes nothing, and why. */
export interface SkippedEvent {
  readonly name: string
  readonly because: (typeof SKIPPED_BECAUSE)[number]
}
/** What a calendar comes to: closures by date, and every other event. */
export interface ClosureReading {
  readonly closures: readonly FoundClosure[]
  readonly skipped: readonly SkippedEvent[]
}
