import { pathToFileURL } from 'node:url'
import { defineNitroPlugin } from 'nitropack/runtime'
import { openStore } from '#db/client'
import { CannotWrite, latestRecordedAt } from '#db/repositories'
import { clockFrom, systemClock } from '#standins/clock'
import { randomIds } from '#standins/ids'
import { publicHolidays } from '#standins/holidays'
import { scryptPasswords } from '#standins/passwords'
import { noMail, outbox } from '#standins/mail'
import { sessionTickets } from '#standins/tickets'
import { mailNotices } from '#usecases/notices/mailNotices'
import { turnQueues } from '#usecases/settling/turnQueues'
import type { Store } from '#db/repositories'
import { readConfig } from '../config'
import type { Config } from '../config'
import type { ServerDeps } from '../http/context'
import { heavyPool } from '../heavy/pool'
import { figuresOf } from '../http/figures'
import { log } from '../http/log'

/** Built beside the server's own file, from which the process was started. */
const WORKER = new URL('heavy.worker.mjs', pathToFileURL(process.argv[1] ?? '')).href

/** Opens the database and hands every request what it needs. */
export default defineNitroPlugin((nitro) => {
  const config = settings()
  process.prependListener('uncaughtException', endWhenPortIsTaken)
  const ready = build(config).catch((error: unknown) => stop(reasonOf(error, config.database)))
  nitro.hooks.hook('request', async (event) => {
    event.context.server = await ready
  })
  const posting = setInterval(() => void ready.then(post), POST_EVERY_MS)
  posting.unref()
  nitro.hooks.hook('close', async () => {
    clearInterval(posting)
    ;(await ready).deps.store.close()
  })
})

/** How soon what is new goes out by mail, and what waited for room is given. */
const POST_EVERY_MS = 5000

/**
 * Gives what waited and has room by now, and mails what has become known; what fails is told by the log, and what was
 * not taken goes with the next round.
 */
async function post({ deps }: ServerDeps): Promise<void> {
  await turnQueues(deps).catch((error: unknown) => log('queues-failed', { reason: messageOf(error) }))
  await mailNotices(deps).catch((error: unknown) => log('mail-failed', { reason: messageOf(error) }))
}

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

/** The server listens only after the plugins ran; what fails then comes as nobody's error. */
function endWhenPortIsTaken(error: unknown): void {
  const { code, port } = error as { readonly code?: unknown; readonly port?: unknown }
  if (code === 'EADDRINUSE' || code === 'EACCES')
    stop(`Port ${String(port)} cannot be used (${code}): end what runs there, or set another by NITRO_PORT.`)
}

async function build(config: Config): Promise<ServerDeps> {
  const store: Store = await openStore({
    url: config.database,
    authToken: config.databaseToken,
    migrationsFolder: config.migrations,
  })
  const passwords = scryptPasswords()
  const heavy = heavyPool(config.worker === null ? WORKER : pathToFileURL(config.worker).href, (error) =>
    log('heavy-thread-lost', { reason: messageOf(error) }),
  )
  const letters = config.demoNow === null ? null : outbox()
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
      passwords,
      tickets: sessionTickets(config.secret),
      holidays: publicHolidays(),
      signUp: config.signUp,
      heavy: heavy.until(null),
      mail: letters ?? noMail,
    },
    outbox: letters?.letters ?? null,
    demo: config.demoNow !== null,
    trusts: config.trusts,
    heavyUntil: heavy.until,
    metricsToken: config.metricsToken,
    figures: figuresOf(() => ({
      writes: store.waiting(),
      passwords: passwords.waiting(),
      heavy: heavy.waiting(),
    })),
  }
}

const messageOf = (error: unknown) => (error instanceof Error ? error.message : '')

function reasonOf(error: unknown, database: string): string {
  const text = error instanceof Error ? [error, error.cause].map(messageOf).join(' ').trim() : String(error)
  if (
    error instanceof CannotWrite ||
    /SQLITE_(READONLY|CANTOPEN|FULL|IOERR)|ConnectionFailed|EACCES|ENOSPC|EROFS|ENOTDIR|EEXIST/.test(text)
  )
    return (
      `The database ${database} cannot be written: check that the folder exists, ` +
      `is writable and has space (${text}).`
    )
  return text
}
