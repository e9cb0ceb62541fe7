import { FACETS } from '#core/library'
import type { Facet, ShelfFilter } from '#core/library'

/** By what a search is narrowed, as an address has it: `kind:check,test;grade:8`. Nothing at all is a dash. */
export function filterAsText(filter: ShelfFilter): string {
  const parts = FACETS.flatMap((facet) => {
    const values = filter[facet] ?? []
    return values.length > 0 ? [`${facet}:${values.join(',')}`] : []
  })
  return parts.length > 0 ? parts.join(';') : NOTHING
}

const NOTHING = '-'

/** The same read again; null: the address says nothing of it. What is no facet is left out. */
export function filterIn(text: string | null): ShelfFilter | null {
  if (text === null) return null
  const known = new Set<string>(FACETS)
  const filter: Partial<Record<Facet, readonly string[]>> = {}
  for (const part of text.split(';')) {
    const [facet = '', values = ''] = part.split(':')
    const chosen = values.split(',').filter((v) => v !== '')
    if (known.has(facet) && chosen.length > 0) filter[facet as Facet] = chosen
  }
  return filter
}
