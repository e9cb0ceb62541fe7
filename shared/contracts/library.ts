import { z } from 'zod'
import type { BookId, ClassId, Instant, PlanId, ResourceId, UserId } from '#core/base'
import { MOST_IN_TRAY, RESOURCE_KINDS, RESOURCE_ROLES, SEARCH_ORDERS } from '#core/library'
import type {
  Book,
  ClassShelf,
  FacetCounts,
  Item,
  OnTheWay,
  PieceChange,
  Resource,
  ResourceKind,
  ResourceRole,
  Source,
  Standard,
  Tray,
  Way,
} from '#core/library'
import { itemShapes } from '../shapes/items'
import { libraryShapes } from '../shapes/library'
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
  readonly source: Source
  readonly language: string
  readonly readingLevel: number | null
}
export interface Shelf {
  readonly books: readonly Book[]
  readonly pieces: readonly PieceCard[]
  readonly standards: readonly Standard[]
}
export const ShowShelf = contract<Shelf>()({ for: 'teacher', method: 'GET', path: '/api/shelf' })

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
const { material, shelfFilter, classShelf } = libraryShapes(WIRE)
/** Pieces open to the asker whose words fit, narrowed; without words, all of them. */
export const SearchShelf = contract<Found>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/shelf/search',
  body: z.strictObject({ text: prose(200), filter: shelfFilter, order: z.enum(SEARCH_ORDERS) }),
})

export interface Inside {
  readonly resource: Resource
  readonly revision: number
  /** Former forms that are kept, the first one first. */
  readonly formerForms: readonly number[]
  /** Whether the asker may change it. */
  readonly mayEdit: boolean
  /** An own piece that the whole school may use. */
  readonly isShared: boolean
  readonly source: Source
  /** Names of the trails for which it has a version, from least support. */
  readonly versions: readonly string[]
  readonly standards: readonly Standard[]
  readonly used: readonly {
    readonly title: string
    readonly className: string
    readonly dueAt: Instant | null
  }[]
}
/** A piece with its items and answers, for teachers. */
export const LookInside = contract<Inside>()({
  for: 'teacher',
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
  language: line(12),
  readingLevel: WIRE.whole(1, 13).nullable(),
  standards: WIRE.list(line(40), 100),
  material,
  items: WIRE.list(itemShapes(WIRE).item, 100),
})
/** Adds an own piece, found under the school's own pieces. */
export const MakePiece = contract<{ readonly resourceId: ResourceId }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/resources',
  // the textbook lesson that it goes with
  body: ownPiece.extend({ bookLessonId: line(60).nullable().default(null) }),
})
/**
 * Changes an own piece as it stood at `revision`. Once it was given out, its former form stays with those who have
 * it, and this is the next one.
 */
export const ChangePiece = contract<{ readonly revision: number; readonly isNewForm: boolean }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/resources/:resourceId',
  params: z.strictObject({ resourceId: id<ResourceId>() }),
  body: ownPiece.extend({ revision: version }),
})

/** With what the asker likely goes on: where their classes are in textbooks, and what they gave last. */
export const ShowShelfNow = contract<{
  readonly lessons: readonly {
    readonly bookLessonId: string
    readonly number: string
    readonly title: string
    readonly classes: readonly string[]
  }[]
  readonly given: readonly ResourceId[]
}>()({ for: 'teacher', method: 'GET', path: '/api/shelf-now' })
/** What the asker has in their tray. Pieces that are no longer open to them are not in it. */
export const ShowTray = contract<Tray>()({ for: 'teacher', method: 'GET', path: '/api/tray' })
const some = WIRE.list(id<ResourceId>(), MOST_IN_TRAY)
/** Puts into the tray, takes out, puts in order, sets its limit in minutes, or sets all aside for later. */
export const ChangeTray = contract<Tray>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/tray',
  body: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('put-in'), pieces: some }),
    z.strictObject({ kind: z.literal('take-out'), pieces: some }),
    z.strictObject({ kind: z.literal('order'), pieces: some }),
    z.strictObject({ kind: z.literal('limit'), minutes: WIRE.whole(1, 5000).nullable() }),
    z.strictObject({ kind: z.literal('set-aside'), name: line(60) }),
    z.strictObject({ kind: z.literal('take-up'), name: line(60) }),
    z.strictObject({ kind: z.literal('forget'), name: line(60) }),
  ]),
})
/** Pieces by short codes that were typed or pasted; a code of several textbooks names each. */
export const ReadCodes = contract<{
  readonly found: readonly PieceCard[]
  readonly unknown: readonly string[]
}>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/shelf/codes',
  body: z.strictObject({ text: prose(4000) }),
})

