import type { AssignmentId, ItemId, PieceId, ResourceId, SchoolId, UserId } from '#core/base'
import { corrected, correctionsOf } from '#core/attempts'
import type { AttemptRules, Correction } from '#core/attempts'
import type { Resource } from '#core/library'
import { EMPTY_LAYER, composeVersion } from '#core/versions'
import type { GivenVersion, KeptItems, Layer, Support } from '#core/versions'
import { rulesOf } from '#core/work'
import type { LearnerWork, WorkPiece } from '#core/work'
import { assignmentById, layersOf, pieceIn, versionGiven } from '#db/repositories'
import type { Connection, PieceForm } from '#db/repositories'

/** A piece of an assignment in the form in which somebody has it. */
export interface GivenPiece {
  readonly piece: WorkPiece
  readonly rules: AttemptRules
  /** With all of its questions, and before them what there is to fill in of the support. */
  readonly resource: Resource
  /** What lies over it for this learner. */
  readonly support: Support
  /** Which questions are asked of them when a try begins. */
  readonly kept: KeptItems
  /** Questions whose hint is shown whatever the rules say. */
  readonly hinted: ReadonlySet<ItemId>
  /** Who works together at it; none: everybody alone. */
  readonly teams: readonly (readonly UserId[])[]
  /** What was put right in it since it was given: with other keys its questions are as they are right. */
  readonly fixes: readonly Correction[]
  /** It is another task in the place of the piece. */
  readonly isParallel: boolean
  /** Without items: done by the learner's word. */
  readonly isRead: boolean
}

/**
 * A piece as it is given to a learner, in their version, or as it was in the form that a try began with. One that is
 * not there is a defect: rows and tries name only pieces that are.
 */
export async function givenPiece(
  tx: Connection,
  of: {
    readonly assignmentId: AssignmentId
    readonly pieceId: PieceId
    readonly learnerId: UserId
    readonly revision?: number
  },
): Promise<GivenPiece> {
  const assignment = await assignmentById(tx, of.assignmentId)
  const piece = assignment?.pieces.find((p) => p.id === of.pieceId)
  const version = await versionGiven(tx, of)
  const form = piece ? formFor(piece, version, of.revision) : null
  const core = form ? await pieceIn(tx, form) : null
  if (!assignment || !piece || !core) throw new Error('work without its piece')
  const layer = await layerFor(tx, assignment.schoolId, core.id, version)
  const isParallel = version?.instead != null
  const fixes = isParallel ? [] : correctionsOf(piece, of.revision ?? piece.revision)
  const right = { ...core, items: corrected(core.items, fixes) }
  const { resource, support } = composeVersion(right, { ...layer, items: { kind: 'all' } })
  return {
    piece,
    rules: rulesOf(assignment, piece),
    resource,
    support,
    kept: layer.items,
    hinted: new Set(layer.hints.map((h) => h.itemId)),
    teams: piece.handIn === 'together' ? assignment.teams : [],
    fixes,
    isParallel,
    isRead: core.items.length === 0,
  }
}

function formFor(piece: WorkPiece, version: GivenVersion | null, begunIn: number | undefined): PieceForm {
  const { resourceId, revision } = version?.instead ?? piece
  return { resourceId, revision: begunIn ?? revision }
}

async function layerFor(
  tx: Connection,
  schoolId: SchoolId,
  resourceId: ResourceId,
  version: GivenVersion | null,
): Promise<Layer> {
  if (version === null) return EMPTY_LAYER
  const layers = await layersOf(tx, schoolId, [resourceId])
  return layers.find((l) => l.trailId === version.trailId)?.layer ?? EMPTY_LAYER
}

/** Words that a piece and its version give to write with, each once. */
export function expectedIn({
  resource,
  support,
}: Pick<GivenPiece, 'resource' | 'support'>): readonly string[] {
  return [...new Set([...resource.material.words.map((w) => w.word), ...support.wordBank])]
}

/** The same, by the rules of somebody who has some of their own. */
export function asTheirs(given: GivenPiece, { rules }: Pick<LearnerWork, 'rules'>): GivenPiece {
  return { ...given, rules: { ...given.rules, ...rules } }
}
