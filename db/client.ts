import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { drizzle } from 'drizzle-orm/libsql'
import { preparedReader } from './preparedReader'
import { gathered } from './repositories/answerSaves'
import { CannotWrite, saysCannotWrite } from './repositories/cannotWrite'
import { cachedSessions } from './repositories/sessionCache'
import { answersDirectly } from './repositories/ask'
import { keepReads } from './repositories/keptReads'
import type { Connection, Store } from './repositories/store'

export interface OpenOptions {
  /** A path, `file:` or remote libSQL address. */
  readonly url: string
  readonly authToken?: string
  readonly migrationsFolder: string
  /** How long one statement waits for another process's lock; milliseconds. */
  readonly busyTimeoutMs?: number
  /**
   * False only for files that can be made again, such as the demo's. Default true: every commit is on the
   * disk before it is acknowledged.
   */
  readonly safeOnPowerLoss?: boolean
}

const TRIES = 8

/** SQLITE_BUSY anywhere in the chain of causes; Drizzle wraps what the client throws. */
export function isBusy(error: unknown): boolean {
  for (let e: unknown = error; e instanceof Error; e = e.cause) {
    if (
      /SQLITE_(BUSY|LOCKED)/.test(String((e as { code?: string }).code ?? '')) ||
      /SQLITE_BUSY|database is locked/i.test(e.message)
    )
      return true
  }
  return false
}

async function setPragmas(client: Client, timeout: number, safe: boolean): Promise<void> {
  for (const pragma of [
    'journal_mode = WAL',
    `synchronous = ${safe ? 'FULL' : 'OFF'}`,
    'foreign_keys = ON',
    `busy_timeout = ${timeout}`,
  ])
    await client.execute(`PRAGMA ${pragma}`)
}

/**
 * Runs acts one after another, and each again after a busy database: the client keeps a broken open write on a
 * connection that has once been busy and then acknowledges what it loses, so the connection is renewed before
 * anything else happens on it.
 */
export function writeQueue(renew: () => Promise<void>): <T>(act: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve()
  const attempt = async <T>(act: () => Promise<T>): Promise<T> => {
    for (let tries = 1; ; tries++) {
      try {
        return await act()
      } catch (error) {
        if (saysCannotWrite(error)) {
          // whatever the connection still holds open would be in the way once there is room again
          await renew().catch(() => undefined)
          throw new CannotWrite(error)
        }
        if (!isBusy(error)) throw error
        await renew()
        if (tries >= TRIES) throw error
        await new Promise((resolve) => setTimeout(resolve, 5 + Math.random() * 20 * tries))
      }
    }
  }
  return (act) => {
    const turn = last.then(() => attempt(act))
    last = turn.catch(() => undefined)
    return turn
  }
}

function addressOf(url: string): { readonly url: string; readonly file: string | null } {
  if (/^(libsql|https?|wss?):/.test(url)) return { url, file: null }
  const file = url.startsWith('file:')
    ? fileURLToPath(url.startsWith('file:/') ? url : pathToFileURL(url.slice(5)))
    : url
  return { url: pathToFileURL(file).href, file }
}

/**
 * Opens (and where needed creates and migrates) the database. Throws with a plain message when the file
 * cannot be used.
 */
export async function openStore(options: OpenOptions): Promise<Store> {
  const { url, file } = addressOf(options.url)
  if (file && !existsSync(dirname(file))) mkdirSync(dirname(file), { recursive: true })
  const timeout = options.busyTimeoutMs ?? 2000
  const safe = options.safeOnPowerLoss ?? true
  const auth = options.authToken === undefined ? {} : { authToken: options.authToken }
  const writer = createClient({ url, concurrency: 1, timeout, ...auth })
  const queue = writeQueue(async () => {
    await writer.reconnect()
    if (file) await setPragmas(writer, timeout, safe)
  })
  try {
    if (file) {
      await queue(() => setPragmas(writer, timeout, safe))
      const health = await writer.execute('PRAGMA integrity_check(1)')
      if (health.rows[0]?.[0] !== 'ok')
        throw new Error(
          `The database file ${file} is damaged: ${String(health.rows[0]?.[0])}. Restore a backup.`,
        )
    }
    await queue(() => migrate(writer, options.migrationsFolder))
    // a file that may only be read lets a transaction begin; only a write shows it
    await queue(() => touched(writer, file !== null))
  } catch (error) {
    writer.close()
    throw error
  }
  const reader = file ? preparedReader(file, timeout) : createClient({ url, concurrency: 1, ...auth })
  const write = drizzle(writer, { casing: 'snake_case' })
  const inTransaction = <T>(work: (tx: Connection) => Promise<T>) =>
    queue(() => write.transaction((tx) => work(tx)))
  const read = drizzle(reader, { casing: 'snake_case' })
  keepReads(read)
  if (file) answersDirectly(read, reader)
  let waiting = 0
  const counted = async <T>(work: (tx: Connection) => Promise<T>): Promise<T> => {
    waiting++
    try {
      return await inTransaction(work)
    } finally {
      waiting--
    }
  }
  return {
    read,
    write: counted,
    saveAnswers: gathered(counted),
    session: cachedSessions(read, async () => (file ? dataVersion(reader) : null)),
    waiting: () => waiting,
    canWrite: every(HEALTH_MS, () => queue(() => touched(writer, file !== null))),
    settle: async () => {
      if (file) await queue(() => writer.execute('PRAGMA wal_checkpoint(TRUNCATE)'))
    },
    close: () => {
      writer.close()
      reader.close()
    },
  }
}

const HEALTH_MS = 3000

/** Asks at most so often; in between, the last answer counts. False when the question fails. */
function every(ms: number, ask: () => Promise<unknown>): () => Promise<boolean> {
  let last: { readonly at: number; readonly answer: Promise<boolean> } | null = null
  return () => {
    const now = performance.now()
    if (last === null || now - last.at >= ms)
      last = {
        at: now,
        answer: ask().then(
          () => true,
          () => false,
        ),
      }
    return last.answer
  }
}

/** A write that changes nothing anybody reads. */
async function touched(writer: Client, isFile: boolean): Promise<void> {
  await writer.execute(isFile ? 'PRAGMA user_version = 1' : 'UPDATE applied_migrations SET tag = tag')
}

/** Changes whenever another connection, of this process or another one, has committed. */
async function dataVersion(reader: Client): Promise<number> {
  return Number((await reader.execute('PRAGMA data_version')).rows[0]?.[0])
}

interface MigrationList {
  readonly entries: readonly { readonly tag: string }[]
}

/**
 * Applies what is missing, in order, inside one write transaction: a second process waits for it and then
 * finds nothing to do.
 */
async function migrate(client: Client, folder: string): Promise<void> {
  const list = JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as MigrationList
  const tx = await client.transaction('write')
  try {
    await tx.execute('CREATE TABLE IF NOT EXISTS applied_migrations (tag TEXT PRIMARY KEY)')
    const done = new Set(
      (await tx.execute('SELECT tag FROM applied_migrations')).rows.map((r) => String(r[0])),
    )
    for (const { tag } of list.entries) {
      if (done.has(tag)) continue
      const statements = readFileSync(join(folder, `${tag}.sql`), 'utf8').split('--> statement-breakpoint')
      for (const statement of statements) await tx.execute(statement)
      await tx.execute({ sql: 'INSERT INTO applied_migrations (tag) VALUES (?)', args: [tag] })
    }
    await tx.commit()
  } finally {
    tx.close()
  }
}
