import { useEventListener, useIntervalFn } from '@vueuse/core'
import { ref } from 'vue'
import type { AttemptId, ItemId } from '#core/base'
import type { ScoreGiven } from '#core/evidence'
import { DraftScore } from '#shared/contracts/evidence'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'

/** One answer, by its try and its question. */
export interface OfAnswer {
  readonly attemptId: AttemptId
  readonly itemId: ItemId
}
export const answerName = ({ attemptId, itemId }: OfAnswer) => `${attemptId} ${itemId}`

interface ToSend extends OfAnswer {
  readonly given: ScoreGiven
}

const AGAIN_MS = 4000

/**
 * Sends what is given for answers, one after the other and of each the latest only, each made from the version that
 * was seen last. What was lost on the way is sent again; what is refused goes to `refused`.
 */
export function useDrafting(refused: (of: ToSend, refusal: Refusal) => Promise<void>) {
  const waiting = new Map<string, ToSend>()
  const versions = new Map<string, number>()
  const status = ref<'saved' | 'saving' | 'lost'>('saved')
  let isSending = false
  let sending: Promise<void> = Promise.resolve()

  async function send(): Promise<void> {
    if (isSending) return
    isSending = true
    for (const [name, next] of waiting) {
      status.value = 'saving'
      waiting.delete(name)
      const { attemptId, itemId, given } = next
      const body = { itemId, ...given, levels: [...given.levels], version: versions.get(name) ?? 0 }
      const reply = await call(DraftScore, { params: { attemptId }, body })
      if (reply.ok) versions.set(name, reply.value.version)
      else if (reply.error.code === 'wire/lost') {
        // unless something newer waits already
        if (!waiting.has(name)) waiting.set(name, next)
        status.value = 'lost'
        break
      } else void refused(next, reply.error)
    }
    isSending = false
    if (waiting.size === 0) status.value = 'saved'
    else if (status.value !== 'lost') await send()
  }
  function keep(of: OfAnswer, given: ScoreGiven): Promise<void> {
    waiting.set(answerName(of), { attemptId: of.attemptId, itemId: of.itemId, given })
    // who is sending already takes this along
    if (!isSending) sending = send()
    return sending
  }
  /** What is known of an answer: the next change is made from there. */
  function seen(of: OfAnswer, version: number): void {
    versions.set(answerName(of), version)
  }
  useIntervalFn(() => {
    if (status.value === 'lost' && !isSending) sending = send()
  }, AGAIN_MS)
  useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
    if (waiting.size > 0 || isSending) event.preventDefault()
  })
  /** Waits for what is on its way; false: something could not be sent. */
  async function sent(): Promise<boolean> {
    await sending
    return waiting.size === 0
  }
  /** The version from which the next change of an answer is made. */
  const versionOf = (of: OfAnswer) => versions.get(answerName(of)) ?? 0
  /** What is on its way, or was lost on it. */
  const unsent = () => [...waiting.values()]
  return { status, keep, seen, unsent, sent, versionOf }
}
