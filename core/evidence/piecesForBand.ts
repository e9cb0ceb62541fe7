import type { Resource, ResourceRole } from '../library'
import { cardOfKind } from '../library'
import type { Band } from './band'

/** So many pieces are offered at most: a choice, not a list. */
const MOST = 4

/** What each band is given first. */
const ROLES: Readonly<Record<Band | 'unseen', readonly ResourceRole[]>> = {
  low: ['reteach', 'example', 'practice'],
  middle: ['practice', 'reteach'],
  high: ['extension'],
  unseen: ['core', 'practice'],
}

/**
 * Which of the pieces that serve a standard fit learners of a band, the fittest first: for the weak what teaches
 * again, for the middle practice, for the strong what goes further, for who has not met it the core. What measures is
 * not offered.
 * @param most so many at most.
 */
export function piecesForBand<P extends Pick<Resource, 'role' | 'kind'>>(
  pieces: readonly P[],
  band: Band | 'unseen',
  most = MOST,
): readonly P[] {
  const roles = ROLES[band]
  return roles
    .flatMap((role) => pieces.filter((p) => p.role === role && cardOfKind(p.kind).measures === null))
    .slice(0, most)
}
