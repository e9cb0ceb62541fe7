import { assertNever } from '../base'
import type { BookId, ResourceId } from '../base'
import { cardOfKind } from './resourceCards'
import type { ResourceKind, ResourceRole } from './types'

/** Where a piece comes from. */
export const SOURCES = ['textbook', 'school', 'own'] as const
export type Source = (typeof SOURCES)[number]

/** What a search looks at of a piece; `rank` is smaller the better its words fit. */
export interface PieceFacts {
  readonly id: ResourceId
  readonly kind: ResourceKind
  readonly role: ResourceRole
  readonly grade: number
  readonly minutes: number
  readonly source: Source
  readonly language: string
  readonly readingLevel: number | null
  readonly title: string
  /** Somebody of the school has laid support over it. */
  readonly hasVersions: boolean
  readonly rank: number
}

export const FACETS = [
  'kind',
  'role',
  'grade',
  'length',
  'source',
  'scoring',
  'versions',
  'level',
  'language',
] as const
/** By what what was found can be narrowed. */
export type Facet = (typeof FACETS)[number]
/** Values to choose among; an absent facet, or an empty list, narrows nothing. */
export type ShelfFilter = Readonly<Partial<Record<Facet, readonly string[]>>>
/** A value with how many pieces have it. */
export interface FacetCount {
  readonly value: string
  readonly count: number
}
export type FacetCounts = Readonly<Record<Facet, readonly FacetCount[]>>

/** A class's textbooks, in order, and what its searches are narrowed by unless one says otherwise. */
export interface ClassShelf {
  readonly bookIds: readonly BookId[]
  readonly filter: ShelfFilter
}

export const SEARCH_ORDERS = ['fit', 'title', 'shortest'] as const
export type SearchOrder = (typeof SEARCH_ORDERS)[number]

/** As many words of a search are looked for; more say nothing more. */
const MOST_WORDS = 8
/** Bounds in minutes, each included. */
const LENGTHS = [10, 20, 40] as const

/** The words of what was typed that can be looked for: parts with a letter or a digit, of a standard's code too. */
export function wordsOf(text: string): readonly string[] {
  return text
    .split(/[\s"\p{C}]+/u)
    .filter((word) => /[\p{L}\p{N}]/u.test(word))
    .slice(0, MOST_WORDS)
}

/** The value of a piece for a facet. */
export function valueOf(facet: Facet, piece: PieceFacts): string {
  switch (facet) {
    case 'kind':
      return piece.kind
    case 'role':
      return piece.role
    case 'grade':
      return String(piece.grade)
    case 'length':
      return lengthOf(piece.minutes)
    case 'source':
      return piece.source
    case 'scoring':
      return scoringOf(piece.kind)
    case 'versions':
      return piece.hasVersions ? 'versions' : 'no-versions'
    case 'level':
      return piece.readingLevel === null ? 'unknown' : String(piece.readingLevel)
    case 'language':
      return piece.language
    default:
      return assertNever(facet)
  }
}

/** By whom a kind is scored: by itself, by a person along criteria, or by nobody. */
function scoringOf(kind: ResourceKind): string {
  const { isScored, hasCriteria } = cardOfKind(kind)
  if (isScored) return 'self-scoring'
  return hasCriteria ? 'by-hand' : 'no-score'
}

function lengthOf(minutes: number): string {
  const most = LENGTHS.find((l) => minutes <= l)
  return most === undefined ? 'longer' : `to-${most}`
}

/** Pieces that the filter leaves, in order: as they fit, by title, or the shortest first. */
export function narrowed(
  found: readonly PieceFacts[],
  filter: ShelfFilter,
  order: SearchOrder,
): readonly PieceFacts[] {
  return [...left(found, filter, null)].sort(COMPARE[order])
}

/**
 * How many pieces have each value of each facet, counted with what the other facets leave: so that a count says what
 * choosing the value as well would show. Values that nobody has any more are there only when they are chosen.
 */
export function facetCounts(found: readonly PieceFacts[], filter: ShelfFilter): FacetCounts {
  return Object.fromEntries(FACETS.map((facet) => [facet, countsOf(facet, found, filter)])) as FacetCounts
}

function countsOf(facet: Facet, found: readonly PieceFacts[], filter: ShelfFilter): readonly FacetCount[] {
  const counts = new Map<string, number>((filter[facet] ?? []).map((value) => [value, 0]))
  for (const piece of left(found, filter, facet)) {
    const value = valueOf(facet, piece)
    counts.set(value, (counts.get(value) ?? 0) + 1)
  }
  return [...counts]
    .map(([value, count]) => ({ value, count }))
    .sort((a, b) => b.count - a.count || (a.value < b.value ? -1 : 1))
}

/** Pieces that have a chosen value of each facet, but for one that is not looked at. */
function left(found: readonly PieceFacts[], filter: ShelfFilter, but: Facet | null): readonly PieceFacts[] {
  // there may be thousands of pieces, and mostly nothing is chosen
  const asked = FACETS.filter((facet) => facet !== but && (filter[facet]?.length ?? 0) > 0)
  if (asked.length === 0) return found
  return found.filter((piece) => asked.every((facet) => filter[facet]?.includes(valueOf(facet, piece))))
}

// made once: a comparison by language makes its rules anew each time otherwise
const TITLES = new Intl.Collator('en')
const byTitle = (a: PieceFacts, b: PieceFacts) => TITLES.compare(a.title, b.title) || byId(a, b)
// the same order at every look
const byId = (a: PieceFacts, b: PieceFacts) => (a.id < b.id ? -1 : 1)
const COMPARE: Record<SearchOrder, (a: PieceFacts, b: PieceFacts) => number> = {
  fit: (a, b) => a.rank - b.rank || byTitle(a, b),
  title: byTitle,
  shortest: (a, b) => a.minutes - b.minutes || byTitle(a, b),
}
