import { pathToFileURL } from 'node:url'
import { createClient } from '@libsql/client'

// holds the write lock of a database file, as a copying tool would, until it is told to let go
const client = createClient({ url: pathToFileURL(process.argv[2]).href, concurrency: 1, timeout: 5000 })
const held = await client.transaction('write')
process.send('held')
process.once('message', async () => {
  await held.rollback()
  client.close()
  process.send('let go', () => process.disconnect())
})
