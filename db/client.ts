import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { drizzle } from 'drizzle-orm/libsql'
import { preparedReader } from './preparedReader'
import { gathered } from './repositories/answerSaves'
import { cachedSessions } from './repositories/sessionCache'
import { answersDirectly } from './repositories/ask'
import { keepReads } from './repositories/keptReads'
import type { Connection, Store } from './repositories/store'
import { writeQueue } from './writeQueue'

export { isBusy, writeQueue } from './writeQueue'

export interface OpenOptions {
  /** A path, `file:` or remote libSQL address. */
  readonly url: string
  readonly authToken?: string
  readonly migrationsFolder: string
  /**
   * False only for files that can be made again, such as the demo's. Default true: every commit is on the
   * disk before it is acknowledged.
   */
  readonly safeOnPowerLoss?: boolean
}

async function setPragmas(client: Client, safe: boolean): Promise<void> {
  for (const pragma of [
    'journal_mode = WAL',
    `synchronous = ${safe ? 'FULL' : 'OFF'}`,
    'foreign_keys = ON',
    // waiting is the queue's, by timers: the driver would hold the whole process
    'busy_timeout = 0',
  ])
    await client.execute(`PRAGMA ${pragma}`)
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
  const safe = options.safeOnPowerLoss ?? true
  const auth = options.authToken === undefined ? {} : { authToken: options.authToken }
  const writer = createClient({ url, concurrency: 1, timeout: 0, ...auth })
  const queue = writeQueue(async () => {
    await writer.reconnect()
    if (file) await setPragmas(writer, safe)
  })
  try {
    if (file) {
      await queue(() => setPragmas(writer, safe), STARTING_MS)
      const health = await writer.execute('PRAGMA integrity_check(1)')
      if (health.rows[0]?.[0] !== 'ok')
        throw new Error(
          `The database file ${file} is damaged: ${String(health.rows[0]?.[0])}. Restore a backup.`,
        )
    }
    await queue(() => migrate(writer, options.migrationsFolder), STARTING_MS)
    // a file that may only be read lets a transaction begin; only a write shows it
    await queue(() => touched(writer, file !== null))
  } catch (error) {
    writer.close()
    throw error
  }
  const reader = file ? preparedReader(file, READER_BUSY_MS) : createClient({ url, concurrency: 1, ...auth })
  const write = drizzle(writer, { casing: 'snake_case' })
  const inTransaction = <T>(work: (tx: Connection) => Promise<T>, patienceMs?: number) =>
    queue(() => write.transaction((tx) => work(tx)), patienceMs)
  const read = drizzle(reader, { casing: 'snake_case' })
  keepReads(read)
  if (file) answersDirectly(read, reader)
  let waiting = 0
  const counted = async <T>(work: (tx: Connection) => Promise<T>, patienceMs?: number): Promise<T> => {
    waiting++
    try {
      return await inTransaction(work, patienceMs)
    } finally {
      waiting--
    }
  }
  return {
    read,
    write: (work) => counted(work),
    writeSoon: (work) => counted(work, SOON_MS),
    saveAnswers: gathered((work) => counted(work)),
    session: cachedSessions(read, async () => (file ? dataVersion(reader) : null)),
    waiting: () => waiting,
    canWrite: every(HEALTH_MS, () => queue(() => touched(writer, file !== null), SOON_MS)),
    settle: async () => {
      if (file) await queue(() => truncateLog(writer))
    },
    close: () => {
      writer.close()
      reader.close()
    },
  }
}

const HEALTH_MS = 3000
/** As long as a write waits for a lock that nobody should have to wait for. */
const SOON_MS = 100
/** Another process may be changing the tables to their newest form. */
const STARTING_MS = 20_000
/** Reading waits for no writer; only for another process that mends the file after a crash. */
const READER_BUSY_MS = 50

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

/** Moves what was committed into the file itself. Throws as a busy database does while somebody reads what is older. */
async function truncateLog(writer: Client): Promise<void> {
  const [row] = (await writer.execute('PRAGMA wal_checkpoint(TRUNCATE)')).rows
  if (row?.[0] === 1)
    throw Object.assign(new Error('SQLITE_BUSY: the log is still read'), { code: 'SQLITE_BUSY' })
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
