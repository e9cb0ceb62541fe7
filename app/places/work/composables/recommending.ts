import { ref } from 'vue'
import type { UserId } from '#core/base'
import { Assign } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import type { StartingCard } from '../pieceRules'
import { recommendation } from '../starting'
import { usePresets } from '../stores/presets'

/** Recommends a piece to some learners, open at once; undo in the bar takes it back. */
export function useRecommending() {
  const desk = useDesk()
  const tell = useTell()
  const presets = usePresets()
  const busy = ref(false)

  /** `who`: as they are called. True: they have it. */
  async function recommend(card: StartingCard, learnerIds: readonly UserId[], who: string): Promise<boolean> {
    busy.value = true
    await presets.load()
    const draft = recommendation(card, learnerIds, presets.presets)
    const reply = await call(Assign, { body: { draft, publish: true } })
    if (reply.ok) await desk.load(true)
    busy.value = false
    if (reply.ok) tell.done(`“${card.title}” is recommended to ${who}`)
    else tell.refused(reply.error)
    return reply.ok
  }
  return { recommend, busy }
}
