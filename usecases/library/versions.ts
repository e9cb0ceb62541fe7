import { ok, refuse, same } from '#core/base'
import type { ResourceId, Result, TrailId } from '#core/base'
import { canDropLayer, canSeeResource } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import type { JournalCommand } from '#core/journal'
import { checkLayer } from '#core/versions'
import type { Layer, LayerCommand, VersionsRefusal } from '#core/versions'
import { namedClasses } from '#core/work'
import {
  addToJournal,
  assignmentIdsGiving,
  assignmentsById,
  dropLayer as dropOne,
  layersOf,
  resourceById,
  saveLayer,
  trailSettingsOf,
} from '#db/repositories'
import type { Connection, LayerRecord, ResourceRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { changedMeanwhile } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { refreshGiving } from '../settling/refreshWork'

/** The school's trails, and the layers that lie over a piece. */
export async function showVersions(deps: Pick<Deps, 'store'>, actor: Teacher, resourceId: ResourceId) {
  const tx = deps.store.read
  const found = await pieceInSight(tx, actor, resourceId)
  if (!found.ok) return found
  const { trails } = await trailSettingsOf(tx, actor.schoolId)
  const layers = await layersOf(tx, actor.schoolId, [resourceId])
  return ok({
    trails,
    layers: layers.map(({ trailId, layer, version, changedBy }) => {
      const mayDrop = canDropLayer(actor, { ownerId: found.value.ownerId, changedBy })
      return { trailId, layer, version, mayDrop }
    }),
  })
}

interface OfTrail {
  readonly resourceId: ResourceId
  readonly trailId: TrailId
  /** The changes that the asker has seen; 0: there is none yet. */
  readonly version: number
}
type Kept = Result<{ readonly version: number }, AccessRefusal | VersionsRefusal>

/**
 * Lays support over a piece for the learners on a trail, in place of what lay there. Who has not begun gets it at once.
 * Any teacher of the school may; refused when somebody changed it since.
 */
export async function keepLayer(
  deps: Deps,
  actor: Teacher,
  input: OfTrail & { readonly layer: Layer },
): Promise<Kept> {
  return writing(deps.store, async (tx): Promise<Kept> => {
    const { resourceId, trailId, layer } = input
    const found = await pieceInSight(tx, actor, resourceId)
    if (!found.ok) return found
    const stands = await standing(tx, actor, input)
    if (!stands.ok) return stands
    const checked = checkLayer(found.value.resource, layer)
    if (!checked.ok) return checked
    const { version } = input
    if (same(stands.value?.layer ?? null, layer)) return ok({ version })
    await saveLayer(tx, {
      resourceId,
      trailId,
      layer,
      version,
      schoolId: actor.schoolId,
      changedBy: actor.userId,
    })
    if (version === 0) await refreshGiving(tx, resourceId, deps.clock.now())
    const { title } = found.value.resource
    const from = stands.value?.layer ?? null
    await writeDown(tx, deps, actor, { kind: 'layer', resourceId, trailId, title, from, to: layer })
    return ok({ version: version + 1 })
  })
}

/**
 * Takes a layer off a piece: whoever laid or changed it last, the piece's owner, the lead, or the office. Who has not
 * begun gets the
 * version with less support, or the core.
 */
export async function dropLayer(deps: Deps, actor: Teacher, input: OfTrail): Promise<Kept> {
  return writing(deps.store, async (tx): Promise<Kept> => {
    const { resourceId, trailId } = input
    const found = await pieceInSight(tx, actor, resourceId)
    if (!found.ok) return found
    const stands = await standing(tx, actor, input)
    if (!stands.ok) return stands
    if (stands.value === null) return ok({ version: 0 })
    if (!canDropLayer(actor, { ownerId: found.value.ownerId, changedBy: stands.value.changedBy }))
      return refuse({ code: 'access/denied' })
    await dropOne(tx, { schoolId: actor.schoolId, resourceId, trailId })
    await refreshGiving(tx, resourceId, deps.clock.now())
    const { title } = found.value.resource
    const { layer: from } = stands.value
    await writeDown(tx, deps, actor, { kind: 'layer', resourceId, trailId, title, from, to: null })
    return ok({ version: 0 })
  })
}

/** A piece that somebody may look at; what is not theirs to see is not found, whatever they would do with it. */
async function pieceInSight(
  tx: Connection,
  actor: Teacher,
  resourceId: ResourceId,
): Promise<Result<ResourceRecord, AccessRefusal>> {
  const record = await resourceById(tx, resourceId)
  return record && canSeeResource(actor, record)
    ? ok(record)
    : refuse({ code: 'access/not-found', what: 'piece' })
}

/** An act on a version, for the history of the classes whose work gives the piece out. */
async function writeDown(tx: Connection, deps: Deps, actor: Teacher, command: LayerCommand): Promise<void> {
  const works = await assignmentsById(tx, await assignmentIdsGiving(tx, command.resourceId))
  await addToJournal(tx, {
    schoolId: actor.schoolId,
    touches: [...new Set([command.resourceId, ...works.flatMap(namedClasses)])],
    actorId: actor.userId,
    at: deps.clock.now(),
    command,
  })
}

/** A layer as it stands, where it still is as somebody saw it, on a trail that there is; null: there is none. */
async function standing(
  tx: Connection,
  actor: Teacher,
  { resourceId, trailId, version }: OfTrail,
): Promise<Result<LayerRecord | null, AccessRefusal | VersionsRefusal>> {
  const { trails } = await trailSettingsOf(tx, actor.schoolId)
  if (!trails.some((t) => t.id === trailId))
    return refuse({ code: 'versions/unknown-trail', field: 'trailId' })
  const known = (await layersOf(tx, actor.schoolId, [resourceId])).find((l) => l.trailId === trailId)
  const now = known?.version ?? 0
  if (now === version) return ok(known ?? null)
  const isIt = (command: JournalCommand) => command.kind === 'layer' && command.trailId === trailId
  return changedMeanwhile(tx, actor, { seen: version, now, id: resourceId, isIt })
}
