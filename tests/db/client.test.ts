import { fork } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { copyFileSync, mkdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { sql } from 'drizzle-orm'
import { describe, expect, it } from 'vitest'
import { isBusy, openStore, writeQueue } from '#db/client'
import { aFolder, MIGRATIONS } from '../support/world'

const WRITER = fileURLToPath(new URL('./writer.ts', import.meta.url))

/** Two processes write numbered rows into one file at once; each names those it was told are kept. */
async function twoWriters(file: string): Promise<{ readonly acknowledged: number; readonly lost: number }> {
  const children = ['p', 'q'].map((name) =>
    fork(WRITER, [file, name], {
      execArgv: ['--import', 'tsx'],
      env: {
        ...process.env,
        TSX_TSCONFIG_PATH: fileURLToPath(new URL('../../tsconfig.node.json', import.meta.url)),
      },
    }),
  )
  const next = (child: ChildProcess) =>
    new Promise<unknown>((resolve, reject) => {
      child.once('message', resolve)
      child.once('error', reject)
      child.once('exit', (code) => reject(new Error(`a writer ended with ${code}`)))
    })
  // both are up before either begins, so that they do get in each other's way
  await Promise.all(children.map(next))
  const keys = children.map(next)
  for (const child of children) child.send('begin')
  const acknowledged = (await Promise.all(keys)).flat() as string[]
  const kept = new Set(await keysIn(file))
  return { acknowledged: acknowledged.length, lost: acknowledged.filter((key) => !kept.has(key)).length }
}

const insertOf = (key: string) => ({ sql: 'INSERT INTO kept (key) VALUES (?)', args: [key] })

async function keysIn(file: string): Promise<string[]> {
  const client = createClient({ url: pathToFileURL(file).href })
  const { rows } = await client.execute('SELECT key FROM kept')
  client.close()
  return rows.map((row) => String(row.key))
}

/**
 * A connection that was refused once, because another held the write, and what it then says of one more row;
 * `write` is how it writes.
 */
async function afterOneRefusal(
  file: string,
  write: (client: Client, key: string) => Promise<unknown>,
): Promise<{ readonly acknowledged: boolean; readonly kept: boolean }> {
  const url = pathToFileURL(file).href
  const other = createClient({ url, concurrency: 1 })
  const client = createClient({ url, concurrency: 1, timeout: 0 })
  await client.execute(insertOf('before'))
  const held = await other.transaction('write')
  await held.execute(insertOf('held'))
  await expect(write(client, 'refused')).rejects.toThrow(/SQLITE_BUSY|cannot be written/)
  await held.commit()
  other.close()
  const acknowledged = await write(client, 'after').then(
    () => true,
    () => false,
  )
  client.close()
  return { acknowledged, kept: (await keysIn(file)).includes('after') }
}

async function aTable(): Promise<string> {
  const file = join(aFolder(), 'shared.db')
  const client = createClient({ url: pathToFileURL(file).href })
  await client.execute('PRAGMA journal_mode = WAL')
  await client.execute('CREATE TABLE kept (key TEXT PRIMARY KEY)')
  client.close()
  return file
}

describe('writing from two processes', () => {
  it('loses nothing it acknowledged, by the rules of the writer queue', async () => {
    const got = await twoWriters(await aTable())
    expect(got.acknowledged).toBeGreaterThan(50)
    expect(got.lost).toBe(0)
  })
})

describe('a connection that was refused once', () => {
  it('would lose what it acknowledges, which is why it is renewed', async () => {
    const got = await afterOneRefusal(await aTable(), (client, key) => client.execute(insertOf(key)))
    expect(got).toEqual({ acknowledged: true, kept: false })
  })

  it('keeps what it acknowledges once the queue has renewed it', async () => {
    const got = await afterOneRefusal(await aTable(), (client, key) =>
      writeQueue(async () => client.reconnect())(() => client.execute(insertOf(key)), 0),
    )
    expect(got).toEqual({ acknowledged: true, kept: true })
  })
})

describe('writeQueue', () => {
  const busy = () => Object.assign(new Error('SQLITE_BUSY: database is locked'), { code: 'SQLITE_BUSY' })

  it('runs acts one after another in the order they came', async () => {
    const seen: number[] = []
    const queue = writeQueue(async () => undefined)
    await Promise.all(
      [1, 2, 3].map((n) =>
        queue(async () => {
          await new Promise((resolve) => setImmediate(resolve))
          seen.push(n)
        }),
      ),
    )
    expect(seen).toEqual([1, 2, 3])
  })

  it('renews the connection before it tries again, and before it gives up', async () => {
    let renewed = 0
    const queue = writeQueue(async () => {
      renewed++
    })
    let tries = 0
    expect(
      await queue(async () => {
        if (++tries < 3) throw busy()
        return 'done'
      }),
    ).toBe('done')
    expect(renewed).toBe(2)
    const held = async () => {
      throw busy()
    }
    await expect(queue(held, 0)).rejects.toMatchObject({ code: 'store/cannot-write' })
    expect(renewed).toBe(3)
  })

  it('runs nothing on a connection that could not be renewed, since what is held may refuse that, too', async () => {
    let isHeld = true
    const seen: string[] = []
    const queue = writeQueue(async () => {
      seen.push('renews')
      if (isHeld) throw busy()
    })
    const act = queue(async () => {
      seen.push('acts')
      if (seen.length === 1) throw busy()
      return 'done'
    })
    while (seen.length < 4) await new Promise((resolve) => setImmediate(resolve))
    isHeld = false
    expect(await act).toBe('done')
    expect(seen.slice(0, 4)).toEqual(['acts', 'renews', 'renews', 'renews'])
    expect(seen.slice(-2)).toEqual(['renews', 'acts'])
  })

  it('lets the rest of the process go on while it waits, and those behind it give up in time', async () => {
    const queue = writeQueue(async () => undefined)
    let isHeld = true
    let turns = 0
    const first = queue(async () => {
      if (isHeld) throw busy()
      return 'first'
    })
    const behind = queue(async () => 'never', 0)
    const patient = queue(async () => 'patient')
    await expect(behind).rejects.toMatchObject({ code: 'store/cannot-write' })
    for (; turns < 50; turns++) await new Promise((resolve) => setImmediate(resolve))
    isHeld = false
    expect(await Promise.all([first, patient])).toEqual(['first', 'patient'])
  })

  it('goes on after an act that failed for another reason, without trying it again', async () => {
    const queue = writeQueue(async () => {
      throw new Error('never renewed')
    })
    await expect(
      queue(async () => {
        throw new Error('wrong')
      }),
    ).rejects.toThrow('wrong')
    expect(await queue(async () => 'next')).toBe('next')
  })

  it('knows a busy database however deep the cause lies', () => {
    expect(isBusy(new Error('query failed', { cause: new Error('x', { cause: busy() }) }))).toBe(true)
    expect(isBusy(new Error('query failed', { cause: new Error('no such table') }))).toBe(false)
  })
})

describe('openStore', () => {
  it('opens a file in a path with spaces, twice, and migrates it once', async () => {
    const file = join(aFolder(), 'deep er', 'a school.db')
    const first = await openStore({ url: file, migrationsFolder: MIGRATIONS })
    const second = await openStore({ url: file, migrationsFolder: MIGRATIONS })
    const rows = await second.read.all<{ n: number }>(sql`select count(*) as n from applied_migrations`)
    expect(rows[0]?.n).toBeGreaterThan(0)
    first.close()
    second.close()
  })

  it('rolls a transaction back as a whole when the work fails', async () => {
    const store = await openStore({ url: join(aFolder(), 'x.db'), migrationsFolder: MIGRATIONS })
    await expect(
      store.write(async (tx) => {
        await tx.run(sql`insert into schools (id, name, created_at) values ('s', 'S', 1)`)
        throw new Error('changed my mind')
      }),
    ).rejects.toThrow('changed my mind')
    expect(await store.read.all(sql`select * from schools`)).toEqual([])
    store.close()
  })

  it('holds foreign keys, also after the connection was renewed', async () => {
    const store = await openStore({ url: join(aFolder(), 'x.db'), migrationsFolder: MIGRATIONS })
    const orphan = () =>
      store.write((tx) =>
        tx.run(sql`insert into sessions (id, user_id, created_at, expires_at) values ('x', 'nobody', 1, 2)`),
      )
    await expect(orphan()).rejects.toThrow()
    store.close()
  })

  it('refuses a damaged file and a folder it may not write, with a plain reason', async () => {
    const folder = aFolder()
    const file = join(folder, 'broken.db')
    writeFileSync(file, 'this is no database at all, whatever it is called'.repeat(100))
    await expect(openStore({ url: file, migrationsFolder: MIGRATIONS })).rejects.toThrow(
      /NOTADB|damaged|not a database/,
    )
  })

  it('can be copied as one file once settled', async () => {
    const folder = aFolder()
    const store = await openStore({ url: join(folder, 'a.db'), migrationsFolder: MIGRATIONS })
    await store.write((tx) => tx.run(sql`insert into schools (id, name, created_at) values ('s', 'S', 1)`))
    await store.settle()
    mkdirSync(dirname(join(folder, 'copy', 'b.db')), { recursive: true })
    copyFileSync(join(folder, 'a.db'), join(folder, 'copy', 'b.db'))
    store.close()
    const copy = await openStore({ url: join(folder, 'copy', 'b.db'), migrationsFolder: MIGRATIONS })
    expect((await copy.read.all(sql`select id from schools`)).length).toBe(1)
    copy.close()
  })
})
