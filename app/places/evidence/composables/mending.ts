import type { ItemId } from '#core/base'
import type { PieceFigures } from '#shared/contracts/evidence'
import { Regrade } from '#shared/contracts/regrading'
import type { Mending } from '#shared/contracts/regrading'
import { useDesk } from '~/places/pace'
import { useDialogs } from '~/shared/frame/dialogs'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import MendItem from '../components/MendItem.vue'

/** Puts a question right, with whose score changes first; undo in the bar takes it back. */
export function useMending(figures: () => PieceFigures | null, done: () => void) {
  const ask = useDialogs()
  const desk = useDesk()
  const tell = useTell()

  async function mend(itemId: ItemId): Promise<void> {
    const of = figures()
    const at = of?.items.findIndex((i) => i.id === itemId) ?? -1
    const item = of?.items[at]
    if (!of || !item) return
    const { assignmentId, pieceId, version, corrections } = of
    const correction = corrections.find((c) => c.itemId === itemId) ?? null
    const mending = await ask<Mending>(MendItem, {
      assignmentId,
      pieceId,
      version,
      item,
      number: at + 1,
      correction,
    })
    if (!mending) return
    const body = { version, pieceId, itemId, mending }
    const reply = await call(Regrade, { params: { assignmentId }, body })
    if (reply.ok) await desk.load(true)
    done()
    if (!reply.ok) return tell.refused(reply.error)
    const { changes } = reply.value
    tell.done(`Question ${at + 1} is put right: ${count(changes.length, 'score')} changed`)
  }
  return { mend }
}
