/** A class’s meetings prepared for laying, counted in half minutes. */
export {
  capacityOf,
  firstNotBefore,
  firstOnOrAfter,
  halfMinutesBetween,
  halvesBetween,
  inHalves,
  latestFrom,
  meetingOf,
  place,
  positionAt,
  startAt,
  stepBack,
  trackOf,
} from './track'
export type { Slot, Ground, Need, Position, Track } from './track'
