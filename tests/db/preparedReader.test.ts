import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { preparedReader } from '../../db/preparedReader'

let folder: string
let writer: Client
let reader: Client

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'reader-'))
  const file = join(folder, 'some.db')
  writer = createClient({ url: `file:${file}`, concurrency: 1 })
  await writer.executeMultiple(`PRAGMA journal_mode = WAL;
    create table t (id integer primary key, at text, length_of real);
    insert into t values (1, 'one', 1.5), (2, null, 9007199254740991);`)
  reader = preparedReader(file, 500)
})
afterEach(() => {
  reader.close()
  writer.close()
  rmSync(folder, { recursive: true, force: true })
})

const ROWS = 'select id, at, length_of from t where id >= ? order by id'

describe('a reader of prepared statements', () => {
  it('answers rows as the client does, by place and by name', async () => {
    const asked = { sql: ROWS, args: [1] }
    const own = await reader.execute(asked)
    const theirs = await writer.execute(asked)
    expect(own.columns).toEqual(theirs.columns)
    const byPlace = (row: unknown) => Array.prototype.slice.call(row)
    expect(own.rows.map(byPlace)).toEqual(theirs.rows.map(byPlace))
    expect(own.rows.map((r) => Object.entries(r))).toEqual(theirs.rows.map((r) => Object.entries(r)))
    expect(own.rows[1]?.['at']).toBe(null)
  })

  it('keeps both values of two columns of one name by their place', async () => {
    const { rows } = await reader.execute('select a.id, b.id from t a join t b on b.id = a.id + 1')
    expect(Array.prototype.slice.call(rows[0])).toEqual([1, 2])
  })

  it('sees what was committed since, with the same statement, and a new column', async () => {
    expect((await reader.execute({ sql: ROWS, args: [2] })).rows).toHaveLength(1)
    await writer.execute("insert into t values (3, 'three', 0)")
    expect((await reader.execute({ sql: ROWS, args: [2] })).rows).toHaveLength(2)
    await writer.execute('alter table t add column more text')
    expect((await reader.execute('select more, id from t where id = 3')).rows[0]?.['id']).toBe(3)
    expect((await reader.execute({ sql: ROWS, args: [2] })).rows).toHaveLength(2)
  })

  it('does not hold on to the past after a question that was answered, so that a checkpoint is whole', async () => {
    await reader.execute({ sql: ROWS, args: [1] })
    await writer.execute("insert into t values (4, 'four', 0)")
    const [done] = (await writer.execute('PRAGMA wal_checkpoint(TRUNCATE)')).rows
    expect(done?.['busy']).toBe(0)
  })

  it('goes on after a question that fails, and never writes', async () => {
    await expect(reader.execute('select nothing from t')).rejects.toThrow(/nothing/)
    await expect(reader.execute('delete from t')).rejects.toThrow()
    await expect(reader.batch([])).rejects.toThrow(/only reads/)
    expect((await reader.execute({ sql: ROWS, args: [true] })).rows).toHaveLength(2)
    reader.close()
    await expect(reader.execute({ sql: ROWS, args: [1] })).rejects.toThrow(/closed/)
  })
})
