import type { Layout, Placement } from './types'

export type Unplaced = Extract<Placement, { readonly placed: false }>

/** The lessons that found no place in a layout; those that were let go or marked as not covered want none. */
export function withoutPlace({ placements }: Pick<Layout, 'placements'>): readonly Unplaced[] {
  return placements.filter(
    (p): p is Unplaced => !p.placed && p.because.why !== 'let-go' && p.because.why !== 'not-covered',
  )
}
