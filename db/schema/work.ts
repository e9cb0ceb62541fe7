import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type {
  AssignmentId,
  AttemptId,
  ClassId,
  ItemId,
  PageId,
  PieceId,
  PresetId,
  ResourceId,
  SchoolId,
  UserId,
} from '#core/base'
import { ENDED_BY } from '#core/attempts'
import { TARGET_KINDS } from '#core/audience'
import { RESOURCE_KINDS } from '#core/library'
import { NOTICE_KINDS } from '#core/work'
import { schools, users } from './people'
import { resources } from './library'

export const ASSIGNMENT_STATES = ['held', 'published', 'withdrawn'] as const
/** The name of the only piece of assignments that were made before there could be several. */
const FIRST_PIECE = 'p1' as PieceId

export const assignments = sqliteTable(
  'assignments',
  {
    id: text().$type<AssignmentId>().primaryKey(),
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    authorId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    /** Of its first piece; all of them stand in their own table. */
    resourceId: text()
      .$type<ResourceId>()
      .notNull()
      .references(() => resources.id),
    title: text().notNull(),
    note: text().notNull(),
    state: text({ enum: ASSIGNMENT_STATES }).notNull(),
    version: integer().notNull(),
    createdAt: integer().notNull(),
    publishedAt: integer(),
    /** Window as given, and attempt rules. */
    body: text().notNull(),
    /** How often what its learners have was written anew. */
    settled: integer().notNull().default(0),
  },
  (t) => [index('assignments_by_school').on(t.schoolId)],
)

/** The pieces of an assignment, in order, each in the form that is given out. */
export const assignmentPieces = sqliteTable(
  'assignment_pieces',
  {
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
    id: text().$type<PieceId>().notNull(),
    position: integer().notNull(),
    resourceId: text()
      .$type<ResourceId>()
      .notNull()
      .references(() => resources.id),
    revision: integer().notNull(),
    /** When it is done, and what it does differently. */
    body: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.assignmentId, t.id] }),
    index('pieces_by_resource').on(t.resourceId, t.revision),
  ],
)

export const assignmentTargets = sqliteTable(
  'assignment_targets',
  {
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
    kind: text({ enum: TARGET_KINDS }).notNull(),
    refId: text().notNull(),
    position: integer().notNull(),
    overrides: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.assignmentId, t.kind, t.refId] }),
    index('targets_by_ref').on(t.kind, t.refId),
  ],
)

export const assignmentExceptions = sqliteTable(
  'assignment_exceptions',
  {
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
  },
  (t) => [primaryKey({ columns: [t.assignmentId, t.learnerId] })],
)

/** A piece of an assignment as resolved for one learner; there only once it was published. */
export const learnerWork = sqliteTable(
  'learner_work',
  {
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    pieceId: text().$type<PieceId>().notNull(),
    classId: text().$type<ClassId>().notNull(),
    listedAt: integer(),
    opensAt: integer(),
    dueAt: integer(),
    closesAt: integer(),
    putAwayAt: integer(),
    maxAttempts: integer(),
    timeLimitMinutes: integer(),
    /** What of the piece's rules is other; null: nothing. */
    rules: text(),
    /** With how much support they have it, or which task instead; null: the piece has no versions. */
    version: text(),
    because: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.assignmentId, t.learnerId, t.pieceId] }),
    index('learner_work_by_learner').on(t.learnerId),
    index('learner_work_by_class').on(t.classId),
    index('learner_work_closing').on(t.assignmentId, t.pieceId, t.closesAt),
  ],
)

export const attempts = sqliteTable(
  'attempts',
  {
    id: text().$type<AttemptId>().primaryKey(),
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    pieceId: text().$type<PieceId>().notNull().default(FIRST_PIECE),
    revision: integer().notNull().default(1),
    number: integer().notNull(),
    startedAt: integer().notNull(),
    deadlineAt: integer(),
    submittedAt: integer(),
    endedBy: text({ enum: ENDED_BY }),
    score: text(),
    /** The score's ratio, for lists. */
    ratio: real(),
    /** Ids of the items chosen for it, in order; null: all of the piece. */
    items: text(),
    /** The try of their team in which it was handed in for them. */
    sharedFrom: text().$type<AttemptId>(),
  },
  (t) => [
    uniqueIndex('attempts_once').on(t.assignmentId, t.learnerId, t.pieceId, t.number),
    index('attempts_by_learner').on(t.learnerId, t.submittedAt),
  ],
)

export const answers = sqliteTable(
  'answers',
  {
    attemptId: text()
      .$type<AttemptId>()
      .notNull()
      .references(() => attempts.id),
    itemId: text().$type<ItemId>().notNull(),
    value: text().notNull(),
    /** How often it was written, and by which page's which change last. */
    revision: integer().notNull().default(1),
    writer: text()
      .$type<PageId>()
      .notNull()
      .default('' as PageId),
    edit: integer().notNull().default(0),
    /** Given for good: it was looked at before the whole try was handed in. */
    isFinal: integer({ mode: 'boolean' }).notNull().default(false),
    savedAt: integer().notNull(),
  },
  (t) => [primaryKey({ columns: [t.attemptId, t.itemId] })],
)

/** Attempt rules under a name, of one teacher; what they come with by themselves may be narrowed. */
export const presets = sqliteTable(
  'presets',
  {
    id: text().$type<PresetId>().primaryKey(),
    ownerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    name: text().notNull(),
    /** The class whose work begins with them; null: none does by itself. */
    classId: text().$type<ClassId>(),
    /** Only for pieces of this kind. */
    kind: text({ enum: RESOURCE_KINDS }),
    rules: text().notNull(),
  },
  (t) => [index('presets_by_owner').on(t.ownerId)],
)

/** What a learner is told about their work; by mail, too, once it is listed for them. */
export const notices = sqliteTable(
  'notices',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
    kind: text({ enum: NOTICE_KINDS }).notNull(),
    at: integer().notNull(),
    /** From when on they may know of it. */
    fromAt: integer().notNull(),
    readAt: integer(),
    mailedAt: integer(),
  },
  (t) => [
    index('notices_by_learner').on(t.learnerId, t.fromAt),
    index('notices_to_mail').on(t.mailedAt, t.fromAt),
    index('notices_by_work').on(t.assignmentId),
  ],
)
