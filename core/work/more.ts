import type { Ground, Overrides } from '../availability'
import { groupBy } from '../base'
import type { ClassId, Instant, IsoDay, PieceId, UserId } from '../base'
import type { AssignmentTarget, Draft, LearnerWork } from './types'

/** What some learners are given beyond the others. */
export type More =
  /** One try more at a piece, whatever their limit is. */
  | { readonly kind: 'try'; readonly pieceId: PieceId }
  /** Time through the end of a day: due then, and open until then, also where it has closed. */
  | { readonly kind: 'until'; readonly on: IsoDay }
  /** Open to them again: time through the end of a day, and one try more at a piece for who has handed it in. */
  | { readonly kind: 'again'; readonly pieceId: PieceId; readonly on: IsoDay }
  /** They need not do it; what they have done is kept. */
  | { readonly kind: 'excused' }
  | { readonly kind: 'not-excused' }

/** What learners have now, so that nobody is given less. */
export interface Had {
  readonly rows: readonly Pick<LearnerWork, 'learnerId' | 'classId' | 'terms'>[]
  /** In whose zone a day ends. */
  readonly grounds: ReadonlyMap<ClassId, Pick<Ground, 'zone'>>
  /** Tries that were handed in. */
  readonly handedIn: readonly { readonly learnerId: UserId; readonly pieceId: PieceId }[]
}

/** The assignment with more for some learners; nobody is given less, and the others are as before. */
export function withMore(draft: Draft, learnerIds: readonly UserId[], more: More, had: Had): Draft {
  const chosen = new Set(learnerIds)
  switch (more.kind) {
    case 'excused':
      return { ...draft, exceptIds: [...new Set([...draft.exceptIds, ...learnerIds])] }
    case 'not-excused':
      return { ...draft, exceptIds: draft.exceptIds.filter((id) => !chosen.has(id)) }
    case 'try':
      return withTry(draft, learnerIds, more.pieceId)
    case 'until':
      return withTime(draft, learnerIds, more.on, had)
    case 'again': {
      const tried = new Set(had.handedIn.filter((t) => t.pieceId === more.pieceId).map((t) => t.learnerId))
      const open = withTime(draft, learnerIds, more.on, had)
      return withTry(
        open,
        learnerIds.filter((id) => tried.has(id)),
        more.pieceId,
      )
    }
  }
}

function withTry(draft: Draft, learnerIds: readonly UserId[], pieceId: PieceId): Draft {
  return forEach(draft, learnerIds, (own) => ({
    ...own,
    moreTries: { ...own.moreTries, [pieceId]: (own.moreTries?.[pieceId] ?? 0) + 1 },
  }))
}

/** Who has as much time already keeps it: a day that is earlier changes nothing. */
function withTime(draft: Draft, learnerIds: readonly UserId[], on: IsoDay, { rows, grounds }: Had): Draft {
  const day = { kind: 'day', on } as const
  const isEarlier = (at: Instant | null, { classId }: Had['rows'][number]) => {
    const end = grounds.get(classId)?.zone.at(on, 1440)
    return at !== null && end !== undefined && at < end
  }
  const rowsOf = groupBy(rows, (r) => r.learnerId)
  const needing = learnerIds.filter((id) =>
    rowsOf.get(id)?.some((r) => isEarlier(r.terms.due, r) || isEarlier(r.terms.closes, r)),
  )
  return forEach(draft, needing, (own, id) => {
    const closesEarlier = rowsOf.get(id)?.every((r) => isEarlier(r.terms.closes, r))
    const closes = closesEarlier ? { closes: day } : {}
    return { ...own, window: { ...own.window, due: day, ...closes, putAway: null } }
  })
}

/** Learners' own targets with something changed; who is not among the targets by name is added. */
function forEach(
  draft: Draft,
  learnerIds: readonly UserId[],
  change: (own: Overrides, id: UserId) => Overrides,
): Draft {
  const chosen = new Set(learnerIds)
  const ofLearner = ({ target }: AssignmentTarget) => (target.kind === 'learner' ? target.learnerId : null)
  const named = new Set(draft.targets.map(ofLearner))
  const kept = draft.targets.map((t) => {
    const id = ofLearner(t)
    return id !== null && chosen.has(id) ? { ...t, overrides: change(t.overrides, id) } : t
  })
  const added = learnerIds
    .filter((id) => !named.has(id))
    .map((learnerId) => ({
      target: { kind: 'learner' as const, learnerId },
      overrides: change({}, learnerId),
    }))
  return { ...draft, targets: [...kept, ...added] }
}