const ofClass = z.strictObject({ classId: id<ClassId>() })
/** A class's textbooks, and by what its searches are narrowed. */
export const ShowClassShelf = contract<ClassShelf>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/shelf',
  params: ofClass,
})
export const SetClassShelf = contract<ClassShelf>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/shelf',
  params: ofClass,
  body: z.strictObject({
    shelf: classShelf as unknown as z.ZodType<ClassShelf>,
    /** What stood there when it was opened. */
    seen: classShelf as unknown as z.ZodType<ClassShelf>,
  }),
})

/** A lesson of a plan in which a standard is taught or assessed. */
export interface WherePlanned {
  readonly planId: PlanId
  readonly planTitle: string
  readonly number: string
  readonly title: string
  readonly how: 'taught' | 'assessed'
}
export interface StandardPage {
  readonly standard: Standard
  /** What holds it, from the top down. */
  readonly path: readonly Standard[]
  /** What it needs and what needs it, as far as is drawn. */
  readonly nodes: readonly OnTheWay[]
  readonly ways: readonly Way[]
  readonly pieces: readonly PieceCard[]
  readonly itemCount: number
  readonly planned: readonly WherePlanned[]
}
/** All about one standard that is open to the asker. */
export const ShowStandard = contract<StandardPage>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/standards/:code',
  params: z.strictObject({ code: line(60) }),
})

/** In which grades the shelf has pieces for each standard, by its code. */
export const ShowGradesServed = contract<{ readonly grades: Readonly<Record<string, readonly number[]>> }>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/standards-grades',
})

/** An item that was drawn for a check, and the piece from which it comes. */
export interface DrawnItem {
  readonly item: Item
  readonly from: { readonly code: string; readonly title: string }
}
export interface DrawnCheck {
  readonly items: readonly DrawnItem[]
  /** Standards with fewer items than were asked for, and by how many. */
  readonly short: readonly { readonly standard: string; readonly missing: number }[]
}
/** Draws items for a check from all banks open to the asker; the same seed draws the same. */
export const DrawCheck = contract<DrawnCheck>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/shelf/draw-check',
  body: z.strictObject({
    standards: WIRE.list(line(60), 12),
    perStandard: WIRE.whole(1, 20),
    /** In percent; null: whatever comes. */
    mix: z
      .strictObject({ easy: WIRE.whole(0, 100), middle: WIRE.whole(0, 100), hard: WIRE.whole(0, 100) })
      .nullable(),
    seed: prose(60),
  }),
})

const ofPiece = z.strictObject({ resourceId: id<ResourceId>() })
/** Opens an own piece to the whole school, or takes it back. */
export const SharePiece = contract<{ readonly isShared: boolean }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/resources/:resourceId/share',
  params: ofPiece,
  body: z.strictObject({ isShared: z.boolean() }),
})
/** Makes an own copy of any piece. */
export const CopyPiece = contract<{ readonly resourceId: ResourceId }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/resources/:resourceId/copy',
  params: ofPiece,
})
/** Takes an own piece off the shelf for good; not while work gives it out. */
export const DropPiece = contract<{ readonly title: string }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/resources/:resourceId/drop',
  params: ofPiece,
})
export interface Difference {
  /** The one there is now. */
  readonly revision: number
  readonly changes: readonly PieceChange[]
}
/** What differs between a piece's form of some revision and the one it has now. */
export const ShowDifference = contract<Difference>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/resources/:resourceId/difference/:revision',
  params: ofPiece.extend({ revision: z.coerce.number().int().min(1) }),
})

/** "If weak here, give that": from the piece itself, or from a standard that it serves. */
export interface Guide {
  readonly pointers: readonly { readonly standard: string | null; readonly to: PieceCard }[]
}
export const ShowGuide = contract<Guide>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/resources/:resourceId/guide',
  params: ofPiece,
})
/** Points from a check or a standard to a piece, or no longer. */
export const SetPointer = contract<{ readonly isOn: boolean }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/guide',
  body: z.strictObject({
    from: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('piece'), resourceId: id<ResourceId>() }),
      z.strictObject({ kind: z.literal('standard'), code: line(60) }),
    ]),
    to: id<ResourceId>(),
    isOn: z.boolean(),
  }),
})

interface Routes {
  readonly bookIds: readonly BookId[]
}
/** Textbooks that are open to a class as practice. */
export const ShowRoutes = contract<Routes>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/routes',
  params: ofClass,
})
/** Opens a textbook to a class as practice, or closes it. */
export const SetRoute = contract<Routes>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/routes',
  params: ofClass,
  body: z.strictObject({
    bookId: id<BookId>(),
    isOpen: z.boolean(),
    /** To whom alone it is open; null: to the whole class. */
    learnerIds: WIRE.list(id<UserId>(), 400).nullable().default(null),
    /** Whether it waits for what comes first in the class. */
    waits: z.boolean().default(false),
  }),
})
