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
    role: text({ enum: ROLES }).notNull(),
    office: integer({ mode: 'boolean' }).notNull(),
    timePercent: integer().notNull(),
    extraAttempts: integer().notNull(),
    extraDays: integer().notNull(),
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

export const throttles = sqliteTable('throttles', {
  key: text().primaryKey(),
  failures: integer().notNull(),
  sinceAt: integer().notNull(),
})

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
  },
  (t) => [index('groups_by_class').on(t.classId)],
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
