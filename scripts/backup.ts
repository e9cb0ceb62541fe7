import { existsSync, mkdirSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { createClient } from '@libsql/client'

// npm run backup [-- TO]: a consistent copy of the database as one file, also while the server runs
const from = resolve(process.env.STEP_CAIRN_DATABASE ?? '.data/step-cairn.db')
const to = resolve(
  process.argv[2] ??
    `.data/backups/step-cairn-${new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-')}.db`,
)
if (!existsSync(from)) {
  process.stderr.write(`There is no database at ${from}. Name it in STEP_CAIRN_DATABASE.\n`)
  process.exit(1)
}
if (existsSync(to)) {
  process.stderr.write(`${to} is there already. Name another file.\n`)
  process.exit(1)
}
mkdirSync(dirname(to), { recursive: true })
const client = createClient({ url: pathToFileURL(from).href, concurrency: 1, timeout: 10_000 })
await client.execute({ sql: 'VACUUM INTO ?', args: [to] })
client.close()
const copy = createClient({ url: pathToFileURL(to).href })
const health = (await copy.execute('PRAGMA integrity_check')).rows[0]?.[0]
copy.close()
if (health !== 'ok') {
  process.stderr.write(`The copy is damaged: ${String(health)}\n`)
  process.exit(1)
}
process.stdout.write(
  `Backed up to ${to}\nTo restore, stop the server and put this file in the place of ${from} ` +
    `(and remove ${from}-wal and -shm).\n`,
)
