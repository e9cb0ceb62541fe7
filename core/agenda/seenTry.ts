import { comesAgain, countedRatio, criteriaFor, isRevealed, itemsOf, shownPoints } from '../attempts'
import type { Attempt, AttemptRules, AttemptScore, Closings, Correction, ItemScore } from '../attempts'
import type { LearnerTerms } from '../availability'
import type { Instant } from '../base'
import { forLearner, isScoredByHand, rightInWords, scoreItem } from '../library'
import type { Answer, Criterion, Item, Resource } from '../library'
import { isSupportItem } from '../versions'

/** What of an item that was given for good is shown at once. */
export interface SeenWhileOpen {
  readonly points?: number
  readonly waits?: true
  readonly feedback?: string
  /** In place of feedback that would give away what may be asked again. */
  readonly hint?: string
  readonly right?: string
}

/** Feedback on an answer; its hint instead while what was wrong may be asked again. */
function saidOf(item: Item, points: number, isAskedAgain: boolean): Pick<SeenWhileOpen, 'feedback' | 'hint'> {
  const isHeldBack = isAskedAgain && !isScoredByHand(item) && points < item.points
  return isHeldBack ? { hint: item.hint } : { feedback: item.feedback }
}

/**
 * What the rules show of an item as soon as it was given for good.
 * @param isAskedAgain whether a further try may ask the same.
 */
export function seenWhileOpen(
  item: Item,
  answer: Answer | undefined,
  rules: AttemptRules,
  isAskedAgain: boolean,
): SeenWhileOpen {
  const points = scoreItem(item, answer)
  const isKeyShown = rules.answers === 'item'
  const earned = isScoredByHand(item) ? { waits: true as const } : { points: shownPoints(points) }
  return {
    ...(rules.feedback === 'item' ? { ...earned, ...saidOf(item, points, isAskedAgain && !isKeyShown) } : {}),
    ...(isKeyShown ? keyOf(item) : {}),
  }
}

/** The right answer; what a person scores has a guide for them instead, and learners do not see it. */
function keyOf(item: Item): { readonly right?: string } {
  return isScoredByHand(item) ? {} : { right: rightInWords(item) }
}

interface Earned {
  readonly points?: number
  readonly waits?: true
  readonly comment?: string
  readonly criteria?: readonly { readonly name: string; readonly points: number; readonly of: number }[]
}

/** What an item has earned, and for what; or that it waits for who scores it. */
function earnedFor(item: Item, earned: ItemScore | undefined, rubric: readonly Criterion[]): Earned {
  if (earned?.waits) return { waits: true }
  const points = shownPoints(earned?.points ?? 0)
  const { comment, levels } = earned ?? {}
  const criteria = criteriaFor(item, rubric).map(({ name, points }, i) => ({
    name,
    points: levels?.[i] ?? 0,
    of: points,
  }))
  return {
    points,
    ...(comment === undefined ? {} : { comment }),
    ...(levels?.length === criteria.length && rubric.length > 0 ? { criteria } : {}),
  }
}

/** An item that counts otherwise than by its answer since it was put right. */
interface PutRight {
  readonly putRight?: 'dropped' | 'credit'
}

function putRight(item: Item, corrections: readonly Correction[]): PutRight {
  const kind = corrections.find((c) => c.itemId === item.id)?.kind
  return kind === 'dropped' || kind === 'credit' ? { putRight: kind } : {}
}

/** What a piece is to one learner, as far as their tries are shown by it. */
export interface SeenBy {
  readonly resource: Resource
  readonly rules: AttemptRules
  /** What was put right in it since it was given. */
  readonly corrections: readonly Correction[]
  readonly terms: LearnerTerms
  readonly closings: Closings
  readonly now: Instant
  /** How many tries they have begun. */
  readonly used: number
}

/** What a try has earned, as its learner is told it. */
function scoreSeen(score: AttemptScore) {
  return {
    points: shownPoints(score.points),
    of: score.of,
    /** Null while a person has yet to score all of it. */
    ratio: countedRatio(score),
    lateDays: score.lateDays,
    deductedRatio: score.deductedRatio,
    isEstimate: score.estimate !== undefined,
    waiting: score.waiting ?? 0,
  }
}

/** A try that was handed in, with as much as the rules show its learner by now. */
export function seenTry(
  attempt: Attempt,
  answers: ReadonlyMap<string, Answer>,
  { resource, rules, corrections, terms, closings, now, used }: SeenBy,
) {
  const feedback = isRevealed(rules.feedback, closings, now)
  const keys = isRevealed(rules.answers, closings, now)
  // where the right answer is told anyway there is nothing to hold back
  const isAskedAgain = !keys && comesAgain(rules, terms, used, now)
  const { score } = attempt
  const asked = itemsOf(resource.items, attempt, rules.order).filter((item) => !isSupportItem(item))
  const submittedAt = attempt.submittedAt as Instant
  return {
    attemptId: attempt.id,
    number: attempt.number,
    submittedAt,
    endedBy: attempt.endedBy ?? 'learner',
    late: terms.due !== null && submittedAt >= terms.due,
    score: feedback && score ? scoreSeen(score) : null,
    items: asked.map((item) => {
      const earned = score?.items.find((s) => s.itemId === item.id)
      return {
        item: forLearner(item),
        answer: answers.get(item.id) ?? null,
        ...(feedback
          ? {
              ...earnedFor(item, earned, resource.material.rubric),
              ...saidOf(item, earned?.points ?? 0, isAskedAgain),
              ...putRight(item, corrections),
            }
          : {}),
        ...(keys ? keyOf(item) : {}),
      }
    }),
  }
}
