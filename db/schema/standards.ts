import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { SchoolId } from '#core/base'
import { STANDARD_LEVELS } from '#core/library'

/** Where standards come from: a document with a title and, as it was read, an identifier. */
export const frameworks = sqliteTable('frameworks', {
  id: text().primaryKey(),
  /** Null: open to all schools. */
  schoolId: text().$type<SchoolId>(),
  title: text().notNull(),
  /** Its identifier outside. */
  outsideId: text(),
  /** Who wrote it, as it was read; null: it was made here. */
  creator: text(),
})

export const standards = sqliteTable(
  'standards',
  {
    id: text().primaryKey(),
    /** Null: open to all schools. */
    schoolId: text().$type<SchoolId>(),
    frameworkId: text().references(() => frameworks.id),
    code: text().notNull(),
    text: text().notNull(),
    level: text({ enum: STANDARD_LEVELS }).notNull(),
    parent: text(),
    /** Codes of what comes before, as a JSON list. */
    requires: text().notNull(),
    position: integer().notNull(),
    outsideId: text(),
  },
  (t) => [index('standards_by_code').on(t.code), index('standards_by_school').on(t.schoolId, t.position)],
)
