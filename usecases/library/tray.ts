import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { afterTrayAct, codesIn } from '#core/library'
import type { Tray, TrayAct } from '#core/library'
import { cardsByCode, cardsFor, saveTray, trayOf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { asCard } from './shelf'

/** The actor's tray; pieces that are no longer open to them are left out. */
export async function showTray(deps: Pick<Deps, 'store'>, actor: Teacher) {
  const tx = deps.store.read
  return ok(await openIn(tx, actor, await trayOf(tx, actor.userId)))
}

async function openIn(tx: Connection, actor: Teacher, tray: Tray): Promise<Tray> {
  if (tray.pieces.length === 0 && tray.aside.length === 0) return tray
  const open = new Set((await cardsFor(tx, actor)).map((c) => c.id))
  const pieces = tray.pieces.filter((id) => open.has(id))
  const aside = tray.aside.map((g) => ({ ...g, pieces: g.pieces.filter((id) => open.has(id)) }))
  return { ...tray, pieces, aside: aside.filter((g) => g.pieces.length > 0) }
}

/** Changes the actor's tray. A piece that is not open to them is not found, and nothing changes. */
export async function changeTray(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  act: TrayAct,
): Promise<Result<Tray, AccessRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<Tray, AccessRefusal>> => {
    const tray = await openIn(tx, actor, await trayOf(tx, actor.userId))
    const next = afterTrayAct(tray, act)
    const open = await openIn(tx, actor, next)
    if (open.pieces.length < next.pieces.length) return refuse({ code: 'access/not-found', what: 'piece' })
    await saveTray(tx, actor.userId, next)
    return ok(next)
  })
}

/** Pieces open to the actor by short codes in a text, in the order of the codes; codes that are nowhere are named. */
export async function readCodes(deps: Pick<Deps, 'store'>, actor: Teacher, text: string) {
  const codes = codesIn(text)
  const cards = await cardsByCode(deps.store.read, actor, codes)
  const found = codes.flatMap((code) => cards.filter((c) => c.code.toLowerCase() === code))
  const unknown = codes.filter((code) => !cards.some((c) => c.code.toLowerCase() === code))
  return ok({ found: found.map((card) => asCard(card, actor)), unknown })
}
