import { createHash } from 'node:crypto'
import { copyFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'
import { createClient } from '@libsql/client'

/** What is counted at doors and who is signed in changes with every request; it is nobody's data. */
const NOT_DATA = ['sessions', 'throttles', 'known_places']
/** Made of the pieces by triggers: it goes where they go. */
const FOLLOWS = /^piece_(facts|words)/

/** Looks into a database file beside the server that uses it, and puts it back to what it was at first. */
export async function fileState(file: string) {
  const client = createClient({ url: pathToFileURL(file).href, concurrency: 1, timeout: 4000 })
  const first = `${file}.first`
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
  copyFileSync(file, first)
  const names = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'",
  )
  const tables = names.rows
    .map((r) => String(r[0]))
    .filter((name) => !NOT_DATA.includes(name) && !FOLLOWS.test(name))
  await client.execute('PRAGMA foreign_keys = OFF')
  await client.execute({ sql: 'ATTACH ? AS first', args: [first] })

  async function hashes(): Promise<ReadonlyMap<string, string>> {
    const found = new Map<string, string>()
    for (const table of tables) {
      const { rows } = await client.execute(`SELECT * FROM main."${table}"`)
      found.set(
        table,
        createHash('sha1')
          .update(
            rows
              .map((r) => JSON.stringify(r))
              .sort()
              .join('\n'),
          )
          .digest('hex'),
      )
    }
    return found
  }
  const before = await hashes()
  const version = async () => Number((await client.execute('PRAGMA data_version')).rows[0]?.[0])
  let seen = await version()

  return {
    /** Tables that are other than at first. */
    async changed(): Promise<readonly string[]> {
      const now = await version()
      if (now === seen) return []
      seen = now
      const after = await hashes()
      return tables.filter((t) => after.get(t) !== before.get(t))
    },
    /** Puts these tables back. */
    async restore(changed: readonly string[]): Promise<void> {
      for (const table of changed)
        await client.batch(
          [`DELETE FROM main."${table}"`, `INSERT INTO main."${table}" SELECT * FROM first."${table}"`],
          'write',
        )
      seen = await version()
    },
    close: () => client.close(),
  }
}
