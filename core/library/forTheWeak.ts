import type { ResourceId } from '../base'
import type { Resource } from './types'

type Offered = Pick<Resource, 'id' | 'role'>

/** So many pieces are offered at most: a choice, not a list. */
const MOST = 4

/**
 * What may be given to those who were weak in a piece: what it points to, then what its lesson has for teaching again
 * and for practice; each once, and never the piece itself.
 */
export function forTheWeak<P extends Offered>(
  inPiece: ResourceId,
  of: { readonly pointed: readonly P[]; readonly lesson: readonly P[] },
): readonly P[] {
  const again = of.lesson.filter((p) => p.role === 'reteach' || p.role === 'practice')
  const each = new Map([...of.pointed, ...again].map((p) => [p.id, p]))
  return [...each.values()].filter((p) => p.id !== inPiece).slice(0, MOST)
}
