import { keyOf, strongest } from '../audience'
import type { Reached, TargetLevel } from '../audience'
import type { ClassId, PieceId, ResourceId, TrailId, UserId } from '../base'
import { supportOf, versionFor } from '../versions'
import type { GivenVersion, Trail, VersionChoice } from '../versions'
import type { AssignmentTarget, WorkBecause, WorkPiece } from './types'

/** What decides about versions besides the assignment. */
export interface VersionsAround {
  readonly trails: readonly Trail[]
  /** A learner's trail in a class. */
  readonly trailOf: (classId: ClassId, learnerId: UserId) => TrailId
  /** For which trails there are layers, by piece; one without any is absent. */
  readonly made: ReadonlyMap<ResourceId, ReadonlySet<TrailId>>
}

/** What a learner is given of a piece; null: it has no versions, and nothing else is given instead. */
export interface ResolvedVersion {
  readonly version: GivenVersion | null
  readonly because: readonly WorkBecause[]
}
const NO_VERSION: ResolvedVersion = { version: null, because: [] }

interface Chosen {
  readonly choice: VersionChoice
  readonly level: TargetLevel
  readonly sourceId: string
}

/**
 * What each learner is given of a piece: what was chosen for them, else for their groups, else for their classes, else
 * the version of their trail. Among several groups another task goes before a layer, and more support before less.
 */
export function versionsBy(
  targets: readonly AssignmentTarget[],
  around: VersionsAround | undefined,
): (one: Reached, piece: WorkPiece, classId: ClassId) => ResolvedVersion {
  if (!around) return () => NO_VERSION
  const { trails, trailOf, made } = around
  const given = new Map(targets.flatMap((t) => (t.versions ? [[keyOf(t.target), t.versions] as const] : [])))
  return (one, piece, classId) => {
    const chosen = chosenFor(one, piece.id, given, trails)
    const instead = chosen?.choice.kind === 'parallel' ? taskOf(chosen.choice) : null
    const layered = made.get(instead?.resourceId ?? piece.resourceId)
    if (!layered && !instead) return NO_VERSION
    const wanted = chosen?.choice.kind === 'trail' ? chosen.choice.trailId : trailOf(classId, one.learnerId)
    const trailId = versionFor(trails, wanted, layered ?? new Set()) ?? trails[0]?.id
    if (trailId === undefined) return NO_VERSION
    const because: readonly WorkBecause[] = chosen
      ? [{ field: 'version', level: chosen.level, sourceId: chosen.sourceId }]
      : []
    return { version: { trailId, instead }, because }
  }
}

const taskOf = ({ resourceId, revision }: VersionChoice & { kind: 'parallel' }) => ({ resourceId, revision })

function chosenFor(
  one: Reached,
  pieceId: PieceId,
  given: ReadonlyMap<string, Readonly<Record<PieceId, VersionChoice>>>,
  trails: readonly Trail[],
): Chosen | null {
  if (given.size === 0) return null
  const found = strongest(one, (level, id) => given.get(`${level} ${id}`)?.[pieceId])
  if (found === null) return null
  const [first, ...others] = found.given
  const isKinder = (a: VersionChoice, b: VersionChoice) => weightOf(a, trails) > weightOf(b, trails)
  const best = others.reduce((a, b) => (isKinder(b.value, a.value) ? b : a), first)
  return { choice: best.value, level: found.level, sourceId: best.sourceId }
}

function weightOf(choice: VersionChoice, trails: readonly Trail[]): number {
  return choice.kind === 'parallel' ? trails.length : supportOf(trails, choice.trailId)
}
