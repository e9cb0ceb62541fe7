/** Interfaces to the outside; the app decides at start which implementation stands behind each. */
import type { Instant } from '#core/base'

export interface Clock {
  readonly now: () => Instant
}

/** New random ids and words; unguessable. */
export interface Ids {
  readonly newId: () => string
  /** A class's joining code: short, without letters that are easily confused. */
  readonly newJoinCode: () => string
}

/** Slow, salted password hashing. */
export interface Passwords {
  readonly hash: (password: string) => Promise<string>
  readonly matches: (password: string, hash: string) => Promise<boolean>
}
