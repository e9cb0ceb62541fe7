import { keyOf } from '../audience'
import type { Parts } from '../combining'
import type { Draft } from './types'

/** Pieces, targets and learners one by one; each moment, each rule and each line about it by itself. */
export const DRAFT_PARTS: Parts<Draft> = {
  pieces: { nameOf: (piece) => piece.id },
  title: 'whole',
  note: 'whole',
  about: 'fields',
  isFirst: 'whole',
  inTurn: 'whole',
  window: 'fields',
  rules: 'fields',
  targets: { nameOf: ({ target }) => keyOf(target) },
  newcomers: 'whole',
  teams: 'whole',
  exceptIds: { nameOf: (id) => id },
  overCeiling: { nameOf: (id) => id },
}
