import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { BookId, ClassId, PlanId, SchoolId, UserId } from '#core/base'
import { schools, users } from './people'

export const plans = sqliteTable(
  'plans',
  {
    id: text().$type<PlanId>().primaryKey(),
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    ownerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    bookId: text().$type<BookId>(),
    version: integer().notNull(),
    archivedAt: integer(),
    body: text().notNull(),
  },
  (t) => [index('plans_by_school').on(t.schoolId)],
)

/** `passed`: done, and passed over by undo, since it can be taken back no longer. */
export const JOURNAL_STATES = ['done', 'undone', 'dropped', 'passed'] as const

export const journal = sqliteTable(
  'journal',
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    actorId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    /** Ids of the classes, plan and year an act is about, each with a space around it. */
    touches: text().notNull().default(''),
    at: integer().notNull(),
    state: text({ enum: JOURNAL_STATES }).notNull(),
    command: text().notNull(),
  },
  (t) => [index('journal_by_actor').on(t.actorId, t.state, t.seq)],
)

/** Private calendar addresses; a row is taken out when its address is revoked. */
export const feeds = sqliteTable(
  'feeds',
  {
    token: text().primaryKey(),
    classId: text().$type<ClassId>().notNull(),
    userId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    createdAt: integer().notNull(),
  },
  (t) => [index('feeds_by_class').on(t.classId, t.userId)],
)
