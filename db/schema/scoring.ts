import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { AttemptId, CommentId, ItemId, UserId } from '#core/base'
import { users } from './people'
import { attempts } from './work'

/** What teachers gave for answers and have not released yet. */
export const scoreDrafts = sqliteTable(
  'score_drafts',
  {
    attemptId: text()
      .$type<AttemptId>()
      .notNull()
      .references(() => attempts.id),
    itemId: text().$type<ItemId>().notNull(),
    /** Levels, comment, and whether there shall be another go. */
    body: text().notNull(),
    /** Counts changes, so that nobody writes over what they have not seen. */
    version: integer().notNull(),
    changedBy: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
  },
  (t) => [primaryKey({ columns: [t.attemptId, t.itemId] })],
)

/** Comments that teachers keep to use them again. */
export const keptComments = sqliteTable(
  'kept_comments',
  {
    id: text().$type<CommentId>().primaryKey(),
    ownerId: text()
      .$type<UserId>()
      .notNull()
      .references(() => users.id),
    text: text().notNull(),
  },
  (t) => [index('kept_comments_by_owner').on(t.ownerId)],
)
