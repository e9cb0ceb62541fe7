import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { ClassId, GroupId, SchoolId, UserId } from '#core/base'
import { ROLES } from '#core/access'

export const schools = sqliteTable('schools', {
  id: text().$type<SchoolId>().primaryKey(),
  name: text().notNull(),
  createdAt: integer().notNull(),
})

export const users = sqliteTable(
  'users',
  {
    id: text().$type<UserId>().primaryKey(),
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    name: text().notNull(),
    signIn: text().notNull().unique(),
    passwordHash: text().notNull(),
    /** Set by a teacher's reset: the next sign-in has to choose another. */
    mustChangePassword: integer({ mode: 'boolean' }).notNull().default(false),
    role: text({ enum: ROLES }).notNull(),
    office: integer({ mode: 'boolean' }).notNull(),
    timePercent: integer().notNull(),
    extraAttempts: integer().notNull(),
    extraDays: integer().notNull(),
    /** A learner's; null: not said. */
    grade: integer(),
    createdAt: integer().notNull(),
  },
  (t) => [index('users_by_school').on(t.schoolId)],
)

export const sessions = sqliteTable(
  'sessions',
  {
    id: text().primaryKey(),
    userId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    createdAt: integer().notNull(),
    expiresAt: integer().notNull(),
  },
  (t) => [index('sessions_by_user').on(t.userId)],
)

/** Tries at a door by whom or where they are counted; a row is forgotten when it has expired. */
export const throttles = sqliteTable(
  'throttles',
  {
    key: text().primaryKey(),
    failures: integer().notNull(),
    sinceAt: integer().notNull(),
    nextAt: integer().notNull().default(0),
    expiresAt: integer().notNull().default(0),
  },
  (t) => [index('throttles_by_expiry').on(t.expiresAt)],
)

/** Browsers and addresses from which somebody signed in before, by what cannot be turned back into them. */
export const knownPlaces = sqliteTable(
  'known_places',
  {
    userId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id, { onDelete: 'cascade' }),
    id: text().notNull(),
    seenAt: integer().notNull(),
  },
  (t) => [primaryKey({ columns: [t.userId, t.id] }), index('known_places_by_place').on(t.id)],
)

export const groups = sqliteTable(
  'groups',
  {
    id: text().$type<GroupId>().primaryKey(),
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    ownerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    classId: text().$type<ClassId>().notNull(),
    name: text().notNull(),
    archivedAt: integer(),
    /** Who is in it by how they stand; null: whoever was put in. */
    rule: text(),
  },
  (t) => [index('groups_by_class').on(t.classId)],
)

/** Classes in which a group stands beside the one it was made in: it may hold learners of several. */
export const groupClasses = sqliteTable(
  'group_classes',
  {
    groupId: text()
      .$type<GroupId>()
      .notNull()
      .references(() => groups.id, { onDelete: 'cascade' }),
    classId: text().$type<ClassId>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.groupId, t.classId] }), index('group_classes_by_class').on(t.classId)],
)

export const groupMembers = sqliteTable(
  'group_members',
  {
    groupId: text()
      .$type<GroupId>()
      .notNull()
      .references(() => groups.id, { onDelete: 'cascade' }),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
  },
  (t) => [primaryKey({ columns: [t.groupId, t.learnerId] })],
)
