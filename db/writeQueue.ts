import { CannotWrite, saysCannotWrite } from './repositories/cannotWrite'

/** As long as a write waits for another process's lock before it is given up, in all; milliseconds. */
export const PATIENCE_MS = 5000

/** Between two looks at a lock, as SQLite itself would wait: soon at first, then seldom. */
const PAUSES_MS = [1, 2, 5, 10, 15, 20, 25, 25, 25, 50, 50, 100] as const

/** SQLITE_BUSY anywhere in the chain of causes; Drizzle wraps what the client throws. */
export function isBusy(error: unknown): boolean {
  for (let e: unknown = error; e instanceof Error; e = e.cause) {
    if (
      /SQLITE_(BUSY|LOCKED)/.test(String((e as { code?: string }).code ?? '')) ||
      /SQLITE_BUSY|database is locked/i.test(e.message)
    )
      return true
  }
  return false
}

interface Waiting {
  readonly until: number
  readonly go: () => Promise<void>
  readonly giveUp: (held: unknown) => void
}

/**
 * Runs acts one after another, and each again while another process holds the database: the client keeps a broken open
 * write on a connection that has once been busy and then acknowledges what it loses, so the connection is renewed
 * before anything else happens on it. Waiting is done by timers, so that the rest of the process goes on; the driver's
 * own waiting would hold all of it. Refuses with `CannotWrite` after `patienceMs`, those behind in the queue as well.
 */
export function writeQueue(
  renew: () => Promise<void>,
): <T>(act: () => Promise<T>, patienceMs?: number) => Promise<T> {
  const waiting: Waiting[] = []
  let isRunning = false
  /** What is on the connection is not to be trusted: it is renewed before anything else happens. */
  let isBroken = false

  async function renewed(): Promise<void> {
    isBroken = true
    await renew()
    isBroken = false
  }

  async function attempt<T>(act: () => Promise<T>, until: number): Promise<T> {
    for (let tries = 0; ; tries++) {
      try {
        if (isBroken) await renewed()
        return await act()
      } catch (error) {
        if (saysCannotWrite(error)) {
          // whatever the connection still holds open would be in the way once there is room again
          await renewed().catch(() => undefined)
          throw new CannotWrite(error)
        }
        if (!isBusy(error)) throw error
        // a database that is held may refuse even this: then before the next try
        await renewed().catch(() => undefined)
        leaveOverdue(error)
        if (performance.now() >= until) throw new CannotWrite(error)
        const pause = PAUSES_MS[Math.min(tries, PAUSES_MS.length - 1)] ?? 100
        await new Promise((resolve) => setTimeout(resolve, pause * (0.5 + Math.random())))
      }
    }
  }
  /** Whoever has waited long enough behind an act that waits for a lock is told so, before their turn. */
  function leaveOverdue(held: unknown): void {
    const now = performance.now()
    for (const one of waiting.filter((w) => w.until <= now)) {
      waiting.splice(waiting.indexOf(one), 1)
      one.giveUp(held)
    }
  }
  async function run(): Promise<void> {
    isRunning = true
    for (let next = waiting.shift(); next; next = waiting.shift()) await next.go()
    isRunning = false
  }
  return (act, patienceMs = PATIENCE_MS) =>
    new Promise((resolve, reject) => {
      const until = performance.now() + patienceMs
      waiting.push({
        until,
        go: () => attempt(act, until).then(resolve, reject),
        giveUp: (held) => reject(new CannotWrite(held)),
      })
      if (!isRunning) void run()
    })
}
