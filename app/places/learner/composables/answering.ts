import { computed, shallowRef } from 'vue'
import type { Instant, ItemId } from '#core/base'
import type { AnswerChange, KeptAnswer } from '#core/attempts'
import type { Answer } from '#core/library'
import { FixAnswer, HandIn, SaveAnswers } from '#shared/contracts/learning'
import type { OpenTry } from '#shared/contracts/learning'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'
import { useSendingAgain } from './sendingAgain'
import { useUnsent } from './unsent'

const PAUSE_MS = 400
type ByItem<T> = Readonly<Record<ItemId, T>>

/**
 * A try being answered: every change is sent after a short pause, kept on this machine until the server has
 * acknowledged it, and sent again after a lost connection or a reload. Where another page has answered
 * meanwhile, the learner chooses what counts.
 */
export function useAnswering(attempt: OpenTry) {
  const { attemptId } = attempt
  const unsent = useUnsent(attempt)
  /** The try as it stands on the server: what was given for good, and the questions so far. */
  const paper = shallowRef(attempt)
  const answers = shallowRef<ByItem<Answer>>({ ...attempt.answers, ...answersIn(unsent.all()) })
  /** What stands on the server where it was answered on another page, too. */
  const elsewhere = shallowRef<ByItem<KeptAnswer>>({})
  const savedAt = shallowRef<Instant | null>(null)
  const lost = shallowRef(false)
  const refusal = shallowRef<Refusal | null>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | null = null

  function set(itemId: ItemId, answer: Answer): void {
    answers.value = { ...answers.value, [itemId]: answer }
    unsent.add(itemId, answer)
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), PAUSE_MS)
  }
  /** What may be sent: not what the learner has yet to choose about. */
  const batch = () => unsent.all().filter((c) => !(c.itemId in elsewhere.value))
  /** Sends what is unsent; one request at a time. */
  async function flush(): Promise<void> {
    await quiet()
    const saves = batch()
    if (saves.length === 0 || refusal.value) return
    sending = send(saves)
    await sending
    sending = null
  }
  /** Nothing on its way, nothing about to be sent. */
  async function quiet(): Promise<void> {
    clearTimeout(timer)
    if (sending) await sending
    clearTimeout(timer)
  }
  async function send(saves: readonly AnswerChange[]): Promise<void> {
    const reply = await call(SaveAnswers, { params: { attemptId }, body: { saves } })
    lost.value = !reply.ok && MAY_COME_BACK.has(reply.error.code)
    if (!reply.ok) {
      if (!lost.value) refusal.value = reply.error
      return
    }
    const { stands, stale } = reply.value
    unsent.sent(saves, reply.value)
    askAbout(stands.filter((s) => stale.includes(s.itemId)))
    savedAt.value = reply.value.savedAt
  }
  function askAbout(stands: readonly KeptAnswer[]): void {
    elsewhere.value = { ...elsewhere.value, ...Object.fromEntries(stands.map((s) => [s.itemId, s])) }
  }
  /** The learner's choice where two pages answered: what stands on the server, or what this page has. */
  function choose(itemId: ItemId, which: 'theirs' | 'mine'): void {
    const { [itemId]: theirs, ...others } = elsewhere.value
    const mine = answers.value[itemId]
    if (!theirs) return
    elsewhere.value = others
    unsent.drop(itemId, theirs.revision)
    if (which === 'mine' && mine) set(itemId, mine)
    else answers.value = { ...answers.value, [itemId]: theirs.answer }
    void flush()
  }
  /** Gives one answer for good, together with whatever is not yet acknowledged. */
  async function fix(itemId: ItemId) {
    await quiet()
    const saves = batch()
    const reply = await call(FixAnswer, { params: { attemptId }, body: { itemId, saves } })
    if (reply.ok) {
      paper.value = reply.value
      const revisions = Object.entries(reply.value.revisions) as [ItemId, number][]
      unsent.sent(saves, { stands: revisions.map(([id, revision]) => ({ itemId: id, revision })), stale: [] })
    } else if (reply.error.code === 'attempts/answered-elsewhere') askAbout(reply.error.stands)
    return reply
  }
  /** Hands in together with whatever is not yet acknowledged. */
  async function handIn() {
    await quiet()
    const reply = await call(HandIn, { params: { attemptId }, body: { saves: batch() } })
    if (reply.ok) unsent.clear()
    else if (reply.error.code === 'attempts/answered-elsewhere') askAbout(reply.error.stands)
    return reply
  }
  useSendingAgain(() => unsent.pending.value > 0, flush)

  const status = computed<'saved' | 'saving' | 'lost' | 'choose'>(() => {
    if (lost.value) return 'lost'
    if (Object.keys(elsewhere.value).length > 0) return 'choose'
    return unsent.pending.value > 0 ? 'saving' : 'saved'
  })
  return { paper, answers, elsewhere, set, choose, flush, fix, handIn, savedAt, status, refusal }
}

/** Failures that pass: the answers are kept here and sent again. */
const MAY_COME_BACK: ReadonlySet<Refusal['code']> = new Set(['wire/lost', 'wire/broken', 'wire/cannot-save'])

function answersIn(changes: readonly AnswerChange[]): ByItem<Answer> {
  return Object.fromEntries(changes.map(({ itemId, answer }) => [itemId, answer]))
}
