import { computed, shallowRef } from 'vue'
import type { Instant, ItemId } from '#core/base'
import type { AnswerChange, StandingAnswer } from '#core/attempts'
import type { Answer } from '#core/library'
import { HandIn, SaveAnswers } from '#shared/contracts/learning'
import type { OpenTry } from '#shared/contracts/learning'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'
import { keptChanges, newPage, unsentAfter } from './keptChanges'
import { useSendingAgain } from './sendingAgain'

const PAUSE_MS = 400
type ByItem<T> = Readonly<Record<ItemId, T>>

/**
 * A try being answered: every change is sent after a short pause, kept on this machine until the server has
 * acknowledged it, and sent again after a lost connection or a reload. Where another page has answered
 * meanwhile, the learner chooses what counts.
 */
export function useAnswering(attempt: Pick<OpenTry, 'attemptId' | 'answers' | 'revisions'>) {
  const { attemptId } = attempt
  const kept = keptChanges(attemptId)
  let unsent = new Map(kept.read())
  const revisions = new Map(Object.entries(attempt.revisions) as [ItemId, number][])
  const answers = shallowRef<ByItem<Answer>>({ ...attempt.answers, ...answersIn(unsent) })
  /** What stands on the server where it was answered on another page, too. */
  const elsewhere = shallowRef<ByItem<StandingAnswer>>({})
  const pending = shallowRef(unsent.size)
  const savedAt = shallowRef<Instant | null>(null)
  const lost = shallowRef(false)
  const refusal = shallowRef<Refusal | null>(null)
  const page = newPage()
  let edit = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | null = null

  function note(): void {
    pending.value = unsent.size
    kept.write(unsent)
  }
  function set(itemId: ItemId, answer: Answer): void {
    answers.value = { ...answers.value, [itemId]: answer }
    const from = unsent.get(itemId)?.from ?? revisions.get(itemId) ?? 0
    unsent.set(itemId, { itemId, answer, from, writer: page, edit: ++edit })
    note()
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), PAUSE_MS)
  }
  /** What may be sent: not what the learner has yet to choose about. */
  const batch = () => [...unsent.values()].filter((c) => !(c.itemId in elsewhere.value))
  /** Sends what is unsent; one request at a time. */
  async function flush(): Promise<void> {
    clearTimeout(timer)
    if (sending) await sending
    const saves = batch()
    if (saves.length === 0 || refusal.value) return
    sending = send(saves)
    await sending
    sending = null
  }
  async function send(saves: ReturnType<typeof batch>): Promise<void> {
    const reply = await call(SaveAnswers, { params: { attemptId }, body: { saves } })
    lost.value = !reply.ok && MAY_COME_BACK.has(reply.error.code)
    if (!reply.ok) {
      if (!lost.value) refusal.value = reply.error
      return
    }
    const { stands, stale } = reply.value
    unsent = new Map(unsentAfter(unsent, saves, reply.value))
    for (const { itemId, revision } of stands) revisions.set(itemId, revision)
    askAbout(stands.filter((s) => stale.includes(s.itemId)))
    savedAt.value = reply.value.savedAt
    note()
  }
  function askAbout(stands: readonly StandingAnswer[]): void {
    elsewhere.value = { ...elsewhere.value, ...Object.fromEntries(stands.map((s) => [s.itemId, s])) }
  }
  /** The learner's choice where two pages answered: what stands on the server, or what this page has. */
  function choose(itemId: ItemId, which: 'theirs' | 'mine'): void {
    const { [itemId]: theirs, ...others } = elsewhere.value
    const mine = answers.value[itemId]
    if (!theirs) return
    elsewhere.value = others
    unsent.delete(itemId)
    revisions.set(itemId, theirs.revision)
    if (which === 'mine' && mine) set(itemId, mine)
    else answers.value = { ...answers.value, [itemId]: theirs.answer }
    note()
    void flush()
  }
  /** Hands in together with whatever is not yet acknowledged. */
  async function handIn() {
    if (sending) await sending
    clearTimeout(timer)
    const reply = await call(HandIn, { params: { attemptId }, body: { saves: batch() } })
    if (reply.ok) unsent.clear()
    else if (reply.error.code === 'attempts/answered-elsewhere') askAbout(reply.error.stands)
    note()
    return reply
  }
  useSendingAgain(() => unsent.size > 0, flush)

  const status = computed<'saved' | 'saving' | 'lost' | 'choose'>(() => {
    if (lost.value) return 'lost'
    if (Object.keys(elsewhere.value).length > 0) return 'choose'
    return pending.value > 0 ? 'saving' : 'saved'
  })
  return { answers, elsewhere, set, choose, flush, handIn, savedAt, status, refusal }
}

/** Failures that pass: the answers are kept here and sent again. */
const MAY_COME_BACK: ReadonlySet<Refusal['code']> = new Set(['wire/lost', 'wire/broken', 'wire/cannot-save'])

function answersIn(changes: ReadonlyMap<ItemId, AnswerChange>): ByItem<Answer> {
  return Object.fromEntries([...changes].map(([itemId, { answer }]) => [itemId, answer]))
}
