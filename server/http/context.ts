import type { H3Event } from 'h3'
import type { ActorFor, WhoFor } from '#core/access'
import type { Letter } from '#ports'
import type { Person } from '#usecases/accounts/session'
import type { Deps } from '#usecases/ground/deps'
import type { HeavyPool } from '../heavy/pool'
import type { figuresOf } from './figures'

/** The newest letters that were sent. */
export type Outbox = () => readonly (Letter & { readonly number: number })[]

export interface ServerDeps {
  readonly deps: Deps
  readonly demo: boolean
  /** Letters that the mail stand-in keeps; null: there is none. */
  readonly outbox: Outbox | null
  /** Heavy jobs of one request, given up when it goes away. */
  readonly heavyUntil: HeavyPool['until']
  readonly figures: ReturnType<typeof figuresOf>
  /** Who sends it may read the figures; null: nobody. */
  readonly metricsToken: string | null
  /** Whether an address is a proxy of ours, whose word about who is behind it counts. */
  readonly trusts: (address: string, hop: number) => boolean
}

/** What a route's act gets besides its input; for whom it is says who can be asking. */
export type AskedBy<For extends WhoFor> = For extends 'anybody'
  ? AskedByAnybody
  : AskedByAnybody & { readonly actor: Person & ActorFor<For> }

/** The same, where nobody is asked who they are. */
export interface AskedByAnybody {
  readonly deps: Deps
  readonly event: H3Event
  readonly demo: boolean
  readonly outbox: Outbox | null
}

/** The dependencies of a request, put there at its start. */
export function serverOf(event: H3Event): ServerDeps {
  return event.context.server as ServerDeps
}
