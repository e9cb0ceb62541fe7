import type { IsoDay, PieceId, UserId } from '../base'
import type { Overrides } from '../availability'
import type { AssignmentTarget, Draft } from './types'

/** What some learners are given beyond the others. */
export type More =
  /** One try more at a piece, whatever their limit is. */
  | { readonly kind: 'try'; readonly pieceId: PieceId }
  /** Time through the end of a day: due then, and open until then, also where it has closed. */
  | { readonly kind: 'until'; readonly on: IsoDay }
  /** They need not do it; what they have done is kept. */
  | { readonly kind: 'excused' }
  | { readonly kind: 'not-excused' }

/** The assignment with more for some learners; nobody is given less, and the others are as before. */
export function withMore(draft: Draft, learnerIds: readonly UserId[], more: More): Draft {
  const chosen = new Set(learnerIds)
  switch (more.kind) {
    case 'excused':
      return { ...draft, exceptIds: [...new Set([...draft.exceptIds, ...learnerIds])] }
    case 'not-excused':
      return { ...draft, exceptIds: draft.exceptIds.filter((id) => !chosen.has(id)) }
    case 'try':
      return forEach(draft, learnerIds, (own) => ({
        ...own,
        moreTries: { ...own.moreTries, [more.pieceId]: (own.moreTries?.[more.pieceId] ?? 0) + 1 },
      }))
    case 'until': {
      const day = { kind: 'day', on: more.on } as const
      return forEach(draft, learnerIds, (own) => ({
        ...own,
        window: { ...own.window, due: day, closes: day, putAway: null },
      }))
    }
  }
}

/** Learners' own targets with something changed; who is not among the targets by name is added. */
function forEach(draft: Draft, learnerIds: readonly UserId[], change: (own: Overrides) => Overrides): Draft {
  const chosen = new Set(learnerIds)
  const ofLearner = ({ target }: AssignmentTarget) => (target.kind === 'learner' ? target.learnerId : null)
  const named = new Set(draft.targets.map(ofLearner))
  const kept = draft.targets.map((t) => {
    const id = ofLearner(t)
    return id !== null && chosen.has(id) ? { ...t, overrides: change(t.overrides) } : t
  })
  const added = learnerIds
    .filter((id) => !named.has(id))
    .map((learnerId) => ({ target: { kind: 'learner' as const, learnerId }, overrides: change({}) }))
  return { ...draft, targets: [...kept, ...added] }
}
