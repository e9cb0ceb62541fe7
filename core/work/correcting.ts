import type { Correction } from '../attempts'
import { same } from '../base'
import { checkItem, isScoredByHand } from '../library'
import type { Item } from '../library'
import type { WorkRefusal } from './refusals'
import type { Draft, WorkPiece } from './types'

/** What is wrong with a correction of a question; null: nothing. */
export function faultInCorrection(item: Item, correction: Correction): WorkRefusal | null {
  if (isScoredByHand(item)) return { code: 'work/scored-by-hand', field: 'pieces' }
  if (correction.kind !== 'key') return null
  const next = correction.item
  if (!same(beforeItsKey(item), beforeItsKey(next))) return { code: 'work/not-its-key', field: 'pieces' }
  return checkItem(next) === null ? null : { code: 'work/no-key', field: 'pieces' }
}

/** What a learner was asked, whatever is right. */
function beforeItsKey(item: Item): readonly unknown[] {
  return [item.id, item.kind, item.stem, item.points, 'options' in item ? item.options : null]
}

/** A piece with a question put right, or (null) as it was given; each question is put right in one way. */
export function withCorrection(
  piece: WorkPiece,
  of: Pick<Correction, 'itemId' | 'revision'>,
  correction: Correction | null,
): WorkPiece {
  const others = (piece.corrections ?? []).filter((c) => c.itemId !== of.itemId || c.revision !== of.revision)
  const { corrections: _, ...rest } = piece
  const next = correction === null ? others : [...others, correction]
  return next.length === 0 ? rest : { ...rest, corrections: next }
}

/** A draft with what was put right in the work that it takes the place of: nothing else comes along with a draft. */
export function withCorrectionsOf<D extends Pick<Draft, 'pieces'>>(
  draft: D,
  stands: Pick<Draft, 'pieces'> | null,
): D {
  const known = new Map(stands?.pieces.map((p) => [p.id, p.corrections]))
  const pieces = draft.pieces.map(({ corrections: _, ...piece }) => {
    const corrections = known.get(piece.id)
    return corrections ? { ...piece, corrections } : piece
  })
  return { ...draft, pieces }
}
