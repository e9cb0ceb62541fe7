import { givenInWords, forLearner, scoreItem } from '../../../library'
import type { Item } from '../../../library'
import type { Shortfall } from '../types'
import type { Sample } from './keys/keyReading'
import type { Scoring } from './scoring/readScoring'

/** Shares of the points that differ by less are the same. */
const LEAST = 1e-6

/**
 * Compares what answers earn by an item's own rules with what they earn here, as shares of what the right answer earns.
 * Refused where another answer earns more than what would be the right one.
 */
export function compareScoring(
  item: Item,
  {
    scoring,
    best,
    samples,
  }: { readonly scoring: Scoring; readonly best: number; readonly samples: readonly Sample[] },
): { readonly short: readonly Shortfall[] } | { readonly fault: Shortfall } {
  const compared = samples.map((sample) => {
    const there = scoring.scoreOf(sample.given) / best
    const here = scoreItem(item, sample.answer) / item.points
    return { sample, there, here, isSame: Math.abs(there - here) < LEAST }
  })
  if (compared.some(({ there }) => there > 1 + LEAST)) return { fault: { code: 'contradicts-itself' } }
  const other = compared.filter((c) => !c.isSame)
  if (other.length === 0) return { short: [] }
  const shown = other.find(({ sample, there, here }) => there > here || !isOnlyCase(sample, compared))
  if (!shown) return { short: [{ code: 'case-alike' }] }
  const points = (share: number) => Number((share * item.points).toPrecision(3))
  const what = givenInWords(forLearner(item), shown.sample.answer)
  return {
    short: [
      {
        code: 'scored-otherwise',
        what,
        there: points(shown.there),
        here: points(shown.here),
        of: item.points,
      },
    ],
  }
}

/** Whether an answer differs from one that is scored alike by capital and small letters only. */
function isOnlyCase(
  { answer }: Sample,
  compared: readonly { readonly sample: Sample; readonly isSame: boolean }[],
): boolean {
  const folded = JSON.stringify(answer).toLowerCase()
  return compared.some((c) => c.isSame && JSON.stringify(c.sample.answer).toLowerCase() === folded)
}
