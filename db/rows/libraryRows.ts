import type { BookId, ResourceId, SchoolId, UserId } from '#core/base'
import type { Book, Resource } from '#core/library'
import { bookBody, resourceBody } from './bodies'

/** A resource and where it stands. `schoolId` null: part of a shared textbook. */
export interface ResourceRecord {
  readonly resource: Resource
  readonly schoolId: SchoolId | null
  readonly ownerId: UserId | null
  readonly bookId: BookId | null
  readonly bookLessonId: string | null
  readonly position: number
  /** The whole school may use it. */
  readonly isShared: boolean
  /** Counts the forms that were given out. */
  readonly revision: number
}

type Plain = Omit<Resource, 'standards' | 'content' | 'items' | 'material'>
export type ResourceRow = Plain &
  Omit<ResourceRecord, 'resource'> & { readonly itemCount: number; readonly body: string }

/** Row to resource. */
export function toResource(row: ResourceRow): ResourceRecord {
  const body = resourceBody.read(row.body)
  const { id, code, title, kind, role, minutes, grade, language, readingLevel } = row
  return {
    resource: {
      id: id as ResourceId,
      code,
      title,
      kind,
      role,
      minutes,
      grade,
      language,
      readingLevel,
      ...body,
    },
    schoolId: row.schoolId,
    ownerId: row.ownerId,
    bookId: row.bookId,
    bookLessonId: row.bookLessonId,
    position: row.position,
    isShared: row.isShared,
    revision: row.revision,
  }
}

/** Resource to row. */
export function fromResource({ resource, ...where }: ResourceRecord): ResourceRow {
  const { standards, content, items, material, ...plain } = resource
  return {
    ...plain,
    ...where,
    itemCount: items.length,
    body: resourceBody.print({ standards, content, items, material }),
  }
}

/** Row to textbook. */
export function toBook(row: { readonly id: BookId; readonly body: string }): Book {
  return { id: row.id, ...bookBody.read(row.body) }
}

/** Textbook to stored text. */
export function fromBook(book: Book): string {
  const { id: _, ...rest } = book
  return bookBody.print(rest)
}
