import { asId, ok, refuse } from '../base'
import type { Result, TrailId, UserId } from '../base'
import type { VersionsRefusal } from './refusals'
import type { Trail } from './types'

export const FEWEST_TRAILS = 2
export const MOST_TRAILS = 5

/** The trails of a school that has named none of its own, from least support to most. */
export const DEFAULT_TRAILS: readonly Trail[] = ['bare', 'marked', 'guided'].map((name) => ({
  id: asId<TrailId>(name),
  name,
}))

/** How many learners are on a trail, and how many versions are made for it. */
export interface TrailUse {
  readonly learners: number
  readonly versions: number
}

/** Accepts two to five trails, each with a name of its own; none that is in use may be gone. */
export function checkTrails(
  trails: readonly Trail[],
  uses: ReadonlyMap<TrailId, TrailUse>,
): Result<readonly Trail[], VersionsRefusal> {
  if (trails.length < FEWEST_TRAILS || trails.length > MOST_TRAILS)
    return refuse({ code: 'versions/trail-count', field: 'trails', count: trails.length })
  const names = trails.map((t) => t.name.trim().toLowerCase())
  const twice = trails.find((_, i) => names[i] === '' || names.indexOf(names[i] ?? '') !== i)
  if (twice) return refuse({ code: 'versions/trail-twice', field: 'trails', name: twice.name })
  const kept = new Set(trails.map((t) => t.id))
  for (const [trailId, use] of uses) {
    if (!kept.has(trailId) && use.learners + use.versions > 0)
      return refuse({ code: 'versions/trail-in-use', field: 'trails', trailId, ...use })
  }
  return ok(trails)
}

/** How much support a trail stands for: 0 the least. One that is not there counts as the least. */
export function supportOf(trails: readonly Trail[], id: TrailId | null): number {
  return Math.max(
    0,
    trails.findIndex((t) => t.id === id),
  )
}

/**
 * The trail whose version a learner on `wanted` gets where a piece has versions for `made` only: that trail, else the
 * nearest with less support, and null, the core, when there is none.
 */
export function versionFor(
  trails: readonly Trail[],
  wanted: TrailId | null,
  made: ReadonlySet<TrailId>,
): TrailId | null {
  const upTo = trails.slice(0, supportOf(trails, wanted) + 1).map((t) => t.id)
  return upTo.findLast((id) => made.has(id)) ?? null
}

/** On which trail a class's learners are: the class's own trail, and those of single learners. */
export interface ClassTrails {
  readonly usual: TrailId | null
  readonly learners: ReadonlyMap<UserId, TrailId>
}

/**
 * A learner's trail in a class: their own, else the class's, else the least support. Trails that are gone do not
 * count.
 */
export function trailOf(
  trails: readonly Trail[],
  inClass: ClassTrails | undefined,
  learnerId: UserId,
): TrailId {
  const known = (id: TrailId | null | undefined) => trails.find((t) => t.id === id)?.id
  const least = trails[0]
  if (!least) throw new Error('a school without trails')
  return known(inClass?.learners.get(learnerId)) ?? known(inClass?.usual) ?? least.id
}
