import type { PieceChange } from '#core/library'
import { plainText } from '~/shared/words/markdown'

/** A change in words: what it is about, what stood there, what stands there now. */
export interface SaidChange {
  readonly what: string
  readonly was: readonly string[]
  readonly is: readonly string[]
}

/** One way in which a piece differs from what it was. */
export function sayChange(change: PieceChange): SaidChange {
  switch (change.kind) {
    case 'title':
      return { what: 'Title', was: [change.was], is: [change.is] }
    case 'minutes':
      return { what: 'Minutes', was: [String(change.was)], is: [String(change.is)] }
    case 'text':
      return { what: 'Text', was: change.gone, is: change.added }
    case 'item-added':
      return { what: 'New question', was: [], is: [plainText(change.stem)] }
    case 'item-gone':
      return { what: 'Question gone', was: [plainText(change.stem)], is: [] }
    case 'item-changed':
      return ofItem(plainText(change.was), plainText(change.is), change.isKey)
    case 'order':
      return { what: 'Order', was: [], is: ['The questions stand in another order.'] }
    case 'material':
      return { what: 'Material', was: [], is: ['Address, words, criteria or files differ.'] }
  }
}

function ofItem(was: string, is: string, isKey: boolean): SaidChange {
  const what = isKey ? 'Answers of a question' : 'Wording of a question'
  return was === is ? { what, was: [], is: [is] } : { what, was: [was], is: [is] }
}
