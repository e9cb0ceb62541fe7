import type { ResourceId } from '../base'
import { piecesForBand } from '../evidence'
import type { Band } from '../evidence'
import { NO_STANDARD } from './types'
import type { FollowUpGround, FollowUpPiece } from './types'

/** A piece that would do, and whether the guide says so. */
export interface Candidate {
  readonly piece: FollowUpPiece
  readonly because: 'guide' | 'shelf'
}

/**
 * What may be given to somebody of a band on a standard, the fittest first: what the guide names for the standard, then
 * what it names for the check as far as that serves it or names no standard, then the shelf by band, the check's own
 * grade first.
 */
export function candidatesFor(code: string, band: Band, ground: FollowUpGround): readonly Candidate[] {
  const pieces = ground.pieces.filter((p) => p.id !== ground.checkId)
  const byId = new Map(pieces.map((p) => [p.id, p]))
  const pointed = (of: string | null) =>
    ground.pointers.flatMap((p) => (p.code === of ? (byId.get(p.to) ?? []) : []))
  const serves = (p: FollowUpPiece) => p.standards.includes(code)
  const ofCheck = pointed(null).filter((p) => serves(p) || code === NO_STANDARD || p.standards.length === 0)
  const near = pieces.filter(serves).toSorted((a, b) => farFrom(a, ground) - farFrom(b, ground))
  const named = band === 'high' ? [] : [...pointed(code), ...ofCheck]
  const found = [
    ...named.map((piece): Candidate => ({ piece, because: 'guide' })),
    ...piecesForBand(near, band, Infinity).map((piece): Candidate => ({ piece, because: 'shelf' })),
  ]
  const first = new Map<ResourceId, Candidate>()
  for (const one of found) if (!first.has(one.piece.id)) first.set(one.piece.id, one)
  return [...first.values()]
}

function farFrom({ grade }: FollowUpPiece, ground: FollowUpGround): number {
  return Math.abs(grade - ground.grade)
}
