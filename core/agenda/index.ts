/** A learner's list and week, made of their work; apart from it, so that their first page brings little along. */
export { inSeries, learnersWeek } from './learnersList'
export type { LearnersDay, LearnersWeek, ListEntry } from './learnersList'
