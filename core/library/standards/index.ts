/** Standards: their tree, what comes before what, and whether they can stand together. */
export { faultInStandards } from './faultInStandards'
export type { StandardsFault } from './faultInStandards'
export { allBefore, neighbourhood } from './prerequisites'
export type { OnTheWay, Way } from './prerequisites'
export { standardsLike } from './find'
export { pathTo, standardTree } from './tree'
export { STANDARD_LEVELS } from './types'
export type { Standard, StandardLevel, StandardNode } from './types'
