/** A class’s meetings prepared for laying, counted in half minutes; those that the record knows of. */
export { heldIn, meetingHeld, withHeld } from './held'
export {
  beginsAt,
  capacityOf,
  firstNotBefore,
  firstOnOrAfter,
  halvesBetween,
  inHalves,
  latestFrom,
  meetingOf,
  place,
  positionAfter,
  positionAt,
  startAt,
  stepBack,
  trackOf,
} from './track'
export type { Slot, Ground, Need, Position, Track } from './track'
