import { foldedName } from './checkFiling'
import type { Filing } from './types'

/** A heading or category that a class does not have. */
export interface NewName {
  readonly part: 'heading' | 'category'
  readonly name: string
}

/** Names that would be new in a class which has names of that sort: they may be slips. */
export function newNames(
  { headings, categories }: Filing,
  said: { readonly heading: string; readonly category: string },
): readonly NewName[] {
  const known = { heading: headings, category: categories.map((c) => c.name) }
  return (['heading', 'category'] as const).flatMap((part) => {
    const name = said[part].trim()
    const isNew = name !== '' && !known[part].some((k) => foldedName(k) === foldedName(name))
    return isNew && known[part].length > 0 ? [{ part, name }] : []
  })
}
