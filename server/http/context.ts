import type { H3Event } from 'h3'
import type { Actor } from '#core/access'
import type { Deps } from '#usecases/deps'

export interface ServerDeps {
  readonly deps: Deps
  readonly demo: boolean
}

/** What a route's act gets besides its input. */
export interface Asked {
  readonly deps: Deps
  readonly actor: Actor & { readonly name: string }
  readonly event: H3Event
  readonly demo: boolean
}

/** The dependencies of a request, put there at its start. */
export function serverOf(event: H3Event): ServerDeps {
  return event.context.server as ServerDeps
}
