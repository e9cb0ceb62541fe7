import { ok, refuse } from '#core/base'
import type { ResourceId, Result } from '#core/base'
import { canSeeResource, canWriteResource } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { checkResource } from '#core/library'
import type { LibraryRefusal, WrittenPiece } from '#core/library'
import { isFormInUse, ownCodeTaken, resourceById, saveResource } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { changedTo } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { withKeptFiles } from './files'
import { standardsIn } from './shelf'

export type PieceChanged = Result<
  { readonly revision: number; readonly isNewForm: boolean },
  AccessRefusal | LibraryRefusal
>

/**
 * Changes an own piece as it stood at `revision`. Once it was given out, its former form stays with the work and the
 * tries that have it, and what is written is the next form; else it takes the place of what was there.
 */
export async function changePiece(
  deps: Deps,
  actor: Teacher,
  input: { readonly resourceId: ResourceId; readonly revision: number; readonly piece: WrittenPiece },
): Promise<PieceChanged> {
  return writing(deps.store, async (tx): Promise<PieceChanged> => {
    const { resourceId } = input
    const record = await resourceById(tx, resourceId)
    if (!record || !canSeeResource(actor, record)) return refuse({ code: 'access/not-found', what: 'piece' })
    if (!canWriteResource(actor, record)) return refuse({ code: 'access/denied' })
    if (record.revision !== input.revision)
      // nobody else may: it was done in another window
      return changedTo({ seen: input.revision, now: record.revision }, { isSelf: true })
    const { code: was } = record.resource
    const code = input.piece.code.trim().toLowerCase() || was
    const standards = standardsIn(input.piece)
    const kept = await withKeptFiles(tx, actor, input.piece, deps.clock.now())
    if (!kept.ok) return kept
    const checked = checkResource({ ...kept.value, id: resourceId, code, standards })
    if (!checked.ok) return checked
    if (code !== was && (await ownCodeTaken(tx, actor.schoolId, code)))
      return refuse({ code: 'library/bad-code', field: 'code', value: code })
    const isNewForm = await isFormInUse(tx, { resourceId, revision: record.revision })
    await saveResource(tx, { ...record, resource: checked.value }, isNewForm)
    return ok({ revision: record.revision + 1, isNewForm })
  })
}
