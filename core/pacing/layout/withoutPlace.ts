import { LEFT_BECAUSE } from '../plan'
import type { Left } from '../plan'
import type { Layout, Placement } from './types'

export type Unplaced = Extract<Placement, { readonly placed: false }>

/** The lessons that found no place in a layout; those that a class leaves out, for whatever reason, want none. */
export function withoutPlace({ placements }: Pick<Layout, 'placements'>): readonly Unplaced[] {
  return placements.filter((p): p is Unplaced => !p.placed && !isLeft(p.because.why))
}

/** Whether a lesson is not laid because its class leaves it out. */
export function isLeft(why: Unplaced['because']['why']): why is Left {
  return (LEFT_BECAUSE as readonly string[]).includes(why)
}
