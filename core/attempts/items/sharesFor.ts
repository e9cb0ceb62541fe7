import type { Share } from '../types'
import { HARDNESSES } from '../types'
import type { Hardness } from '../types'

/** Percent of easy, middle and hard items; they need not come to a hundred. */
export type Mix = Readonly<Record<Hardness, number>>

/**
 * Shares of a draw with as many items of each standard, mixed by hardness; null: whatever comes. What a percentage
 * leaves over goes to the largest remainders, the easier first.
 * @example 5 items at 40 / 40 / 20 % are 2 easy, 2 of the middle and 1 hard.
 */
export function sharesFor(standards: readonly string[], each: number, mix: Mix | null): readonly Share[] {
  return standards.flatMap((standard): readonly Share[] => {
    if (mix === null || sumOf(mix) === 0) return [{ standard, hardness: null, count: each }]
    const counts = parted(each, mix)
    return HARDNESSES.filter((h) => counts[h] > 0).map((hardness) => ({
      standard,
      hardness,
      count: counts[hardness],
    }))
  })
}

const sumOf = (mix: Mix) => HARDNESSES.reduce((n, h) => n + mix[h], 0)

function parted(count: number, mix: Mix): Readonly<Record<Hardness, number>> {
  const exact = HARDNESSES.map((h) => (count * mix[h]) / sumOf(mix))
  const whole = exact.map(Math.floor)
  const left = count - whole.reduce((a, b) => a + b, 0)
  const byRemainder = exact
    .map((value, i) => ({ i, rest: value - (whole[i] ?? 0) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
  for (const { i } of byRemainder.slice(0, left)) whole[i] = (whole[i] ?? 0) + 1
  const [easy = 0, middle = 0, hard = 0] = whole
  return { easy, middle, hard }
}
