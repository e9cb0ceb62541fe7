import {
  mostInTry,
  endingOf,
  isRevealed,
  keptScore,
  mayStart,
  passingOf,
  pieceName,
  placeOf,
  triesAsOf,
} from '../attempts'
import type { AttemptRules, Closings, TryInShort } from '../attempts'
import { windowState } from '../availability'
import type { LearnerTerms } from '../availability'
import { groupBy } from '../base'
import type { AssignmentId, Instant, PieceId } from '../base'
import { aboutForLearners, inOrder, togetherOf, tryTermsOf, withBlocks } from '../work'
import type { About, LearnerCard, LearnerPiece } from '../work'

/** A piece that a learner has, with all that their list shows of it. */
export interface ListedWork
  extends
    Pick<LearnerCard, 'title' | 'note' | 'classId' | 'className' | 'isFirst' | 'inTurn' | 'series'>,
    Pick<LearnerPiece, 'kind' | 'when' | 'minutes' | 'itemCount'> {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly pieceTitle: string
  readonly about: About
  readonly terms: LearnerTerms
  readonly rules: AttemptRules
}

/** Listed pieces as a learner's cards: those of an assignment together, each in its place, with what waits for what. */
export function learnerCards(
  listed: readonly ListedWork[],
  known: {
    readonly tries: readonly TryInShort[]
    readonly closingsOf: (w: ListedWork) => Closings
    readonly now: Instant
  },
): readonly LearnerCard[] {
  const triesOf = groupBy(known.tries, pieceName)
  const cards = [...groupBy(listed, (w) => w.assignmentId).values()].flatMap((rows) => {
    const [first] = rows
    if (!first) return []
    const { assignmentId, title, note, classId, className, isFirst, inTurn, series } = first
    const about = aboutForLearners(first.about)
    const pieces = inOrder(rows).map((w) =>
      pieceOf(w, triesOf.get(pieceName(w)) ?? [], known.closingsOf(w), known.now),
    )
    const said = { title, note, about, isFirst, inTurn, classId, className, series }
    return { id: assignmentId, ...said, pieces, ...togetherOf(pieces) }
  })
  return withBlocks(cards)
}

/**
 * Cards in the order in which they are done: what comes first first, then what is due, or opens, soonest; what is only
 * recommended behind all that is asked for.
 */
export function byTurn(cards: readonly LearnerCard[]): readonly LearnerCard[] {
  return [...cards].sort(sooner)
}

function sooner(a: LearnerCard, b: LearnerCard): number {
  const isAhead = (c: LearnerCard) => c.isFirst && c.place === 'now'
  if (isAhead(a) !== isAhead(b)) return isAhead(a) ? -1 : 1
  const isOffered = (c: LearnerCard) => c.about.isRecommended
  if (isOffered(a) !== isOffered(b)) return isOffered(a) ? 1 : -1
  const atOf = (c: LearnerCard) => c.dueAt ?? c.opensAt ?? Infinity
  if (atOf(a) !== atOf(b)) return atOf(a) - atOf(b)
  // the same order at every look
  return a.id < b.id ? -1 : 1
}

/** Whether a try that goes on may have to be ended; of work that is not on the screen, that is not known. */
export function mayBeOverdue(
  listed: readonly ListedWork[],
  tries: readonly TryInShort[],
  now: Instant,
): boolean {
  const open = tries.filter((t) => t.submittedAt === null)
  return open.some((t) => {
    const row = listed.find((w) => w.assignmentId === t.assignmentId && w.pieceId === t.pieceId)
    return row === undefined || endingOf(t, tryTermsOf(row, false), now) !== null
  })
}

function pieceOf(w: ListedWork, all: readonly TryInShort[], closings: Closings, now: Instant): LearnerPiece {
  const { opens, due, closes } = w.terms
  const isRead = w.itemCount === 0
  const terms = tryTermsOf(w, isRead)
  const tries = triesAsOf(all, isRead ? null : terms, now)
  const { state } = windowState(w.terms, now)
  const isOpen = tries.some((t) => t.submittedAt === null)
  const inProgress = isOpen && !isRead
  const handedInAt = tries.reduce<Instant | null>(
    (at, t) => (t.submittedAt !== null && (at === null || t.submittedAt > at) ? t.submittedAt : at),
    null,
  )
  const earlier = isRead ? tries.filter((t) => t.submittedAt !== null) : tries
  const mayTry = inProgress || mayStart(earlier, terms, w.rules, now).ok
  const ratio = isRevealed(w.rules.feedback, closings, now) ? keptScore(tries, w.rules.kept) : null
  return {
    pieceId: w.pieceId,
    title: w.pieceTitle,
    kind: w.kind,
    when: w.when,
    minutes: w.minutes,
    itemCount: mostInTry(w.rules.items, w.itemCount),
    state,
    place: placeOf({
      notYetOpen: state === 'coming-up',
      over: state === 'closed',
      inProgress,
      handedIn: handedInAt !== null,
    }),
    opensAt: opens,
    dueAt: due,
    closesAt: closes,
    triesUsed: isRead ? 0 : tries.length,
    triesMost: terms.maxAttempts,
    timeLimitMinutes: terms.timeLimitMinutes,
    inProgress,
    handedInAt,
    ratio,
    mayTry,
    passPercent: isRead ? null : w.rules.passPercent,
    passing: passingOf(ratio, w.rules),
    blockedBy: null,
  }
}
