import type { ResultSet } from '@libsql/client'
import type { BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core'
import type { AttemptId, Instant, ItemId } from '#core/base'
import type { Answer } from '#core/library'

/** A reading connection or an open write transaction; repositories take either. */
export type Connection = BaseSQLiteDatabase<'async', ResultSet>

export interface AnswerSave {
  readonly attemptId: AttemptId
  readonly itemId: ItemId
  readonly answer: Answer
  readonly savedAt: Instant
}

/** The database as use-cases see it. */
export interface Store {
  /** For reading only; sees what is committed. */
  readonly read: Connection
  /**
   * One write transaction; all or nothing. The work may be run again when another process holds the file, so
   * it has no effect outside.
   */
  readonly write: <T>(work: (tx: Connection) => Promise<T>) => Promise<T>
  /**
   * Gathered with other saves into one commit; resolves after it. False: the try was handed in before,
   * nothing was saved.
   */
  readonly saveAnswers: (saves: readonly AnswerSave[]) => Promise<boolean>
  /** Moves everything into the database file itself, so that it can be copied. */
  readonly settle: () => Promise<void>
  readonly close: () => void
}
