import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import type { AttemptId, Instant, ItemId } from '#core/base'
import type { Answer } from '#core/library'
import { HandIn, SaveAnswers } from '#shared/contracts/learning'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'

const PAUSE_MS = 400

/**
 * A try being answered: every change is sent after a short pause, kept on this machine until the server has
 * acknowledged it,
 * and sent again after a lost connection or a reload.
 */
export function useAnswering(attemptId: AttemptId, saved: Readonly<Record<string, Answer>>) {
  const key = `answers ${attemptId}`
  const kept = readKept(key)
  const answers = shallowRef<Readonly<Record<string, Answer>>>({ ...saved, ...kept })
  const unsent = new Map<string, Answer>(Object.entries(kept))
  const pending = ref(unsent.size)
  const savedAt = ref<Instant | null>(null)
  const lost = ref(false)
  const refusal = shallowRef<Refusal | null>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | null = null

  function note(): void {
    pending.value = unsent.size
    try {
      if (unsent.size === 0) localStorage.removeItem(key)
      else localStorage.setItem(key, JSON.stringify(Object.fromEntries(unsent)))
    } catch {
      // a full or forbidden store: the answers still go to the server
    }
  }
  function set(itemId: ItemId, answer: Answer): void {
    answers.value = { ...answers.value, [itemId]: answer }
    unsent.set(itemId, answer)
    note()
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), PAUSE_MS)
  }
  const batch = () => [...unsent].map(([itemId, answer]) => ({ itemId: itemId as ItemId, answer }))
  /** Sends what is unsent; one request at a time. */
  async function flush(): Promise<void> {
    clearTimeout(timer)
    if (sending) await sending
    if (unsent.size === 0 || refusal.value) return
    const saves = batch()
    sending = send(saves)
    await sending
    sending = null
  }
  async function send(saves: ReturnType<typeof batch>): Promise<void> {
    const reply = await call(SaveAnswers, { params: { attemptId }, body: { saves } })
    lost.value = !reply.ok && (reply.error.code === 'wire/lost' || reply.error.code === 'wire/broken')
    if (reply.ok) {
      // an answer changed while this was on its way stays unsent
      for (const { itemId, answer } of saves) if (unsent.get(itemId) === answer) unsent.delete(itemId)
      savedAt.value = reply.value.savedAt
      note()
    } else if (!lost.value) refusal.value = reply.error
  }
  /** Hands in together with whatever is not yet acknowledged. */
  async function handIn() {
    if (sending) await sending
    clearTimeout(timer)
    const reply = await call(HandIn, { params: { attemptId }, body: { saves: batch() } })
    if (reply.ok) {
      unsent.clear()
      note()
    }
    return reply
  }
  useIntervalFn(() => {
    if (unsent.size > 0) void flush()
  }, 4000)
  useEventListener(window, 'online', () => void flush())
  useEventListener(window, 'beforeunload', (event: BeforeUnloadEvent) => {
    if (unsent.size > 0) event.preventDefault()
  })
  if (unsent.size > 0) void flush()

  const status = computed<'saved' | 'saving' | 'lost'>(() =>
    lost.value ? 'lost' : pending.value > 0 ? 'saving' : 'saved',
  )
  return { answers, set, flush, handIn, savedAt, status, refusal }
}

function readKept(key: string): Readonly<Record<string, Answer>> {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}') as Record<string, Answer>
  } catch {
    return {}
  }
}
