/** Interfaces to the outside; the app decides at start which implementation stands behind each. */
import type { AccessRefusal } from '#core/access'
import type { Instant, IsoDay, Result, UserId } from '#core/base'
import type { NoticeKind } from '#core/work'

export interface Clock {
  readonly now: () => Instant
}

/** New random ids and words; unguessable. */
export interface Ids {
  readonly newId: () => string
  /** A class's joining code: short, without letters that are easily confused. */
  readonly newJoinCode: () => string
}

/** A public holiday: the days it takes, as a school would close on them. */
export interface Holiday {
  readonly name: string
  readonly fromOn: IsoDay
  readonly throughOn: IsoDay
}
export interface HolidayPlace {
  readonly code: string
  readonly name: string
}
/** Public holidays of countries and their regions. */
export interface Holidays {
  readonly countries: () => readonly HolidayPlace[]
  /** Regions of a country by its code; empty where there are none, or no such country. */
  readonly regions: (country: string) => readonly HolidayPlace[]
  /** Public holidays that touch the days asked for, by date; empty for a place that is not known. */
  readonly between: (
    country: string,
    region: string | null,
    firstOn: IsoDay,
    lastOn: IsoDay,
  ) => readonly Holiday[]
}

/**
 * Tickets of sessions: whoever shows one is let in. Only their ids are kept, from which no ticket can be made.
 */
export interface Tickets {
  readonly make: () => { readonly ticket: string; readonly id: string }
  /** The id of a ticket; null for what can be none. */
  readonly idOf: (ticket: string) => string | null
  /** A mark of any text, by which it is known again and from which it cannot be told. */
  readonly markOf: (text: string) => string
}

/** Too much is waiting already: try again in a moment. */
export type Busy = Extract<AccessRefusal, { readonly code: 'access/busy' }>

/** Slow, salted password hashing; refused when too many wait for it. */
export interface Passwords {
  readonly hash: (password: string) => Promise<Result<string, Busy>>
  readonly matches: (password: string, hash: string) => Promise<Result<boolean, Busy>>
  /** How many wait for their turn, and whether one more would be refused. */
  readonly waiting: () => number
  readonly isFull: () => boolean
}

/** What a letter tells of one piece of work. */
export interface LetterLine {
  readonly kind: NoticeKind
  readonly title: string
  readonly dueAt: Instant | null
}
/** A letter to one learner about their work; words are put on where it is sent. */
export interface Letter {
  readonly to: { readonly userId: UserId; readonly name: string; readonly signIn: string }
  readonly zone: string
  readonly at: Instant
  readonly lines: readonly LetterLine[]
}
/** Letters out of the house. */
export interface Mail {
  readonly send: (letter: Letter) => Promise<void>
}
