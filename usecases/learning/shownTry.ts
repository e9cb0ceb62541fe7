import type { Instant, ItemId } from '#core/base'
import { HELPS, criteriaFor, isRevealed, itemsOf, shownPoints } from '#core/attempts'
import type { Attempt, AttemptRules, AttemptScore, Closings, Help } from '#core/attempts'
import type { LearnerTerms } from '#core/availability'
import { forLearner, isScoredByHand, rightInWords, scoreItem } from '#core/library'
import type { Answer, Criterion, Item } from '#core/library'
import { isSupportItem } from '#core/versions'
import { answersOf, exampleFor, writtenIn } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { expectedIn, isAdaptive } from '../settling/givenPiece'
import type { GivenPiece } from '../settling/givenPiece'
import { closingsOf } from './myWork'
import type { Listed } from './myWork'

/** How a try in progress goes on: all at once, each item looked at when wished, or one after another. */
function modeOf({ rules }: GivenPiece, attempt: Attempt): 'all' | 'item-by-item' | 'one-after-another' {
  if (isAdaptive(rules, attempt)) return 'one-after-another'
  return rules.feedback === 'item' || rules.answers === 'item' ? 'item-by-item' : 'all'
}

/**
 * A try in progress with its items in the learner's order, without keys, except what the rules show of items that were
 * given for good.
 */
export async function openTry(tx: Connection, attempt: Attempt, given: GivenPiece) {
  const { rules, resource, hinted } = given
  const answers = (await answersOf(tx, [attempt.id])).get(attempt.id) ?? new Map<ItemId, Answer>()
  const { revisions, final } = await writtenIn(tx, attempt.id)
  const items = itemsOf(resource.items, attempt, rules.order)
  const fixed = items
    .filter((item) => final.has(item.id))
    .map((item) => [item.id, seenWhileOpen(item, answers.get(item.id), rules)])
  const hasExample = rules.help.includes('worked-example')
  return {
    attemptId: attempt.id,
    number: attempt.number,
    deadlineAt: attempt.deadlineAt,
    items: items.map((item) => forLearner(item, rules.help.includes('hints') || hinted.has(item.id))),
    answers: Object.fromEntries(answers),
    revisions: Object.fromEntries(revisions),
    mode: modeOf(given, attempt),
    most: rules.items.kind === 'adaptive' ? Math.min(rules.items.most, resource.items.length) : null,
    fixed: Object.fromEntries(fixed) as Readonly<Record<ItemId, SeenWhileOpen>>,
    help: helpFor(given),
    expected: rules.help.includes('own-check') ? expectedIn(given) : [],
    language: resource.language,
    example: hasExample ? await exampleFor(tx, resource.id) : null,
  }
}

/** What the learner may use: what the rules allow, and what their version adds. */
function helpFor({ rules, support }: GivenPiece): readonly Help[] {
  return HELPS.filter((h) => rules.help.includes(h) || (h === 'read-aloud' && support.readAloud))
}

/** What of an item that was given for good is shown at once. */
interface SeenWhileOpen {
  readonly points?: number
  readonly waits?: true
  readonly feedback?: string
  readonly right?: string
}

function seenWhileOpen(item: Item, answer: Answer | undefined, rules: AttemptRules): SeenWhileOpen {
  const earned = isScoredByHand(item)
    ? { waits: true as const }
    : { points: shownPoints(scoreItem(item, answer)) }
  return {
    ...(rules.feedback === 'item' ? { ...earned, feedback: item.feedback } : {}),
    ...(rules.answers === 'item' ? keyOf(item) : {}),
  }
}

/** The right answer; what a person scores has a guide for them instead, and learners do not see it. */
function keyOf(item: Item): { readonly right?: string } {
  return isScoredByHand(item) ? {} : { right: rightInWords(item) }
}

/** Tries that were handed in, with as much as the rules show. */
export async function seenTries(
  tx: Connection,
  tries: readonly Attempt[],
  listed: Listed,
  given: Pick<GivenPiece, 'rules' | 'resource'>,
  now: Instant,
) {
  const closings = (await closingsOf(tx, [listed], now))(listed)
  const done = tries.filter((t) => t.submittedAt !== null)
  const answers = await answersOf(
    tx,
    done.map((t) => t.id),
  )
  return done.map((attempt) =>
    seenTry(attempt, given, listed.terms, closings, answers.get(attempt.id) ?? new Map(), now),
  )
}

interface Earned {
  readonly points?: number
  readonly waits?: true
  readonly comment?: string
  readonly criteria?: readonly { readonly name: string; readonly points: number; readonly of: number }[]
}

/** What an item has earned, and for what; or that it waits for who scores it. */
function earnedFor(item: Item, score: AttemptScore | null, rubric: readonly Criterion[]): Earned {
  const earned = score?.items.find((s) => s.itemId === item.id)
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

function seenTry(
  attempt: Attempt,
  { resource, rules }: Pick<GivenPiece, 'rules' | 'resource'>,
  terms: LearnerTerms,
  closings: Closings,
  answers: ReadonlyMap<string, Answer>,
  now: Instant,
) {
  const feedback = isRevealed(rules.feedback, closings, now)
  const keys = isRevealed(rules.answers, closings, now)
  const { score } = attempt
  const asked = itemsOf(resource.items, attempt, rules.order).filter((item) => !isSupportItem(item))
  const submittedAt = attempt.submittedAt as Instant
  return {
    attemptId: attempt.id,
    number: attempt.number,
    submittedAt,
    endedBy: attempt.endedBy ?? 'learner',
    late: terms.due !== null && submittedAt >= terms.due,
    score:
      feedback && score
        ? {
            points: shownPoints(score.points),
            of: score.of,
            ratio: score.ratio,
            lateDays: score.lateDays,
            deductedRatio: score.deductedRatio,
            isEstimate: score.estimate !== undefined,
            waiting: score.waiting ?? 0,
          }
        : null,
    items: asked.map((item) => ({
      item: forLearner(item),
      answer: answers.get(item.id) ?? null,
      ...(feedback ? { ...earnedFor(item, score, resource.material.rubric), feedback: item.feedback } : {}),
      ...(keys ? keyOf(item) : {}),
    })),
  }
}
