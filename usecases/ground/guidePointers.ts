import type { ResourceId, SchoolId } from '#core/base'
import { pointersFrom } from '#db/repositories'
import type { Connection, GuidePointer } from '#db/repositories'

/** Whether two pointers lead from the same to the same. */
export function isSameWay(a: GuidePointer, b: GuidePointer): boolean {
  return a.fromPiece === b.fromPiece && a.fromStandard === b.fromStandard && a.toPiece === b.toPiece
}

/** What a piece and standards point to for a school, each once, without what it has taken out of a textbook's. */
export async function pointersHolding(
  tx: Connection,
  schoolId: SchoolId,
  from: { readonly pieces: readonly ResourceId[]; readonly standards: readonly string[] },
): Promise<readonly GuidePointer[]> {
  const pointers = await pointersFrom(tx, schoolId, from)
  const off = pointers.filter((p) => p.isOff)
  const on = pointers.filter((p) => !p.isOff && !off.some((o) => isSameWay(o, p)))
  return on.filter((p, i) => on.findIndex((other) => isSameWay(other, p)) === i)
}
