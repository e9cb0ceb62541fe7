import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import type { Result } from '#core/base'
import type { AnswerChange } from '#core/attempts'
import type { Answer } from '#core/library'
import type { OpenTry } from '#shared/contracts/learning'
import type { Refusal } from '#shared/contracts/refusal'
import { at, ids } from '../../../../tests/support/made'
import { useAnswering } from './answering'

type Reply = Result<unknown, Refusal>
interface Sent {
  readonly path: string
  readonly saves: readonly AnswerChange[]
  readonly reply: (answer: Reply) => void
}
const sent: Sent[] = []
vi.mock('~/shared/wire/call', () => ({
  call: (contract: { readonly path: string }, input: { readonly body: { readonly saves: Sent['saves'] } }) =>
    new Promise<Reply>((reply) => sent.push({ path: contract.path, saves: input.body.saves, reply })),
}))
/** The server takes what was sent, each answer once more often than it was written before. */
const saved = (of: Sent | undefined): Reply => ({
  ok: true,
  value: {
    savedAt: 1,
    stale: [],
    stands: of?.saves.map(({ itemId, answer, from }) => ({ itemId, answer, revision: from + 1 })),
  },
})
const LOST: Reply = { ok: false, error: { code: 'wire/lost' } }
const over: Refusal = { code: 'attempts/time-is-up', field: 'attemptId', deadlineAt: at('10-21T20:30') }
const text = (words: string) => ({ kind: 'text', text: words }) as unknown as Answer
const paper = (): OpenTry => ({
  attemptId: ids.try('t'),
  number: 1,
  deadlineAt: null,
  items: [],
  answers: {},
  revisions: {},
  mode: 'all',
  most: null,
  fixed: {},
  help: [],
  expected: [],
  language: 'en',
  example: null,
})
const [one, two] = [ids.item('q1'), ids.item('q2')]

describe('answers on their way', () => {
  const kept = new Map<string, string>()
  let scope = effectScope()
  beforeEach(() => {
    vi.useFakeTimers()
    sent.length = 0
    kept.clear()
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    })
    vi.stubGlobal('window', new EventTarget())
    scope = effectScope()
  })
  afterEach(() => {
    scope.stop()
    vi.useRealTimers()
  })
  const answering = () => scope.run(() => useAnswering(paper())) as ReturnType<typeof useAnswering>

  it('are sent together after a pause, kept until then, and forgotten once acknowledged', async () => {
    const paper = answering()
    paper.set(one, text('a'))
    paper.set(two, text('b'))
    expect(paper.status.value).toBe('saving')
    expect([...kept.values()][0]).toContain('"q1"')
    await vi.advanceTimersByTimeAsync(500)
    expect(sent.map((s) => s.saves.length)).toEqual([2])
    sent[0]?.reply(saved(sent[0]))
    await vi.advanceTimersByTimeAsync(0)
    expect(paper.status.value).toBe('saved')
    expect(kept.size).toBe(0)
  })

  it('stay unsent when changed on the way', async () => {
    const paper = answering()
    paper.set(one, text('a'))
    await vi.advanceTimersByTimeAsync(500)
    paper.set(one, text('a better one'))
    sent[0]?.reply(saved(sent[0]))
    await vi.advanceTimersByTimeAsync(500)
    expect(sent[1]?.saves).toMatchObject([{ itemId: one, answer: text('a better one'), from: 1, edit: 2 }])
  })

  it('are sent again when the network is back', async () => {
    const paper = answering()
    paper.set(one, text('a'))
    await vi.advanceTimersByTimeAsync(500)
    sent[0]?.reply(LOST)
    await vi.advanceTimersByTimeAsync(0)
    expect(paper.status.value).toBe('lost')
    window.dispatchEvent(new Event('online'))
    await vi.advanceTimersByTimeAsync(0)
    expect(sent).toHaveLength(2)
    sent[1]?.reply(saved(sent[1]))
    await vi.advanceTimersByTimeAsync(0)
    expect(paper.status.value).toBe('saved')
  })

  it('of an earlier visit are taken up', async () => {
    const before = { itemId: 'q1', answer: text('from before'), from: 4, writer: 'page-1', edit: 7 }
    kept.set('answers t', JSON.stringify([before]))
    const paper = answering()
    expect(paper.answers.value).toEqual({ q1: text('from before') })
    await vi.advanceTimersByTimeAsync(0)
    expect(sent[0]?.saves).toEqual([before])
  })

  it('are put before the learner where another page answered, and sent again only once chosen', async () => {
    const paper = answering()
    const theirs = { itemId: one, answer: text('theirs'), revision: 5 }
    const stale = { ok: true as const, value: { savedAt: 1, stands: [theirs], stale: [one] } }
    paper.set(one, text('mine'))
    await vi.advanceTimersByTimeAsync(500)
    sent[0]?.reply(stale)
    await vi.advanceTimersByTimeAsync(9000)
    expect(sent).toHaveLength(1)
    expect(paper.status.value).toBe('choose')
    expect(paper.elsewhere.value[one]).toEqual(theirs)
    // what was typed here is still kept on this machine
    expect([...kept.values()][0]).toContain('mine')
    paper.choose(one, 'mine')
    await vi.advanceTimersByTimeAsync(500)
    expect(sent[1]?.saves).toMatchObject([{ answer: text('mine'), from: 5 }])
    sent[1]?.reply(stale)
    await vi.advanceTimersByTimeAsync(0)
    paper.choose(one, 'theirs')
    await vi.advanceTimersByTimeAsync(500)
    expect(paper.answers.value[one]).toEqual(text('theirs'))
    expect(paper.status.value).toBe('saved')
    expect(sent).toHaveLength(2)
  })

  it('that another page changed keep a try from being handed in until chosen', async () => {
    const paper = answering()
    paper.set(one, text('mine'))
    const handed = paper.handIn()
    await vi.advanceTimersByTimeAsync(0)
    const stands = [{ itemId: one, answer: text('theirs'), revision: 2 }]
    const elsewhere = { code: 'attempts/answered-elsewhere', field: 'saves', stands } as unknown as Refusal
    sent[0]?.reply({ ok: false, error: elsewhere })
    expect((await handed).ok).toBe(false)
    expect(paper.status.value).toBe('choose')
  })

  it('go along when the try is handed in', async () => {
    const paper = answering()
    paper.set(one, text('a'))
    const handed = paper.handIn()
    await vi.advanceTimersByTimeAsync(0)
    expect(sent).toHaveLength(1)
    expect(sent[0]?.path).toContain('hand-in')
    expect(sent[0]?.saves).toHaveLength(1)
    sent[0]?.reply(saved(sent[0]))
    expect((await handed).ok).toBe(true)
    expect(kept.size).toBe(0)
  })

  it('are no longer sent once refused for good', async () => {
    const paper = answering()
    paper.set(one, text('a'))
    await vi.advanceTimersByTimeAsync(500)
    sent[0]?.reply({ ok: false, error: over })
    await vi.advanceTimersByTimeAsync(9000)
    expect(paper.refusal.value).toEqual(over)
    expect(sent).toHaveLength(1)
  })
})
