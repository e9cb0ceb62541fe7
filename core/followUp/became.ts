import { groupBy } from '../base'
import type { UserId } from '../base'
import { bandOf } from '../evidence'
import type { OnStandard } from './types'

/** How a learner stood on standards in a check. */
export interface StoodOn {
  readonly learnerId: UserId
  readonly on: readonly OnStandard[]
}

/** What became of a standard that was answered: over those who were given something on it. */
export interface Became {
  readonly code: string
  /** Who missed it in the check and was given something that asks for it or teaches it. */
  readonly given: number
  /** Who of them answered items of it since. */
  readonly again: number
  /** Mean share of points of those who did: in the check, and since; null: nobody did. */
  readonly before: number | null
  readonly since: number | null
  /** Who of those who did is below 60 % still. */
  readonly stillLow: number
}

/** A learner who was given something, and the standards that it serves. */
export interface GivenOn {
  readonly learnerId: UserId
  readonly codes: readonly string[]
}

/** What became of a follow-up, standard by standard, those that most were given something on first. */
export function becameOf(
  given: readonly GivenOn[],
  check: readonly StoodOn[],
  since: readonly StoodOn[],
): readonly Became[] {
  const stood = byLearner(check)
  const stands = byLearner(since)
  // several pieces of one learner may serve one standard
  const pairs = [...groupBy(given, (g) => g.learnerId)].flatMap(([learnerId, of]) =>
    [...new Set(of.flatMap((g) => g.codes))].flatMap((code) => {
      const before = stood.get(learnerId)?.get(code)
      const isMissed = before !== undefined && before.missed > 0
      return isMissed ? [{ code, before: before.share, since: stands.get(learnerId)?.get(code)?.share }] : []
    }),
  )
  return [...groupBy(pairs, (p) => p.code)]
    .map(([code, of]): Became => {
      const again = of.flatMap((p) => (p.since === undefined ? [] : [{ ...p, since: p.since }]))
      return {
        code,
        given: of.length,
        again: again.length,
        before: mean(again.map((p) => p.before)),
        since: mean(again.map((p) => p.since)),
        stillLow: again.filter((p) => bandOf(p.since) === 'low').length,
      }
    })
    .sort((a, b) => b.given - a.given)
}

function byLearner(of: readonly StoodOn[]): ReadonlyMap<UserId, ReadonlyMap<string, OnStandard>> {
  return new Map(of.map(({ learnerId, on }) => [learnerId, new Map(on.map((o) => [o.code, o]))]))
}

function mean(shares: readonly number[]): number | null {
  return shares.length === 0 ? null : shares.reduce((a, b) => a + b, 0) / shares.length
}
