import type { Correction } from '#core/attempts'
import type { Item } from '#core/library'
import { withCorrection } from '#core/work'
import { assignmentsById, publishedIdsOf, resourceById, saveResource } from '#db/repositories'
import type { Deps } from '#usecases/ground/deps'
import { rescore } from '#usecases/settling/rescore'
import { PIECES } from './content'
import type { DemoSchool } from './demo'

/** What the book calls right where another answer is. */
const MISPRINT = { piece: 'mat302', stem: 'What is between the particles of a gas?', right: 'Air' } as const

/**
 * A check whose key is wrong in one question, as everybody who did it was scored. Learners answered by what they know:
 * so the key is spoilt after they did.
 */
export async function misprintKey(deps: Deps, { classes }: DemoSchool): Promise<void> {
  const piece = PIECES.find((p) => p.resource.code === MISPRINT.piece)?.resource
  const item = piece?.items.find((i) => i.stem === MISPRINT.stem)
  if (!piece || item?.kind !== 'single') throw new Error('the misprint has no question')
  const right = item.options.find((o) => o.text === MISPRINT.right)?.id
  if (right === undefined) throw new Error('the misprint names no option')
  const printed: Item = { ...item, right }
  const correction: Correction = { itemId: item.id, revision: 1, kind: 'key', item: printed }
  await deps.store.write(async (tx) => {
    const record = await resourceById(tx, piece.id)
    if (!record) throw new Error('the book is not there')
    const ids = await Promise.all([...classes.values()].map((id) => publishedIdsOf(tx, id)))
    for (const work of await assignmentsById(tx, [...new Set(ids.flat())])) {
      const pieces = work.pieces.map((p) =>
        p.resourceId === piece.id ? withCorrection(p, correction, correction) : p,
      )
      await rescore(tx, work, { ...work, pieces })
    }
    const items = piece.items.map((i) => (i.id === item.id ? printed : i))
    // the same form of it: what was given names it
    const spoilt = { ...record, revision: record.revision - 1, resource: { ...record.resource, items } }
    await saveResource(tx, spoilt, false)
  })
}
