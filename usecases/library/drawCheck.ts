import { ok } from '#core/base'
import type { Teacher } from '#core/access'
import { drawItems, sharesFor } from '#core/attempts'
import type { Mix } from '#core/attempts'
import { MADE, differentOnes } from '#core/library'
import { piecesServing } from '#db/repositories'
import type { Deps } from '../ground/deps'

/**
 * Draws items for a check on standards, as many of each, from all pieces open to the actor; says which standards have
 * too few. The same seed draws the same.
 */
export async function drawCheck(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  asked: {
    readonly standards: readonly string[]
    readonly perStandard: number
    readonly mix: Mix | null
    readonly seed: string
  },
) {
  const standards = [...new Set(asked.standards)]
  const pieces = await piecesServing(deps.store.read, actor, standards)
  const all = pieces.flatMap(({ resource }) =>
    resource.items
      .filter((item) => item.standard !== null && standards.includes(item.standard))
      // what asks for something made says nothing outside its project
      .filter((item) => item.id !== MADE)
      // items are named within their piece; in one bank each needs a name of its own
      .map((item) => ({ ...item, item, from: resource, id: `${resource.id}/${item.id}` as typeof item.id })),
  )
  const bank = differentOnes(all, (of) => of.item)
  const drawn = drawItems(bank, sharesFor(standards, asked.perStandard, asked.mix), asked.seed)
  const short = standards.flatMap((standard) => {
    const missing = asked.perStandard - drawn.filter((d) => d.standard === standard).length
    return missing > 0 ? [{ standard, missing }] : []
  })
  const inOrder = standards.flatMap((standard) => drawn.filter((d) => d.standard === standard))
  return ok({
    items: inOrder.map(({ item, from }) => ({ item, from: { code: from.code, title: from.title } })),
    short,
  })
}
