import { seedOf, seededRandom, shuffled } from '../../base'
import type { ItemId } from '../../base'
import type { Item } from '../../library'
import type { Estimate, ItemChoice } from '../types'

/** What the estimate looks at in an item. */
export type Gauged = Pick<Item, 'id' | 'difficulty' | 'points'>
/** An item that was answered, with the share of its points that was earned, 0 to 1. */
export interface Response {
  readonly difficulty: number
  readonly share: number
}

/** Before anything is known, abilities are taken to spread by so much about the middle, in logits. */
const SPREAD = 1.5

/** Difficulty 1 to 5 as logits, −2 to 2. */
function locationOf(difficulty: number): number {
  return difficulty - 3
}

/** The share of points that somebody of an ability is expected to earn (one-parameter logistic; Rasch 1960). */
export function expectedShare(ability: number, difficulty: number): number {
  return 1 / (1 + Math.exp(locationOf(difficulty) - ability))
}

/**
 * The most likely ability given responses and the spread of abilities (mode of the posterior; Mislevy 1986), by
 * Newton's steps, with its standard error. Without responses: 0, as unsure as the spread.
 */
export function estimateOf(responses: readonly Response[]): Estimate {
  const sureness = 1 / SPREAD ** 2
  let ability = 0
  let information = sureness
  for (let step = 0; step < 50; step++) {
    let slope = -ability * sureness
    information = sureness
    for (const { difficulty, share } of responses) {
      const expected = expectedShare(ability, difficulty)
      slope += share - expected
      information += expected * (1 - expected)
    }
    const move = Math.max(-1, Math.min(1, slope / information))
    ability += move
    if (Math.abs(move) < 1e-9) break
  }
  return { ability, error: 1 / Math.sqrt(information) }
}

type Adaptive = Extract<ItemChoice, { readonly kind: 'adaptive' }>

/**
 * The item to give next: of those not given the one that tells most, which is the one nearest to the ability; among
 * equals those seen least often before, then by the seed. Null when enough were given, the estimate is sure enough, or
 * none is left.
 */
export function nextItem<T extends Gauged>(
  bank: readonly T[],
  rule: Pick<Adaptive, 'most' | 'untilError'>,
  of: {
    readonly given: readonly ItemId[]
    readonly estimate: Estimate
    readonly seed: string
    readonly seen: ReadonlyMap<ItemId, number>
  },
): T | null {
  const given = new Set(of.given)
  const isSure = rule.untilError !== null && given.size > 0 && of.estimate.error <= rule.untilError
  if (isSure || given.size >= rule.most) return null
  const distance = (item: T) => Math.abs(locationOf(item.difficulty) - of.estimate.ability)
  const times = (item: T) => of.seen.get(item.id) ?? 0
  const [next] = shuffled(
    bank.filter((item) => !given.has(item.id)),
    seededRandom(seedOf(of.seed)),
  ).sort((a, b) => distance(a) - distance(b) || times(a) - times(b))
  return next ?? null
}

/** The share of all points of a bank that somebody of an ability is expected to earn. */
export function expectedOverBank(bank: readonly Gauged[], ability: number): number {
  const all = bank.reduce((sum, item) => sum + item.points, 0)
  const earned = bank.reduce((sum, item) => sum + item.points * expectedShare(ability, item.difficulty), 0)
  return all === 0 ? 0 : earned / all
}
