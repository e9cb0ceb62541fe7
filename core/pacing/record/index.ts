/** What happened in a class, and how far that is from its baseline. */
export { baselineOf, driftOn, driftSeries } from './drift'
export type { DriftPoint } from './drift'
export { recordLesson } from './record'
export type { Happened } from './record'
export { takeBack, takenBackWith } from './takeBack'
