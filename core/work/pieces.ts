import type { Anchor, WindowSpec } from '../availability'
import type { AttemptRules } from '../attempts'
import { asId } from '../base'
import type { LessonId, PieceId, ResourceId } from '../base'
import { cardOfKind } from '../library'
import type { ResourceKind } from '../library'
import type { WorkRefusal } from './refusals'
import type { Begun, When, WorkPiece } from './types'

/** As many pieces as one assignment may hold. */
export const MOST_PIECES = 30

/** A piece as it is before anything is set for it: handed in alone, by the moments and rules of its assignment. */
export function plainPiece(
  of: { readonly resourceId: ResourceId; readonly revision: number },
  part: Partial<Pick<WorkPiece, 'id' | 'when'>> = {},
): WorkPiece {
  const { resourceId, revision } = of
  const plain = { when: 'in', handIn: 'alone', leastMinutes: 0, window: {}, rules: {} } as const
  return { id: asId<PieceId>('p1'), resourceId, revision, ...plain, ...part }
}

/** Rules as they suit a kind: what nobody scores or revises is done as often as one likes. */
export function rulesSuiting(rules: AttemptRules, kind: ResourceKind): AttemptRules {
  return cardOfKind(kind).hasCountedTries ? rules : { ...rules, maxAttempts: null }
}

/** The rules of one piece: the assignment's, with what the piece does differently. */
export function rulesOf(
  work: { readonly rules: AttemptRules },
  piece: Pick<WorkPiece, 'rules'>,
): AttemptRules {
  return { ...work.rules, ...piece.rules }
}

/**
 * The moments that come with where a piece stands to a lesson: before class it is open at once and due when the
 * lesson's first meeting starts; afterwards it opens when its last meeting ends. In class, and without a lesson,
 * the assignment's own moments hold.
 */
export function momentsOf(when: When, lessonId: LessonId | null): Partial<WindowSpec> {
  if (lessonId === null || when === 'in') return {}
  const anchor = (edge: Anchor['edge'], at: Anchor['at']): Anchor => ({
    kind: 'anchor',
    lessonId,
    edge,
    offset: 0,
    step: 'meetings',
    at,
  })
  return when === 'before'
    ? { opens: null, due: anchor('first', 'class-start') }
    : { opens: anchor('last', 'class-end') }
}

/** A draft needs a piece, names each once, and has each for somebody. Null when it does. */
export function faultInPieces(pieces: readonly WorkPiece[]): WorkRefusal | null {
  if (pieces.length === 0) return { code: 'work/no-pieces', field: 'pieces' }
  const ids = new Set(pieces.map((p) => p.id))
  if (ids.size < pieces.length) return { code: 'work/piece-twice', field: 'pieces' }
  const forNobody = pieces.find((p) => p.onlyIds?.length === 0)
  return forNobody ? { code: 'work/piece-for-nobody', field: 'pieces', pieceId: forNobody.id } : null
}

/** A change must leave what learners have begun: the same piece under the same name. Null when it does. */
export function faultInExchange(
  had: readonly WorkPiece[],
  next: readonly WorkPiece[],
  begun: Begun['pieces'],
): WorkRefusal | null {
  const now = new Map(next.map((p) => [p.id, p.resourceId]))
  const gone = had.find((p) => begun.has(p.id) && now.get(p.id) !== p.resourceId)
  return gone ? { code: 'work/already-begun', field: 'pieces', pieceId: gone.id } : null
}
