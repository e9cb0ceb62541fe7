import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { BookId, ClassId, Instant, ResourceId, SchoolId, UserId } from '#core/base'
import { classes } from './calendar'
import { books, resources } from './library'
import { users } from './people'

/** What a teacher has put into their tray. */
export const trays = sqliteTable('trays', {
  userId: text()
    .$type<UserId>()
    .primaryKey()
    .references(() => users.id),
  body: text().notNull(),
})

/** A class's textbooks, and what its searches are narrowed by unless one says otherwise. */
export const classShelves = sqliteTable('class_shelves', {
  classId: text()
    .$type<ClassId>()
    .primaryKey()
    .references(() => classes.id),
  body: text().notNull(),
})

/** "If weak here, give that": from a check, or from a standard, to a piece. */
export const guidePointers = sqliteTable(
  'guide_pointers',
  {
    id: text().primaryKey(),
    /** Null: from a textbook. */
    schoolId: text().$type<SchoolId>(),
    fromPiece: text()
      .$type<ResourceId>()
      .references(() => resources.id),
    fromStandard: text(),
    toPiece: text()
      .$type<ResourceId>()
      .notNull()
      .references(() => resources.id),
    /** A school has taken a textbook's pointer out. */
    isOff: integer({ mode: 'boolean' }).notNull(),
  },
  (t) => [
    index('guide_pointers_by_piece').on(t.fromPiece),
    index('guide_pointers_by_standard').on(t.fromStandard),
  ],
)

/** A textbook, or some units of it, opened to a class as practice of one's own choice. */
export const practiceRoutes = sqliteTable(
  'practice_routes',
  {
    id: text().primaryKey(),
    classId: text()
      .$type<ClassId>()
      .notNull()
      .references(() => classes.id),
    bookId: text()
      .$type<BookId>()
      .notNull()
      .references(() => books.id),
    openedBy: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    openedAt: integer().$type<Instant>().notNull(),
    /** Null while it is open. */
    closedAt: integer().$type<Instant>(),
    /** A list of learners to whom alone it is open; null: to the whole class. */
    learnerIds: text(),
    /** Whether it waits for what comes first in the class. */
    waits: integer({ mode: 'boolean' }).notNull().default(false),
  },
  (t) => [index('practice_routes_by_class').on(t.classId)],
)

/** What a learner last did at a piece of a route. */
export const practiceDone = sqliteTable(
  'practice_done',
  {
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    resourceId: text()
      .$type<ResourceId>()
      .notNull()
      .references(() => resources.id),
    times: integer().notNull(),
    /** The share of points of the last time; null: only read. */
    ratio: real(),
    doneAt: integer().$type<Instant>().notNull(),
    /** Items that were not wholly right the last time, a list of their ids. */
    missed: text().notNull().default('[]'),
  },
  (t) => [primaryKey({ columns: [t.learnerId, t.resourceId] })],
)

/** What was read in from a file, so that it can be taken back as one. */
export const shelfImports = sqliteTable(
  'shelf_imports',
  {
    id: text().primaryKey(),
    userId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    madeAt: integer().$type<Instant>().notNull(),
    name: text().notNull(),
    /** Ids of its pieces and of its framework. */
    body: text().notNull(),
    takenBackAt: integer().$type<Instant>(),
  },
  (t) => [index('shelf_imports_by_user').on(t.userId, t.madeAt)],
)
