import type { Parts } from '../combining'
import { DRAFT_PARTS } from '../work'
import type { StandingPiece } from './types'

const { pieces, title, note, about, isFirst, inTurn, window, rules } = DRAFT_PARTS

/** As of other work; its lesson and which version is given stand as a whole. */
export const STANDING_PARTS: Parts<StandingPiece> = {
  ...{ pieces, title, note, about, isFirst, inTurn, window, rules },
  lessonId: 'whole',
  versions: 'whole',
}
