/** What learners carry: minutes and pieces by day and week, what is too much, and days that would be better. */
export { USUAL_LIMITS, betterDays, cautionsIn } from './cautions'
export type { BetterDay, LoadCaution, LoadLimits } from './cautions'
export { loadOf } from './loadOf'
export { weighed } from './weighed'
export type { HeavyWeek } from './weighed'
export { SPREADS } from './types'
export type { LearnerLoad, Load, LoadPiece, Spread } from './types'
