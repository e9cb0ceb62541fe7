import type { ResultSet } from '@libsql/client'
import type { BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core'
import type { Role } from '#core/access'
import type { AttemptId, Instant, SchoolId, UserId } from '#core/base'
import type { AnswerChange, KeptAnswer, Taken } from '#core/attempts'

/** A reading connection or an open write transaction; repositories take either. */
export type Connection = BaseSQLiteDatabase<'async', ResultSet>

/** Changes of answers of one try. */
export interface AnswerSaves {
  readonly attemptId: AttemptId
  readonly changes: readonly AnswerChange[]
  readonly savedAt: Instant
}
/** What became of one change, and what stands now. */
export interface SavedAnswer {
  readonly taken: Taken
  readonly stands: KeptAnswer
}

/** Who a session belongs to, in which school. */
export interface SessionUser {
  readonly id: UserId
  readonly schoolId: SchoolId
  readonly schoolName: string
  readonly name: string
  readonly role: Role
  readonly office: boolean
  readonly mustChangePassword: boolean
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
  /** The same for what may as well be written by whoever looks later: it hardly waits for another process. */
  readonly writeSoon: <T>(work: (tx: Connection) => Promise<T>) => Promise<T>
  /**
   * Gathered with other saves into one commit; resolves after it, a change each. Null: the try was handed in
   * before, nothing was saved.
   */
  readonly saveAnswers: (saves: AnswerSaves) => Promise<readonly SavedAnswer[] | null>
  /** Moves everything into the database file itself, so that it can be copied. */
  /** Who a session belongs to while it lasts, else null; quick, and never older than the last commit. */
  readonly session: (id: string, now: Instant) => Promise<SessionUser | null>
  /** Whether the database takes writes now; looked at again every few seconds at most. */
  readonly canWrite: () => Promise<boolean>
  /** Writes that wait for their turn. */
  readonly waiting: () => number
  readonly settle: () => Promise<void>
  readonly close: () => void
}
