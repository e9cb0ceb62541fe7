import { assertNever } from '../base'
import type { Organiser } from './types'

/** One place of an organiser: what it asks for, and the text that stands there from the start, if any. */
export interface OrganiserCell {
  readonly id: string
  /** What it is about: headings, or its number. */
  readonly of: CellPlace
  readonly given: string | null
}
/** Where a cell stands; words are put on it where it is shown. */
export type CellPlace =
  | { readonly kind: 'table'; readonly column: string; readonly row: string }
  | { readonly kind: 'branch' | 'point' | 'reason' | 'evidence'; readonly number: number }
  | { readonly kind: 'claim' }

/** The cells of an organiser, in the order in which they are filled in. */
export function cellsOf(organiser: Organiser): readonly OrganiserCell[] {
  return placesOf(organiser).map(([id, of]) => ({ id, of, given: organiser.filled[id] ?? null }))
}

/** A line of a table, with its cells. */
export interface OrganiserRow {
  readonly row: string
  readonly cells: readonly OrganiserCell[]
}

/** A table line by line; none where the organiser is no table. */
export function tableRows(organiser: Organiser): readonly OrganiserRow[] {
  if (organiser.kind !== 'table') return []
  const cells = cellsOf(organiser)
  const wide = organiser.columns.length
  return organiser.rows.map((row, r) => ({ row, cells: cells.slice(r * wide, (r + 1) * wide) }))
}

type PlacedCell = readonly [id: string, of: CellPlace]

function placesOf(organiser: Organiser): readonly PlacedCell[] {
  switch (organiser.kind) {
    case 'table':
      return organiser.rows.flatMap((row, r) =>
        organiser.columns.map((column, c): PlacedCell => [
          `r${r + 1}c${c + 1}`,
          { kind: 'table', column, row },
        ]),
      )
    case 'web':
      return numbered(organiser.branches).map((n) => [`b${n}`, { kind: 'branch', number: n }])
    case 'time-line':
      return numbered(organiser.points).map((n) => [`p${n}`, { kind: 'point', number: n }])
    case 'claim':
      return [
        ['claim', { kind: 'claim' }],
        ...numbered(organiser.reasons).flatMap((n): readonly PlacedCell[] => [
          [`reason${n}`, { kind: 'reason', number: n }],
          [`evidence${n}`, { kind: 'evidence', number: n }],
        ]),
      ]
    default:
      return assertNever(organiser)
  }
}

const numbered = (count: number) => Array.from({ length: count }, (_, i) => i + 1)
