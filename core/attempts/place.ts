import { assertNever } from '../base'
import type { Item } from '../library'

export const PLACES = ['now', 'next', 'done'] as const
/** Where a learner finds a piece: to do now, coming up, or behind them. */
export type Place = (typeof PLACES)[number]

/** Work in progress is always now; once handed in, a further try is offered from done. */
export function placeOf(of: {
  readonly notYetOpen: boolean
  readonly over: boolean
  readonly inProgress: boolean
  readonly handedIn: boolean
}): Place {
  if (of.inProgress) return 'now'
  if (of.notYetOpen) return 'next'
  return of.handedIn || of.over ? 'done' : 'now'
}

/** The right answer as text, for showing after a try. */
export function rightInWords(item: Item): string {
  switch (item.kind) {
    case 'single':
      return item.options.find((o) => o.id === item.right)?.text ?? ''
    case 'multiple':
      return item.options
        .filter((o) => item.right.includes(o.id))
        .map((o) => o.text)
        .join('; ')
    case 'numeric':
      return `${item.value}${item.unit ? ` ${item.unit}` : ''}${item.tolerance > 0 ? ` (± ${item.tolerance})` : ''}`
    case 'text':
      return item.accepted.join(' / ')
    default:
      return assertNever(item)
  }
}
