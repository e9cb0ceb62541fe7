/** A plan's standing work: what goes with its lessons in every class, and what of it a class has made its own. */
export { checkStanding } from './checkStanding'
export { asStandingStep } from './command'
export type { StandingCommand, StandingStep } from './command'
export { draftFor, offerOf, settingOfPiece, withChanges } from './lay'
export type { Laid } from './lay'
export type { StandingRefusal } from './refusals'
export { MOST_STANDING, STANDING_FIELDS } from './types'
export type { Offer, StandingField, StandingPiece, StandingSetting } from './types'
