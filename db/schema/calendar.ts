import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { ClassId, PlanId, SchoolId, UserId, YearId } from '#core/base'
import { schools, users } from './people'

export const years = sqliteTable(
  'years',
  {
    id: text().$type<YearId>().primaryKey(),
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    version: integer().notNull(),
    archivedAt: integer(),
    body: text().notNull(),
  },
  (t) => [index('years_by_school').on(t.schoolId)],
)

export const classes = sqliteTable(
  'classes',
  {
    id: text().$type<ClassId>().primaryKey(),
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    yearId: text()
      .$type<YearId>()
      .notNull()
      .references(() => years.id),
    name: text().notNull(),
    shortName: text().notNull(),
    course: text().notNull(),
    joinCode: text().notNull().unique(),
    joinOpen: integer({ mode: 'boolean' }).notNull().default(true),
    planId: text().$type<PlanId>(),
    position: integer().notNull(),
    version: integer().notNull(),
    archivedAt: integer(),
    /** Who took it out of use; null: it is in use, went with its year, or nobody has noted it. */
    archivedBy: text().$type<UserId>(),
    /** Pattern, own lengths and meeting changes. */
    body: text().notNull(),
  },
  (t) => [index('classes_by_school').on(t.schoolId)],
)

export const classTeachers = sqliteTable(
  'class_teachers',
  {
    classId: text()
      .$type<ClassId>()
      .notNull()
      .references(() => classes.id),
    userId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
  },
  (t) => [primaryKey({ columns: [t.classId, t.userId] }), index('class_teachers_by_user').on(t.userId)],
)

export const enrolments = sqliteTable(
  'enrolments',
  {
    classId: text()
      .$type<ClassId>()
      .notNull()
      .references(() => classes.id),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    joinedAt: integer().notNull(),
    /** Their start line, where it is not when they joined. */
    startsAt: integer(),
    leftAt: integer(),
  },
  (t) => [primaryKey({ columns: [t.classId, t.learnerId] }), index('enrolments_by_learner').on(t.learnerId)],
)
