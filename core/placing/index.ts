/** Pieces laid on days for several classes and groups: moved together or alone, taken out, spread over days. */
export { oneADay, staysOf, throughOf } from './days'
export { movedTo, placedDraft, placedFor, takenFrom } from './place'
export type { MeetingDays, PieceToLay } from './place'
export type { PlacingRefusal } from './refusals'
export { MOST_DAYS, MOST_LAID } from './types'
export type { LiesAt, LaidDays, PlacedDays, PlacedStone, ToLay } from './types'
