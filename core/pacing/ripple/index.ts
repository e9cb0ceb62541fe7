/** What a change would move, through each way out. */
export { commandsBetween } from './consequence'
export type { BadDay, Consequence } from './consequence'
export { ripple } from './ripple'
export type { ClassSide, Ripple, RippleWay } from './ripple'
