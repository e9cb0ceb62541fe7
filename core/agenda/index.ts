/** A learner’s list, week and folder, made of their work; apart from it, so that their first page brings little. */
export { folderOf, hasCopy } from './folder'
export type { ClassFolder, CopyState, PageCopy } from './folder'
export { inSeries, learnersWeek } from './learnersList'
export type { LearnersDay, LearnersWeek, ListEntry } from './learnersList'
export { byTurn, learnerCards, mayBeOverdue } from './learnerCards'
export type { ListedWork } from './learnerCards'
export { seenTry, seenWhileOpen } from './seenTry'
export type { SeenWhileOpen } from './seenTry'
