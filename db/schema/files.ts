import { blob, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { AssignmentId, FileId, Instant, PieceId, SchoolId, UserId } from '#core/base'
import { FILE_SORTS } from '#core/library'
import { schools, users } from './people'
import { assignments } from './work'

/** Files that are kept, with their content: a second process finds them, and a backup holds them. */
export const keptFiles = sqliteTable('kept_files', {
  id: text().$type<FileId>().primaryKey(),
  schoolId: text()
    .$type<SchoolId>()
    .notNull()
    .references(() => schools.id),
  ownerId: text()
    .$type<UserId>()
    .notNull()
    .references(() => users.id),
  name: text().notNull(),
  sort: text({ enum: FILE_SORTS }).notNull(),
  type: text().notNull(),
  size: integer().notNull(),
  madeAt: integer().$type<Instant>().notNull(),
  /** Since when it is part of a piece; until then it is its owner's alone. */
  attachedAt: integer().$type<Instant>(),
  bytes: blob({ mode: 'buffer' }).notNull(),
})

/** Files that learners handed in for a piece of their work. */
export const handedFiles = sqliteTable(
  'handed_files',
  {
    assignmentId: text()
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignments.id),
    pieceId: text().$type<PieceId>().notNull(),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    fileId: text()
      .$type<FileId>()
      .notNull()
      .references(() => keptFiles.id),
    handedAt: integer().$type<Instant>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.assignmentId, t.pieceId, t.learnerId, t.fileId] }),
    index('handed_files_by_file').on(t.fileId),
  ],
)
