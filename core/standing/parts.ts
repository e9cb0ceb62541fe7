import type { Parts } from '../combining'
import { DRAFT_PARTS } from '../work'
import type { StandingPiece } from './types'

/** As of other work; which version is given stands as a whole. */
export const STANDING_PARTS: Parts<StandingPiece> = {
  lessonId: 'whole',
  pieces: DRAFT_PARTS.pieces,
  title: 'whole',
  note: 'whole',
  about: 'fields',
  isFirst: 'whole',
  inTurn: 'whole',
  window: 'fields',
  rules: 'fields',
  versions: 'whole',
}
