import { ok, refuse } from '#core/base'
import type { ClassId, Result, UserId } from '#core/base'
import { canAssignTo, canSeeResource } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AttemptRefusal } from '#core/attempts'
import type { AudienceRefusal } from '#core/audience'
import { checkDraft, faultInTargets, namedClasses } from '#core/work'
import type { Draft, Recipients, WhereTargetsAre, WorkRefusal } from '#core/work'
import { resourcesById, teachersOf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { worldLoader } from '../ground/world'
import type { World } from '../ground/world'

export type DraftRefusal = AccessRefusal | AudienceRefusal | AttemptRefusal | WorkRefusal

/** A draft, and whose it is. */
export interface DraftToCheck {
  readonly draft: Draft
  readonly authorId: UserId
  /** What it takes the place of; null: it is new. */
  readonly stands: Draft | null
}

/**
 * The world of a draft, once its pieces, rules and recipients are the actor's to give, or stand already; else the
 * first fault. A loader may know the world already.
 */
export async function checkedDraft(
  tx: Connection,
  actor: Teacher,
  { draft, authorId, stands }: DraftToCheck,
  load = worldLoader(tx, 'as-they-stand'),
): Promise<Result<World, DraftRefusal>> {
  const found = await resourcesById(
    tx,
    draft.pieces.map((p) => p.resourceId),
  )
  for (const { resourceId, revision } of draft.pieces) {
    const piece = found.get(resourceId)
    const isThere = stands?.pieces.some((p) => p.resourceId === resourceId) ?? false
    if (!piece || !(isThere || canSeeResource(actor, piece)) || revision > piece.revision)
      return refuse({ code: 'access/not-found', what: 'piece' })
  }
  const others = await checkOtherTasks(tx, actor, draft)
  if (!others.ok) return others
  const world = await load(authorId, namedClasses(draft))
  const checked = checkDraft(draft, await recipientsIn(tx, actor, world), stands)
  return checked.ok ? ok(world) : checked
}

/** The world of the people a draft names, where these are the actor's to choose; null where they are not. */
export async function worldOfTargets(
  tx: Connection,
  actor: Teacher,
  draft: Draft,
  stands: Draft | null,
): Promise<World | null> {
  const world = await worldLoader(tx, 'as-they-stand')(actor.userId, namedClasses(draft))
  return faultInTargets(draft, await recipientsIn(tx, actor, world), stands) === null ? world : null
}

/** Whether tasks that are given in place of others are the actor's to give, and have results in common with them. */
async function checkOtherTasks(
  tx: Connection,
  actor: Teacher,
  draft: Draft,
): Promise<Result<true, DraftRefusal>> {
  const chosen = draft.targets.flatMap((t) =>
    Object.entries(t.versions ?? {}).flatMap(([pieceId, choice]) =>
      choice.kind === 'parallel' ? [{ pieceId, choice }] : [],
    ),
  )
  if (chosen.length === 0) return ok(true)
  const ids = [...chosen.map((c) => c.choice.resourceId), ...draft.pieces.map((p) => p.resourceId)]
  const found = await resourcesById(tx, ids)
  for (const { pieceId, choice } of chosen) {
    const core = found.get(draft.pieces.find((p) => p.id === pieceId)?.resourceId ?? choice.resourceId)
    const other = found.get(choice.resourceId)
    if (!core || !other || !canSeeResource(actor, other) || choice.revision > other.revision)
      return refuse({ code: 'access/not-found', what: 'piece' })
    const { title, items } = other.resource
    if ((items.length === 0) !== (core.resource.items.length === 0))
      return refuse({ code: 'work/other-task-not-alike', field: 'targets', title })
  }
  return ok(true)
}

async function recipientsIn(tx: Connection, actor: Teacher, world: World): Promise<Recipients> {
  const teachers = await teachersOf(tx, [...world.classes.keys()])
  const classes = new Map(
    [...world.classes].map(([id, { record }]) => {
      const of = { schoolId: record.schoolId, teacherIds: teachers.get(id) ?? [] }
      return [id, { isMine: canAssignTo(actor, of) }]
    }),
  )
  return { classes, ...whereIn(world) }
}

/** In which classes the groups and learners of a world are. */
export function whereIn(world: World): WhereTargetsAre {
  const learners = new Map<UserId, ClassId[]>()
  for (const [classId, ids] of world.around.roster.classes)
    for (const id of ids) learners.set(id, [...(learners.get(id) ?? []), classId])
  return { groups: new Map(world.groups.map((g) => [g.id, g])), learners }
}
