import type { Filing, Renamed } from '#core/filing'
import type { ClassFiling } from '#shared/contracts/filing'

/** A row as it is edited; `was` is the name that it had, null for one that is new. */
export interface FilingRow {
  readonly key: string
  readonly name: string
  readonly was: string | null
  readonly weight: number
  /** As many as a learner may have open at once; null: as many as come. */
  readonly most: number | null
}

/** Rows of both lists as they are kept. */
export interface FilingDraft {
  readonly headings: readonly FilingRow[]
  readonly categories: readonly FilingRow[]
}

/** The lists as the server has them. */
export function draftOf({ filing }: ClassFiling): FilingDraft {
  const row = (name: string): FilingRow => ({ key: name, name, was: name, weight: 0, most: null })
  return {
    headings: filing.headings.map(row),
    categories: filing.categories.map((c) => ({ ...row(c.name), ...c })),
  }
}

/** What is to be kept. */
export function filingIn({ headings, categories }: FilingDraft): Filing {
  return {
    headings: headings.map((r) => r.name.trim()),
    categories: categories.map((r) => ({ name: r.name.trim(), weight: r.weight, most: r.most })),
  }
}

/** Rows that had another name. */
export function renamedIn({ headings, categories }: FilingDraft): readonly Renamed[] {
  const of = (part: Renamed['part'], rows: readonly FilingRow[]) =>
    rows.flatMap((r) => {
      const to = r.name.trim()
      return r.was !== null && r.was !== to && to !== '' ? [{ part, from: r.was, to }] : []
    })
  return [...of('heading', headings), ...of('category', categories)]
}

/**
 * Of renamed rows those whose former name is gone from what is kept, too: work stays under a name that a colleague has
 * kept.
 */
export function renamedAway(renamed: readonly Renamed[], mine: Filing, kept: Filing): readonly Renamed[] {
  const own = namesIn(mine)
  const all = namesIn(kept)
  return renamed.filter(({ part, from }) => own[part].includes(from) || !all[part].includes(from))
}
const namesIn = ({ headings, categories }: Filing) => ({
  heading: headings,
  category: categories.map((c) => c.name),
})

/** A row in another place; places count from 0, and one beyond the ends is the end. */
export function movedRow(rows: readonly FilingRow[], key: string, by: 1 | -1): readonly FilingRow[] {
  const at = rows.findIndex((r) => r.key === key)
  const row = rows[at]
  const to = at + by
  if (!row || to < 0 || to >= rows.length) return rows
  return rows.filter((r) => r.key !== key).toSpliced(to, 0, row)
}
