import type { PlanLesson } from '../plan'

/**
 * What a plan's losses cost: one meeting taken from a lesson by its weight, from a buffer, a lesson left out
 * beside its meetings, a fixed date that moves.
 */
export const PRICES = { core: 4, useful: 2, optional: 1, buffer: 0.25, omission: 2, fixedDate: 6 } as const

/**
 * The price of taking half meetings from a lesson, down to nothing (`isLeftOut`). A buffer is there to be
 * eaten: it costs next to nothing.
 */
export function priceOfCut(
  { kind, weight }: Pick<PlanLesson, 'kind' | 'weight'>,
  halves: number,
  isLeftOut: boolean,
): number {
  return kind === 'buffer'
    ? (PRICES.buffer * halves) / 2
    : (PRICES[weight] * halves) / 2 + (isLeftOut ? PRICES.omission : 0)
}
