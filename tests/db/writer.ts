import { pathToFileURL } from 'node:url'
import { createClient } from '@libsql/client'
import { isBusy, writeQueue } from '#db/client'

// one of two processes that write into the same file for 1.5 s and then name every key that was acknowledged
const [file = '', name = '', way = 'careful'] = process.argv.slice(2)
const client = createClient({
  url: pathToFileURL(file).href,
  concurrency: 1,
  timeout: way === 'careful' ? 2000 : 0,
})
const queue = writeQueue(async () => {
  await client.reconnect()
  await client.execute('PRAGMA busy_timeout = 2000')
})
const acknowledged: string[] = []
const until = performance.now() + 1500
for (let i = 0; performance.now() < until; i++) {
  const key = `${name}${i}`
  const insert = { sql: 'INSERT INTO kept (key) VALUES (?)', args: [key] }
  try {
    // a transaction now and then, as the app has them, so that the two get in each other's way
    if (i % 5 === 0)
      await (way === 'careful'
        ? queue(() => client.batch([insert], 'write'))
        : client.batch([insert], 'write'))
    else await (way === 'careful' ? queue(() => client.execute(insert)) : client.execute(insert))
    acknowledged.push(key)
  } catch (error) {
    if (!isBusy(error)) throw error
  }
}
client.close()
process.send?.(acknowledged, () => process.disconnect())
