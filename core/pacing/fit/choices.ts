import type { Item } from '../layout'
import { leastAmount } from '../plan'
import { inHalves } from '../track'
import type { Track } from '../track'
import type { FitInput } from './types'
import { priceOfCut } from './price'

/** One thing that may be done with an item: its amount (0: left out) and the price, in thousandths. */
export interface Choice {
  readonly amount: number
  readonly price: number
}

/** Prices in thousandths, so that sums are whole numbers and ties are exact. */
export const MILLI = 1000

/** What may be done with an item, uncut first, then ever less, left out last. */
export function choicesOf(
  track: Track,
  item: Item,
  { among, keep, leaveOut, by = 'all' }: FitInput,
): Choice[] {
  const { lesson, unit } = item
  if (leaveOut?.has(lesson.id)) return [{ amount: 0, price: 0 }]
  const whole: Choice = { amount: item.amount, price: 0 }
  if ((among && !among.has(lesson.id)) || keep?.has(lesson.id)) return [whole]
  const isBuffer = lesson.kind === 'buffer'
  if (by === 'buffers' && !isBuffer) return [whole]
  const priceOf = (amount: number) =>
    Math.round(
      MILLI * priceOfCut(lesson, inHalves(track, { unit, amount: item.amount - amount }, 0), amount === 0),
    )
  const choices = [whole]
  if ((by !== 'optional' || isBuffer) && !item.isUnderWay) {
    const step = unit === 'minutes' ? 5 : 1
    const least = isBuffer ? 1 : leastAmount(lesson)
    for (let amount = item.amount - step; amount >= least; amount -= step)
      choices.push({ amount, price: priceOf(amount) })
  }
  const mayGo =
    item.fixed === null &&
    (isBuffer || lesson.weight === 'optional' || (by === 'all' && lesson.weight === 'useful'))
  if (mayGo) choices.push({ amount: 0, price: priceOf(0) })
  return choices
}
