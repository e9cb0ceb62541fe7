/** A class split into groups: by bounds, at natural breaks, or into even ones that obey wishes. */
export { byBounds } from './byBounds'
export { evenGroups } from './evenGroups'
export type { EvenWay } from './evenGroups'
export { byNaturalBreaks } from './naturalBreaks'
export { NO_WISHES } from './types'
export type { GroupingRefusal, Scored, Split, Wishes } from './types'
