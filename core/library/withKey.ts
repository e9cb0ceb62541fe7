import { fromTyped } from './kinds'
import type { Item } from './kinds'

/** A key as it is given: which options are right, or what was typed, by field. */
export interface KeyGiven {
  readonly rights: readonly string[]
  readonly typed: Readonly<Record<string, string>>
}

/** Whether a question's key is ticked or stands in a line, apart from what its learners are asked. */
export function hasPlainKey({ kind }: Pick<Item, 'kind'>): boolean {
  return kind === 'single' || kind === 'multiple' || kind === 'numeric' || kind === 'text'
}

/** A question with another key; one that cannot be read becomes one that `checkItem` refuses. */
export function withKey(item: Item, { rights, typed }: KeyGiven): Item {
  if (item.kind === 'single') return { ...item, right: rights[0] ?? '' }
  if (item.kind === 'multiple') {
    const right = item.options.map((o) => o.id).filter((id) => rights.includes(id))
    return { ...item, right }
  }
  const text = (field: string) => (typed[field] ?? '').trim()
  return fromTyped(item.kind, item, { text, options: [] })
}
