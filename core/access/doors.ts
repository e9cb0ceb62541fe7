import { addMinutes, ok, refuse } from '../base'
import type { Instant, Result } from '../base'

/** How a door bears tries: so many are free, then each has to wait twice as long as the one before. */
export interface DoorRule {
  readonly free: number
  readonly firstSeconds: number
  readonly mostSeconds: number
  /** After so long without a try the count begins anew. */
  readonly forgetMinutes: number
  /** What a try that was right after all does to the count: takes itself back, or forgets it. */
  readonly whenRight: 'give-back' | 'forget'
}

/** Tries counted at one door under one key. */
export interface DoorCount {
  readonly tries: number
  /** Before this instant no try is taken. */
  readonly nextAt: Instant
  /** From this instant the count is forgotten. */
  readonly expiresAt: Instant
}

/**
 * The doors of the application. One account is tried slowly from anywhere it is not known at, more slowly from one
 * address, and an address tries all accounts together; where its owner signed in before, strangers' tries do not
 * count. A class of learners behind one address is let in at once.
 *
 * Behind a school's own address the waits do not grow, so that what is right gets in within seconds whoever has been
 * wrong there before: of one account 8 + 900 guesses an hour, of all together 60 + 3,600, of joining codes 40 + 1,800.
 * From elsewhere the waits double: of one account 20 + 14 in the first hour.
 */
export const DOORS = {
  accountFromKnownPlace: { free: 8, firstSeconds: 2, mostSeconds: 4, forgetMinutes: 60, whenRight: 'forget' },
  addressOfSchool: { free: 60, firstSeconds: 1, mostSeconds: 1, forgetMinutes: 30, whenRight: 'give-back' },
  joiningAtSchool: { free: 40, firstSeconds: 1, mostSeconds: 2, forgetMinutes: 60, whenRight: 'give-back' },
  accountFromAddress: { free: 8, firstSeconds: 4, mostSeconds: 900, forgetMinutes: 60, whenRight: 'forget' },
  accountFromAnywhere: {
    free: 20,
    firstSeconds: 4,
    mostSeconds: 900,
    forgetMinutes: 60,
    whenRight: 'forget',
  },
  address: { free: 60, firstSeconds: 1, mostSeconds: 120, forgetMinutes: 30, whenRight: 'give-back' },
  joining: { free: 40, firstSeconds: 2, mostSeconds: 300, forgetMinutes: 60, whenRight: 'give-back' },
  joiningAnother: { free: 8, firstSeconds: 4, mostSeconds: 900, forgetMinutes: 60, whenRight: 'forget' },
  newSchools: { free: 5, firstSeconds: 60, mostSeconds: 3600, forgetMinutes: 1440, whenRight: 'forget' },
  ownPassword: { free: 8, firstSeconds: 4, mostSeconds: 900, forgetMinutes: 60, whenRight: 'forget' },
} as const satisfies Record<string, DoorRule>

/** Seconds to wait after so many tries. */
export function secondsAfter(rule: DoorRule, tries: number): number {
  if (tries < rule.free) return 0
  return Math.min(rule.mostSeconds, rule.firstSeconds * 2 ** Math.min(tries - rule.free, 30))
}

/**
 * The count with one more try. Refused, and not counted, while the door waits: who is kept waiting is not made
 * to wait longer by trying.
 */
export function counted(
  before: DoorCount | null,
  rule: DoorRule,
  now: Instant,
): Result<DoorCount, { readonly until: Instant }> {
  const known = before && before.expiresAt > now ? before : null
  if (known && known.nextAt > now) return refuse({ until: known.nextAt })
  const tries = (known?.tries ?? 0) + 1
  const nextAt = addMinutes(now, secondsAfter(rule, tries) / 60)
  return ok({ tries, nextAt, expiresAt: addMinutes(nextAt, rule.forgetMinutes) })
}

/** The count after a try that was right after all: as if it had not been made. */
export function givenBack(count: DoorCount, now: Instant): DoorCount {
  return { ...count, tries: Math.max(0, count.tries - 1), nextAt: now }
}
