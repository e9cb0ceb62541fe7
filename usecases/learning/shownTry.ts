import type { Instant, ItemId } from '#core/base'
import { comesAgain, HELPS, isAdaptive, itemsOf } from '#core/attempts'
import type { Attempt, Help } from '#core/attempts'
import type { LearnerTerms } from '#core/availability'
import { forLearner } from '#core/library'
import type { Answer } from '#core/library'
import { seenTry, seenWhileOpen } from '#core/agenda'
import type { SeenWhileOpen } from '#core/agenda'
import { answersOf, exampleFor, writtenIn } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { expectedIn } from '../settling/givenPiece'
import type { GivenPiece } from '../settling/givenPiece'
import { closingsOf } from './myWork'
import type { Listed } from './myWork'

/** How a try in progress goes on: all at once, each item looked at when wished, or one after another. */
function modeOf({ rules }: GivenPiece, attempt: Attempt): 'all' | 'item-by-item' | 'one-after-another' {
  if (isAdaptive(rules, attempt)) return 'one-after-another'
  return rules.feedback === 'item' || rules.answers === 'item' ? 'item-by-item' : 'all'
}

/** The piece that a try in progress is at, and its learner's own terms. */
interface OpenTryOf {
  readonly given: GivenPiece
  readonly terms: LearnerTerms
  readonly now: Instant
}

/**
 * A try in progress with its items in the learner's order, without keys, except what the rules show of items that were
 * given for good.
 */
export async function openTry(tx: Connection, attempt: Attempt, { given, terms, now }: OpenTryOf) {
  const { rules, resource, hinted } = given
  const answers = (await answersOf(tx, [attempt.id])).get(attempt.id) ?? new Map<ItemId, Answer>()
  const { revisions, final } = await writtenIn(tx, attempt.id)
  const items = itemsOf(resource.items, attempt, rules.order)
  const isAskedAgain = comesAgain(rules, terms, attempt.number, now)
  const fixed = items
    .filter((item) => final.has(item.id))
    .map((item) => [item.id, seenWhileOpen(item, answers.get(item.id), rules, isAskedAgain)])
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

/** Whose tries they are, and of what. */
interface TriesOf {
  readonly listed: Listed
  readonly given: Pick<GivenPiece, 'rules' | 'resource' | 'fixes'>
  readonly now: Instant
}

/** Tries that were handed in, with as much as the rules show. */
export async function seenTries(tx: Connection, tries: readonly Attempt[], { listed, given, now }: TriesOf) {
  const closings = (await closingsOf(tx, [listed], now))(listed)
  const done = tries.filter((t) => t.submittedAt !== null)
  const answers = await answersOf(
    tx,
    done.map((t) => t.id),
  )
  const { resource, rules, fixes: corrections } = given
  const seenBy = { resource, rules, corrections, terms: listed.terms, closings, now, used: tries.length }
  return done.map((attempt) => seenTry(attempt, answers.get(attempt.id) ?? new Map(), seenBy))
}
