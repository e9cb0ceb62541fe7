import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { BookId, ResourceId, SchoolId, UserId } from '#core/base'
import { RESOURCE_KINDS, RESOURCE_ROLES } from '#core/library'

export const books = sqliteTable('books', {
  id: text().$type<BookId>().primaryKey(),
  schoolId: text().$type<SchoolId>(),
  position: integer().notNull(),
  body: text().notNull(),
})

export const resources = sqliteTable(
  'resources',
  {
    id: text().$type<ResourceId>().primaryKey(),
    /** Null: part of a textbook every school may use. */
    schoolId: text().$type<SchoolId>(),
    ownerId: text().$type<UserId>(),
    bookId: text().$type<BookId>(),
    bookLessonId: text(),
    position: integer().notNull(),
    code: text().notNull(),
    title: text().notNull(),
    kind: text({ enum: RESOURCE_KINDS }).notNull(),
    role: text({ enum: RESOURCE_ROLES }).notNull(),
    minutes: integer().notNull(),
    grade: integer().notNull(),
    itemCount: integer().notNull(),
    /** Counts the forms that were given out; older ones are kept in their own table. */
    revision: integer().notNull().default(1),
    /** In which language it is written, such as `en`. */
    language: text().notNull().default('en'),
    /** The grade whose readers it suits; null: nobody has said. */
    readingLevel: integer(),
    /** An own piece that the whole school may use. */
    isShared: integer({ mode: 'boolean' }).notNull().default(true),
    /** Standards, content and items with their keys. */
    body: text().notNull(),
  },
  (t) => [
    index('resources_by_book').on(t.bookId, t.position),
    index('resources_by_school').on(t.schoolId),
    uniqueIndex('resources_code').on(t.bookId, t.schoolId, t.code),
  ],
)

/** Earlier forms of pieces that somebody was given. */
export const resourceRevisions = sqliteTable(
  'resource_revisions',
  {
    resourceId: text()
      .$type<ResourceId>()
      .notNull()
      .references(() => resources.id),
    revision: integer().notNull(),
    title: text().notNull(),
    minutes: integer().notNull(),
    itemCount: integer().notNull(),
    body: text().notNull(),
  },
  (t) => [primaryKey({ columns: [t.resourceId, t.revision] })],
)
