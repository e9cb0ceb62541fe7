import { defineNitroPlugin } from 'nitropack/runtime'
import { openStore } from '#db/client'
import { latestRecordedAt } from '#db/repositories'
import { clockFrom, systemClock } from '#standins/clock'
import { randomIds } from '#standins/ids'
import { publicHolidays } from '#standins/holidays'
import { scryptPasswords } from '#standins/passwords'
import { sessionTickets } from '#standins/tickets'
import type { Store } from '#db/repositories'
import { readConfig } from '../config'
import type { Config } from '../config'
import type { ServerDeps } from '../http/context'
import { log } from '../http/log'

/** Opens the database and hands every request what it needs. */
export default defineNitroPlugin((nitro) => {
  const config = settings()
  const ready = build(config).catch((error: unknown) => stop(reasonOf(error, config.database)))
  nitro.hooks.hook('request', async (event) => {
    event.context.server = await ready
  })
  nitro.hooks.hook('close', async () => (await ready).deps.store.close())
})

function settings(): Config {
  try {
    return readConfig(process.env)
  } catch (error) {
    return stop(error instanceof Error ? error.message : String(error))
  }
}

/** A server that cannot work does not start: it says why and ends. */
function stop(reason: string): never {
  log('start-failed', { reason })
  process.exit(1)
}

async function build(config: Config): Promise<ServerDeps> {
  const store: Store = await openStore({
    url: config.database,
    authToken: config.databaseToken,
    migrationsFolder: config.migrations,
  })
  const latest = config.demoNow === null ? null : await latestRecordedAt(store.read)
  const clock =
    config.demoNow === null
      ? systemClock()
      : clockFrom(latest !== null && latest > config.demoNow ? latest : config.demoNow)
  return {
    deps: {
      store,
      clock,
      ids: randomIds(),
      passwords: scryptPasswords(),
      tickets: sessionTickets(config.secret),
      holidays: publicHolidays(),
      signUp: config.signUp,
    },
    demo: config.demoNow !== null,
    trusts: config.trusts,
  }
}

function reasonOf(error: unknown, database: string): string {
  const text = error instanceof Error ? error.message : String(error)
  if (/SQLITE_(READONLY|CANTOPEN|FULL|IOERR)|EACCES|ENOSPC|EROFS|ENOTDIR|EEXIST/.test(text))
    return (
      `The database ${database} cannot be written: check that the folder exists, ` +
      `is writable and has space (${text}).`
    )
  return text
}
