import { isScoredByHand, rightInWords } from '#core/library'
import type { Item } from '#core/library'
import type { ItemFigures } from '#core/evidence'
import type { PieceFigures } from '#shared/contracts/evidence'

/** What is shown of an item, one after another: each step adds to the ones before. */
export const STEPS = ['question', 'spread', 'answer', 'feedback'] as const
export type Step = (typeof STEPS)[number]
export const ORDERS = ['hardest', 'own'] as const
export type Order = (typeof ORDERS)[number]

/** An item to talk about. */
export interface Talk {
  readonly item: Item
  readonly figures: ItemFigures
  /** Its number in the piece. */
  readonly number: number
}

/** The items of a piece to talk about, hardest first or as the piece has them; what a person scores has no spread. */
export function talksOf({ items, figures }: PieceFigures, order: Order): readonly Talk[] {
  const talks = figures.flatMap((of) => {
    const at = items.findIndex((i) => i.id === of.itemId)
    const item = items[at]
    return item && !isScoredByHand(item) ? [{ item, figures: of, number: at + 1 }] : []
  })
  return order === 'hardest' ? talks : talks.sort((a, b) => a.number - b.number)
}

/** The steps of an item: what it does not have is passed over. */
export function stepsOf(item: Item): readonly Step[] {
  return STEPS.filter((step) => {
    if (step === 'answer') return rightInWords(item) !== ''
    return step !== 'feedback' || item.feedback.trim() !== ''
  })
}

/** Where somebody is: at which item, and how much of it is shown. */
export interface At {
  readonly item: number
  readonly step: number
}
export type Move = 'on' | 'back' | 'next-item' | 'item-before'

/** Where a move leads; at either end it leads nowhere. */
export function moved({ item, step }: At, move: Move, talks: readonly Talk[]): At {
  const last = (at: number) => Math.max(0, stepsOf(talks[at]?.item as Item).length - 1)
  if (talks.length === 0) return { item: 0, step: 0 }
  if (move === 'next-item') return item + 1 < talks.length ? { item: item + 1, step: 0 } : { item, step }
  if (move === 'item-before') return { item: Math.max(0, item - 1), step: 0 }
  if (move === 'on') {
    if (step < last(item)) return { item, step: step + 1 }
    return moved({ item, step }, 'next-item', talks)
  }
  if (step > 0) return { item, step: step - 1 }
  return item > 0 ? { item: item - 1, step: last(item - 1) } : { item, step }
}

/** What a key does. */
export const MOVE_OF: Readonly<Record<string, Move>> = {
  ' ': 'on',
  ArrowRight: 'on',
  PageDown: 'on',
  ArrowLeft: 'back',
  PageUp: 'back',
  ArrowDown: 'next-item',
  ArrowUp: 'item-before',
}
