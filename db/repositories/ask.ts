import type { Client, InValue } from '@libsql/client'
import { sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import type { Connection } from './store'

const clientOf = new WeakMap<Connection, Client>()

/** Lets the questions of a reading connection go straight to its client. */
export function answersDirectly(reader: Connection, client: Client): void {
  clientOf.set(reader, client)
}

/**
 * Rows of a question whose text never changes, `?` for each of its arguments. For what is asked with every look of
 * every learner: a query that is built anew each time takes longer to build than to answer.
 */
export async function ask<Row>(
  tx: Connection,
  text: string,
  args: readonly InValue[],
): Promise<readonly Row[]> {
  const client = clientOf.get(tx)
  if (client === undefined) return tx.all<Row>(withArgs(text, args))
  return (await client.execute({ sql: text, args: [...args] })).rows as unknown as readonly Row[]
}

function withArgs(text: string, args: readonly InValue[]): SQL {
  const [first = '', ...rest] = text.split('?')
  return sql.join([sql.raw(first), ...rest.flatMap((part, i) => [sql`${args[i]}`, sql.raw(part)])])
}
