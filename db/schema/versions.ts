import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { ClassId, ResourceId, SchoolId, TrailId, UserId } from '#core/base'
import { classes } from './calendar'
import { resources } from './library'
import { schools, users } from './people'

/** Support laid over pieces: a layer for each trail for which somebody of the school made one. */
export const layers = sqliteTable(
  'layers',
  {
    schoolId: text()
      .$type<SchoolId>()
      .notNull()
      .references(() => schools.id),
    resourceId: text()
      .$type<ResourceId>()
      .notNull()
      .references(() => resources.id),
    trailId: text().$type<TrailId>().notNull(),
    body: text().notNull(),
    /** Counts changes, so that nobody writes over what they have not seen. */
    version: integer().notNull(),
    changedBy: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
  },
  (t) => [
    primaryKey({ columns: [t.schoolId, t.resourceId, t.trailId] }),
    index('layers_by_piece').on(t.resourceId),
  ],
)

/** A school's own trails and the scores from which steps are suggested; absent: as they come. */
export const trailSettings = sqliteTable('trail_settings', {
  schoolId: text()
    .$type<SchoolId>()
    .primaryKey()
    .references(() => schools.id),
  body: text().notNull(),
  version: integer().notNull(),
})

/** The trail on which learners of a class are unless they have one of their own. */
export const classTrails = sqliteTable('class_trails', {
  classId: text()
    .$type<ClassId>()
    .primaryKey()
    .references(() => classes.id),
  trailId: text().$type<TrailId>().notNull(),
})

/** A learner's own trail in a class. */
export const learnerTrails = sqliteTable(
  'learner_trails',
  {
    classId: text()
      .$type<ClassId>()
      .notNull()
      .references(() => classes.id),
    learnerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    trailId: text().$type<TrailId>().notNull(),
    changedAt: integer().notNull(),
    changedBy: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
  },
  (t) => [primaryKey({ columns: [t.classId, t.learnerId] })],
)
