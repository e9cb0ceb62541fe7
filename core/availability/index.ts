/** Windows, anchors and states: when, and because of what. */
export { movedWindows } from './movedWindows'
export type { MovedWindow } from './movedWindows'
export { OWN_TERMS_PARTS } from './ownTerms'
export type { OwnTerms } from './ownTerms'
export type { AvailabilityRefusal } from './refusals'
export { resolverFor } from './resolveFor'
export type { Resolved, Resolver } from './resolveFor'
export { fromPublishing } from './published'
export { readMoment } from './readMoment'
export type { NamedLesson } from './lessonNames'
export type { CountedFrom, ReadingContext } from './readMoment'
export type { Ground } from './resolveMoment'
export { grownOnly, isInOrder, resolveWindow } from './resolveWindow'
export { LIMIT_FIELDS, withWindow } from './terms'
export type { LearnerTerms, Limits, Overrides, Terms } from './terms'
export { NO_ACCOMMODATION, NO_WINDOW, WINDOW_FIELDS } from './types'
export type {
  Accommodation,
  Anchor,
  MeetingAfter,
  Moment,
  Window,
  WindowField,
  WindowSpec,
  WorkState,
} from './types'
export { scaleFor, shareOf, windowLine } from './windowLine'
export type { Scale, Stretch, WindowLine } from './windowLine'
export { spanOf, windowState } from './windowState'
export type { WindowSpan } from './windowState'
