import { once } from 'node:events'
import { pathToFileURL } from 'node:url'
import { createClient } from '@libsql/client'
import { isBusy, writeQueue } from '#db/client'

// one of two processes that write into the same file and then name every key that was acknowledged
const ROWS = 400
const [file = '', name = ''] = process.argv.slice(2)
const client = createClient({ url: pathToFileURL(file).href, concurrency: 1, timeout: 0 })
const queue = writeQueue(async () => {
  await client.reconnect()
  await client.execute('PRAGMA busy_timeout = 0')
})
process.send?.('ready')
await once(process, 'message')
const acknowledged: string[] = []
for (let i = 0; i < ROWS; i++) {
  const key = `${name}${i}`
  const insert = { sql: 'INSERT INTO kept (key) VALUES (?)', args: [key] }
  try {
    // a transaction now and then, as the app has them, so that the two get in each other's way
    await queue<unknown>(() => (i % 5 === 0 ? client.batch([insert], 'write') : client.execute(insert)))
    acknowledged.push(key)
  } catch (error) {
    if (!isBusy(error)) throw error
  }
}
client.close()
process.send?.(acknowledged, () => process.disconnect())
