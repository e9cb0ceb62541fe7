import { execFile } from 'node:child_process'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { promisify } from 'node:util'
import { sql } from 'drizzle-orm'
import { describe, expect, it } from 'vitest'
import { openStore } from '#db/client'
import { aFolder, MIGRATIONS } from '../support/world'

const run = promisify(execFile)
const ROOT = fileURLToPath(new URL('../..', import.meta.url))
const backup = (from: string, to: string) =>
  run(process.execPath, ['--import', 'tsx', 'scripts/backup.ts', to], {
    cwd: ROOT,
    env: { ...process.env, STEP_CAIRN_DATABASE: from, TSX_TSCONFIG_PATH: join(ROOT, 'tsconfig.node.json') },
  })

describe('npm run backup', () => {
  it('copies what is committed while the database is being written, and the copy opens', async () => {
    const folder = aFolder()
    const from = join(folder, 'live.db')
    const store = await openStore({ url: from, migrationsFolder: MIGRATIONS })
    const add = (n: number) =>
      store.write((tx) =>
        tx.run(sql`insert into schools (id, name, created_at) values (${`s${n}`}, ${`S${n}`}, 1)`),
      )
    for (let n = 0; n < 20; n++) await add(n)
    const writing = { on: true }
    const writer = (async () => {
      for (let n = 20; writing.on; n++) {
        await add(n)
        // the file client works synchronously: let the rest of the process have its turn
        await new Promise((resolve) => setImmediate(resolve))
      }
    })()
    const to = join(folder, 'copies', 'copy.db')
    const { stdout } = await backup(from, to)
    writing.on = false
    await writer
    expect(stdout).toContain('Backed up to')
    store.close()
    const copy = await openStore({ url: to, migrationsFolder: MIGRATIONS })
    const rows = await copy.read.all<{ n: number }>(sql`select count(*) as n from schools`)
    expect(rows[0]?.n).toBeGreaterThanOrEqual(20)
    copy.close()
  })

  it('overwrites nothing and says what is missing', async () => {
    const folder = aFolder()
    await expect(backup(join(folder, 'none.db'), join(folder, 'copy.db'))).rejects.toThrow(
      'There is no database at',
    )
    const store = await openStore({ url: join(folder, 'a.db'), migrationsFolder: MIGRATIONS })
    store.close()
    await expect(backup(join(folder, 'a.db'), join(folder, 'a.db'))).rejects.toThrow('is there already')
  })
})
