import { z } from 'zod'
import type { BookId, Instant, ItemId, ResourceId } from '#core/base'
import { RESOURCE_KINDS, RESOURCE_ROLES } from '#core/library'
import type { Book, Resource, ResourceKind, ResourceRole, Standard } from '#core/library'
import { contract, id, line, prose } from './define'

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
  readonly own: boolean
}
export interface Shelf {
  readonly books: readonly Book[]
  readonly pieces: readonly PieceCard[]
}
export const ShowShelf = contract<Shelf>()({ method: 'GET', path: '/api/shelf' })

export interface Inside {
  readonly resource: Resource
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

const base = {
  id: id<ItemId>(),
  stem: line(2000),
  points: z.number().positive('must be above 0').max(100),
  standard: z.string().max(40).nullable(),
  difficulty: z.number().int().min(1).max(5),
  feedback: prose(2000),
}
const options = z.array(z.strictObject({ id: z.string().min(1).max(20), text: prose(500) })).max(12)
export const itemInput = z.discriminatedUnion('kind', [
  z.strictObject({ ...base, kind: z.literal('single'), options, right: z.string().max(20) }),
  z.strictObject({
    ...base,
    kind: z.literal('multiple'),
    options,
    right: z.array(z.string().max(20)).max(12),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('numeric'),
    value: z.number(),
    tolerance: z.number(),
    unit: prose(20),
  }),
  z.strictObject({ ...base, kind: z.literal('text'), accepted: z.array(prose(200)).max(20) }),
])
/** Adds an own piece, found under the school's own pieces. */
export const MakePiece = contract<{ readonly resourceId: ResourceId }>()({
  method: 'POST',
  path: '/api/resources',
  body: z.strictObject({
    title: line(120),
    code: z.string().trim().max(16),
    kind: z.enum(RESOURCE_KINDS),
    role: z.enum(RESOURCE_ROLES),
    minutes: z.number().int().min(1, 'is below 1').max(300, 'is above 300'),
    grade: z.number().int().min(1).max(13),
    content: prose(40_000),
    items: z.array(itemInput).max(100),
  }),
})
