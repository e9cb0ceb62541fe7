import { ok, refuse } from '#core/base'
import type { ResourceId, Result } from '#core/base'
import { canSeeResource } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { addPointer, cardsById, dropPointer, pointersFrom, resourceById } from '#db/repositories'
import type { Connection, GuidePointer } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { isSameWay, pointersHolding } from '../ground/guidePointers'
import { writing } from '../ground/writing'
import { asCard } from './shelf'

/** From a check, or from a standard wherever it is weak. */
export type PointsFrom =
  | { readonly kind: 'piece'; readonly resourceId: ResourceId }
  | { readonly kind: 'standard'; readonly code: string }

/** "If weak here, give that": what a piece, and the standards it serves, point to. */
export async function showGuide(deps: Pick<Deps, 'store'>, actor: Teacher, resourceId: ResourceId) {
  const tx = deps.store.read
  const record = await resourceById(tx, resourceId)
  if (!record || !canSeeResource(actor, record))
    return refuse({ code: 'access/not-found' as const, what: 'piece' })
  const standards = record.resource.standards
  const pointers = await pointersHolding(tx, actor.schoolId, { pieces: [resourceId], standards })
  const cards = await cardsById(
    tx,
    pointers.map((p) => p.toPiece),
  )
  return ok({
    pointers: pointers.flatMap((p) => {
      const card = cards.find((c) => c.id === p.toPiece)
      return card ? [{ standard: p.fromStandard, to: asCard(card, actor) }] : []
    }),
  })
}

type Pointed = Result<{ readonly isOn: boolean }, AccessRefusal>

/** Points from a check or a standard to a piece, or no longer; for the whole school. */
export async function setPointer(
  deps: Deps,
  actor: Teacher,
  input: { readonly from: PointsFrom; readonly to: ResourceId; readonly isOn: boolean },
): Promise<Pointed> {
  return writing(deps.store, async (tx): Promise<Pointed> => {
    const { from, to, isOn } = input
    const named = from.kind === 'piece' ? [from.resourceId, to] : [to]
    if (!(await areOpen(tx, actor, named))) return refuse({ code: 'access/not-found', what: 'piece' })
    const pointer: GuidePointer = {
      id: deps.ids.newId(),
      schoolId: actor.schoolId,
      fromPiece: from.kind === 'piece' ? from.resourceId : null,
      fromStandard: from.kind === 'standard' ? from.code : null,
      toPiece: to,
      isOff: !isOn,
    }
    const known = await pointersFrom(tx, actor.schoolId, {
      pieces: pointer.fromPiece ? [pointer.fromPiece] : [],
      standards: pointer.fromStandard ? [pointer.fromStandard] : [],
    })
    const same = known.filter((p) => isSameWay(p, pointer))
    for (const own of same.filter((p) => p.schoolId !== null)) await dropPointer(tx, own.id)
    const isOfBook = same.some((p) => p.schoolId === null)
    // a textbook's own pointer is on without a word, and off only with one
    if (isOn !== isOfBook) await addPointer(tx, pointer)
    return ok({ isOn })
  })
}

async function areOpen(tx: Connection, actor: Teacher, ids: readonly ResourceId[]): Promise<boolean> {
  const records = await Promise.all(ids.map((id) => resourceById(tx, id)))
  return records.every((record) => record !== null && canSeeResource(actor, record))
}
