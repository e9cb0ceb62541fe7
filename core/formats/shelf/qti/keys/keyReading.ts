import type { Answer } from '../../../../library'
import type { Shortfall } from '../../types'
import type { Xml } from '../../xml'
import type { Given, Scoring } from '../scoring/readScoring'

/** An item whose key is looked for. */
export interface Asked {
  readonly body: Xml
  readonly scoring: Scoring
}

/** An answer as it is given here, and as the item's own rules see it. */
export interface Sample {
  readonly answer: Answer
  readonly given: Given
}

/** What an item has by its kind. */
export interface KeyReading {
  readonly of: Readonly<Record<string, unknown>>
  /** What its right answer earns by its own rules; null: a person scores it. */
  readonly best: number | null
  /** Answers for which both ways of scoring are compared. */
  readonly samples: readonly Sample[]
  readonly short: readonly Shortfall[]
  /** Words that belong to the question, after what is asked; empty: none. */
  readonly after: string
}

export const reading = (
  of: KeyReading['of'],
  best: number | null,
  samples: readonly Sample[],
): KeyReading => ({ of, best, samples, short: [], after: '' })

/** Of several ways the one that earns most, the first of them; with what it earns. */
export function bestOf<T>(
  ways: readonly T[],
  earned: (way: T) => number,
): { readonly way: T; readonly score: number } | null {
  return ways.reduce<{ readonly way: T; readonly score: number } | null>((best, way) => {
    const score = earned(way)
    return best === null || score > best.score ? { way, score } : best
  }, null)
}
