import { asId, ok, refuse } from '#core/base'
import type { ResourceId, Result } from '#core/base'
import { canSeeResource, canWriteResource } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { differenceOf } from '#core/library'
import type { LibraryRefusal } from '#core/library'
import {
  addResource,
  dropResources,
  layersOf,
  ownCodeTaken,
  pieceIn,
  resourceById,
  saveLayer,
  setShared,
  usesOf,
} from '#db/repositories'
import type { Connection, ResourceRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'

/** A piece that the actor wrote; what they may not see is not found. */
async function ownPiece(
  tx: Connection,
  actor: Teacher,
  resourceId: ResourceId,
): Promise<Result<ResourceRecord, AccessRefusal>> {
  const record = await resourceById(tx, resourceId)
  if (!record || !canSeeResource(actor, record)) return refuse({ code: 'access/not-found', what: 'piece' })
  return canWriteResource(actor, record) ? ok(record) : refuse({ code: 'access/denied' })
}

/** Opens an own piece to the whole school, or takes it back; work that gives it out keeps it. */
export async function sharePiece(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  input: { readonly resourceId: ResourceId; readonly isShared: boolean },
): Promise<Result<{ readonly isShared: boolean }, AccessRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<{ readonly isShared: boolean }, AccessRefusal>> => {
    const found = await ownPiece(tx, actor, input.resourceId)
    if (!found.ok) return found
    await setShared(tx, input.resourceId, input.isShared)
    return ok({ isShared: input.isShared })
  })
}

type Copied = Result<{ readonly resourceId: ResourceId }, AccessRefusal>

/** An own copy of any piece that is open to the actor, with its versions, to be changed as they like. */
export async function copyPiece(deps: Deps, actor: Teacher, resourceId: ResourceId): Promise<Copied> {
  return writing(deps.store, async (tx): Promise<Copied> => {
    const record = await resourceById(tx, resourceId)
    if (!record || !canSeeResource(actor, record)) return refuse({ code: 'access/not-found', what: 'piece' })
    const id = asId<ResourceId>(deps.ids.newId())
    await addResource(tx, {
      resource: {
        ...record.resource,
        id,
        code: await freeCode(tx, actor, record.resource.code),
        title: `${record.resource.title.slice(0, 112)} (copy)`,
      },
      schoolId: actor.schoolId,
      ownerId: actor.userId,
      bookId: null,
      bookLessonId: null,
      position: 0,
      isShared: false,
      revision: 1,
    })
    for (const { trailId, layer } of await layersOf(tx, actor.schoolId, [resourceId])) {
      const { schoolId, userId: changedBy } = actor
      await saveLayer(tx, { resourceId: id, trailId, layer, version: 0, schoolId, changedBy })
    }
    return ok({ resourceId: id })
  })
}

/** A short code near another one that no own piece of the school has. */
async function freeCode(tx: Connection, actor: Teacher, like: string): Promise<string> {
  const stem = like.slice(0, 12)
  for (let n = 2; ; n++) {
    const code = `${stem}v${n}`
    if (!(await ownCodeTaken(tx, actor.schoolId, code))) return code
  }
}

type Dropped = Result<{ readonly title: string }, AccessRefusal | LibraryRefusal>

/** Takes an own piece off the shelf for good. Refused while work gives it out or gave it out. */
export async function dropPiece(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  resourceId: ResourceId,
): Promise<Dropped> {
  return writing(deps.store, async (tx): Promise<Dropped> => {
    const found = await ownPiece(tx, actor, resourceId)
    if (!found.ok) return found
    const works = await usesOf(tx, [resourceId])
    if (works > 0) return refuse({ code: 'library/piece-in-use', field: 'resourceId', works })
    await dropResources(tx, [resourceId])
    return ok({ title: found.value.resource.title })
  })
}

/** What differs between a piece's form of some revision and the one it has now. */
export async function showDifference(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  of: { readonly resourceId: ResourceId; readonly revision: number },
) {
  const tx = deps.store.read
  const record = await resourceById(tx, of.resourceId)
  if (!record || !canSeeResource(actor, record))
    return refuse({ code: 'access/not-found' as const, what: 'piece' })
  const before = await pieceIn(tx, of)
  if (!before) return refuse({ code: 'access/not-found' as const, what: 'form' })
  return ok({ revision: record.revision, changes: differenceOf(before, record.resource) })
}
