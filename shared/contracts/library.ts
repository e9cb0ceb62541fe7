import { z } from 'zod'
import type { BookId, Instant, ResourceId } from '#core/base'
import { FACETS, RESOURCE_KINDS, RESOURCE_ROLES, SEARCH_ORDERS } from '#core/library'
import type { Book, Facet, FacetCounts, Resource, ResourceKind, ResourceRole, Standard } from '#core/library'
import { itemShapes } from '../shapes/items'
import { WIRE } from '../shapes/makers'
import { contract, id, line, prose, version } from './define'

/** A piece before looking inside. */
export interface PieceCard {
  readonly id: ResourceId
  readonly bookId: BookId | null
  readonly bookLessonId: string | null
  readonly code: string
  readonly title: string
  readonly kind: ResourceKind
  readonly role: ResourceRole
  readonly minutes: number
  readonly grade: number
  readonly itemCount: number
  /** Counts the forms in which it was given out. */
  readonly revision: number
  readonly own: boolean
}
export interface Shelf {
  readonly books: readonly Book[]
  readonly pieces: readonly PieceCard[]
  readonly standards: readonly Standard[]
}
export const ShowShelf = contract<Shelf>()({ method: 'GET', path: '/api/shelf' })

/** A piece that was found, with the asker's classes that had it. */
export interface FoundPiece {
  readonly piece: PieceCard
  readonly hadBy: readonly string[]
}
export interface Found {
  readonly total: number
  readonly facets: FacetCounts
  /** The first of them, in the order that was asked for. */
  readonly pieces: readonly FoundPiece[]
}
const facetValues = WIRE.list(line(40), 30)
const shelfFilter = z.strictObject(
  Object.fromEntries(FACETS.map((facet) => [facet, facetValues.optional()])) as Record<
    Facet,
    z.ZodOptional<typeof facetValues>
  >,
)
/** Pieces open to the asker whose words fit, narrowed; without words, all of them. */
export const SearchShelf = contract<Found>()({
  method: 'POST',
  path: '/api/shelf/search',
  body: z.strictObject({ text: prose(200), filter: shelfFilter, order: z.enum(SEARCH_ORDERS) }),
})

export interface Inside {
  readonly resource: Resource
  readonly revision: number
  /** Whether the asker may change it. */
  readonly mayEdit: boolean
  readonly standards: readonly Standard[]
  readonly used: readonly {
    readonly title: string
    readonly className: string
    readonly dueAt: Instant | null
  }[]
}
/** A piece with its items and answers, for teachers. */
export const LookInside = contract<Inside>()({
  method: 'GET',
  path: '/api/resources/:resourceId',
  params: z.strictObject({ resourceId: id<ResourceId>() }),
})

const ownPiece = z.strictObject({
  title: line(120),
  code: z.string().trim().max(16),
  kind: z.enum(RESOURCE_KINDS),
  role: z.enum(RESOURCE_ROLES),
  minutes: z.number().int().min(1, 'is below 1').max(300, 'is above 300'),
  grade: z.number().int().min(1).max(13),
  content: prose(40_000),
  items: WIRE.list(itemShapes(WIRE).item, 100),
})
/** Adds an own piece, found under the school's own pieces. */
export const MakePiece = contract<{ readonly resourceId: ResourceId }>()({
  method: 'POST',
  path: '/api/resources',
  body: ownPiece,
})
/**
 * Changes an own piece as it stood at `revision`. Once it was given out, its former form stays with those who have
 * it, and this is the next one.
 */
export const ChangePiece = contract<{ readonly revision: number; readonly isNewForm: boolean }>()({
  method: 'POST',
  path: '/api/resources/:resourceId',
  params: z.strictObject({ resourceId: id<ResourceId>() }),
  body: ownPiece.extend({ revision: version }),
})
