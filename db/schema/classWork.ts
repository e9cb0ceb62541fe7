import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type {
  AssignmentId,
  ClassId,
  Instant,
  LessonId,
  PlanId,
  SchoolId,
  SeriesId,
  StandingId,
  UserId,
} from '#core/base'
import { schools, users } from './people'
import { assignments } from './work'

/** Runs of pieces that a class gets one after another. */
export const series = sqliteTable(
  'series',
  {
    id: text().$type<SeriesId>().primaryKey(),
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    classId: text().$type<ClassId>().notNull(),
    authorId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    /** Counts changes, so that nobody writes over what they have not seen. */
    version: integer().notNull(),
    createdAt: integer().notNull(),
    body: text().notNull(),
  },
  (t) => [index('series_by_class').on(t.classId)],
)

/** A class's headings and grading categories; absent: it has none. */
export const classFiling = sqliteTable('class_filing', {
  classId: text().$type<ClassId>().primaryKey(),
  /** Counts changes, so that nobody writes over what they have not seen. */
  version: integer().notNull(),
  body: text().notNull(),
})

/** Learners who wait for work until they have room for it; what they have is in `learner_work`, this is not yet. */
export const workQueue = sqliteTable(
  'work_queue',
  {
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    classId: text().$type<ClassId>().notNull(),
    since: integer().$type<Instant>().notNull(),
    /** When the first of its pieces would open, and the last would end, for them; null: at once, never. */
    opensAt: integer().$type<Instant>(),
    endsAt: integer().$type<Instant>(),
    pieces: integer().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.assignmentId, t.learnerId] }),
    index('work_queue_by_learner').on(t.learnerId),
    index('work_queue_by_class').on(t.classId),
  ],
)

/** Which work a row of a series became. */
export const seriesReleases = sqliteTable(
  'series_releases',
  {
    seriesId: text().$type<SeriesId>().notNull(),
    rowId: text().notNull(),
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
  },
  (t) => [
    primaryKey({ columns: [t.seriesId, t.rowId] }),
    index('series_releases_by_work').on(t.assignmentId),
  ],
)

/** Work that belongs to lessons of a plan. */
export const standing = sqliteTable(
  'standing',
  {
    id: text().$type<StandingId>().primaryKey(),
    planId: text().$type<PlanId>().notNull(),
    lessonId: text().$type<LessonId>().notNull(),
    position: integer().notNull(),
    version: integer().notNull(),
    /** Taken out of the plan; classes that have it are asked what becomes of theirs. */
    isGone: integer({ mode: 'boolean' }).notNull().default(false),
    body: text().notNull(),
  },
  (t) => [index('standing_by_plan').on(t.planId)],
)

/** What classes made of their plan's standing work, and what they answered to its changes. */
export const standingLaid = sqliteTable(
  'standing_laid',
  {
    standingId: text().$type<StandingId>().notNull(),
    classId: text().$type<ClassId>().notNull(),
    /** Null: it was offered, and the class does without. */
    assignmentId: text()
      .$type<AssignmentId>()
      .references(() => assignments.id),
    /** As it was laid, or last taken over; null: never. */
    base: text(),
    /** The version of the plan's piece that the class left as it was; 0: none. */
    refused: integer().notNull().default(0),
  },
  (t) => [
    primaryKey({ columns: [t.standingId, t.classId] }),
    index('standing_laid_by_class').on(t.classId),
    index('standing_laid_by_work').on(t.assignmentId),
  ],
)
