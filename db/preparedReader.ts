import type { Client, InStatement, InValue, ResultSet, Row } from '@libsql/client'
import Database from 'libsql'
import { keptAtMost } from './keptAtMost'
import { CannotWrite } from './repositories/cannotWrite'
import { isBusy } from './writeQueue'

/** As many statements are kept prepared; lists of many lengths make many of them. */
const MOST_KEPT = 400

type Values = readonly unknown[]
interface Prepared {
  readonly columns: readonly string[]
  readonly rowOf: (values: Values) => Row
  readonly all: (args: readonly unknown[]) => readonly Values[]
}

/**
 * A client of a database file that only reads. Each statement is prepared once and its rows come as lists: the
 * file client of the package prepares every time and defines each value of a row by hand, which takes five to ten
 * times as long as the question itself.
 */
export function preparedReader(path: string, busyTimeoutMs: number): Client {
  let db = opened(path, busyTimeoutMs)
  const prepared = keptAtMost<string, Prepared>(MOST_KEPT)
  let closed = false

  const renew = () => {
    prepared.clear()
    if (db.open) db.close()
    db = opened(path, busyTimeoutMs)
  }
  const statementFor = (sql: string): Prepared => {
    const known = prepared.get(sql)
    if (known) return known
    const made = preparedIn(db, sql)
    prepared.keep(sql, made)
    return made
  }
  const asked = (sql: string, args: readonly unknown[]): ResultSet => {
    if (closed) throw new Error('the reader is closed')
    try {
      const { columns, all, rowOf } = statementFor(sql)
      return resultOf(columns, all(args).map(rowOf))
    } catch (error) {
      // a statement that failed half-way would keep its place in the past
      renew()
      // another process mends the file after a crash: it can be asked again in a moment
      throw isBusy(error) ? new CannotWrite(error) : error
    }
  }
  return {
    protocol: 'file',
    get closed() {
      return closed
    },
    execute: async (statement: InStatement, args?: unknown) =>
      typeof statement === 'string'
        ? asked(statement, valuesOf(args))
        : asked(statement.sql, valuesOf(statement.args)),
    reconnect: () => renew(),
    close: () => {
      closed = true
      if (db.open) db.close()
    },
    batch: refused,
    migrate: refused,
    transaction: refused,
    executeMultiple: refused,
    sync: refused,
  }
}

function opened(path: string, busyTimeoutMs: number): Database.Database {
  const db = new Database(path, { timeout: busyTimeoutMs } as Database.Options)
  // what is looked at over and over stays at hand: 32 MB of it, where 2 are usual
  db.exec('PRAGMA query_only = ON; PRAGMA cache_size = -32000')
  return db
}

function preparedIn(db: Database.Database, sql: string): Prepared {
  const statement = db.prepare(sql).raw(true)
  const columns = statement.columns().map((c) => c.name)
  return {
    columns,
    rowOf: rowsWith(columns),
    all: (args) => statement.all(...args) as readonly Values[],
  }
}

/**
 * Rows as the client's: values by name, and by place for who takes them as a list. Where two columns have one name,
 * the last stands under it, and each place has its own.
 */
function rowsWith(columns: readonly string[]): (values: Values) => Row {
  const areNamedOnce = new Set(columns).size === columns.length
  const places = Object.create(null, {
    ...(areNamedOnce ? placesByName(columns) : {}),
    length: { value: columns.length },
  }) as object
  return (values) => {
    const row = Object.create(places) as Record<string, unknown>
    for (let i = 0; i < columns.length; i++) row[columns[i] as string] = values[i]
    if (!areNamedOnce) values.forEach((value, i) => Object.defineProperty(row, i, { value }))
    return row as unknown as Row
  }
}

function placesByName(columns: readonly string[]): PropertyDescriptorMap {
  const places = columns.map((name, i) => [
    i,
    {
      get(this: Record<string, unknown>) {
        return this[name]
      },
    },
  ])
  return Object.fromEntries(places) as PropertyDescriptorMap
}

function resultOf(columns: readonly string[], rows: Row[]): ResultSet {
  return {
    columns: [...columns],
    columnTypes: [],
    rows,
    rowsAffected: 0,
    lastInsertRowid: undefined,
    toJSON: () => ({ columns, rows }),
  }
}

function valuesOf(args: unknown): readonly unknown[] {
  if (args === undefined) return []
  if (!Array.isArray(args)) throw new Error('values are given by place')
  return (args as InValue[]).map((value) => (typeof value === 'boolean' ? Number(value) : value))
}

async function refused(): Promise<never> {
  throw new Error('this connection only reads')
}
