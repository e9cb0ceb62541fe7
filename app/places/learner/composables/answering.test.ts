import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import type { Result } from '#core/base'
import type { Answer } from '#core/library'
import type { Refusal } from '#shared/contracts/refusal'
import { at, ids } from '../../../../tests/support/made'
import { useAnswering } from './answering'

type Reply = Result<unknown, Refusal>
interface Sent {
  readonly path: string
  readonly saves: readonly { readonly itemId: string; readonly answer: Answer }[]
  readonly reply: (answer: Reply) => void
}
const sent: Sent[] = []
vi.mock('~/shared/wire/call', () => ({
  call: (contract: { readonly path: string }, input: { readonly body: { readonly saves: Sent['saves'] } }) =>
    new Promise<Reply>((reply) => sent.push({ path: contract.path, saves: input.body.saves, reply })),
}))
const SAVED: Reply = { ok: true, value: { savedAt: 1 } }
const LOST: Reply = { ok: false, error: { code: 'wire/lost' } }
const over: Refusal = { code: 'attempts/time-is-up', field: 'attemptId', deadlineAt: at('10-21T20:30') }
const text = (words: string) => ({ kind: 'text', text: words }) as unknown as Answer
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
  const answering = () => scope.run(() => useAnswering(ids.try('t'), {})) as ReturnType<typeof useAnswering>

  it('are sent together after a pause, kept until then, and forgotten once acknowledged', async () => {
    const paper = answering()
    paper.set(one, text('a'))
    paper.set(two, text('b'))
    expect(paper.status.value).toBe('saving')
    expect([...kept.values()][0]).toContain('"q1"')
    await vi.advanceTimersByTimeAsync(500)
    expect(sent.map((s) => s.saves.length)).toEqual([2])
    sent[0]?.reply(SAVED)
    await vi.advanceTimersByTimeAsync(0)
    expect(paper.status.value).toBe('saved')
    expect(kept.size).toBe(0)
  })

  it('stay unsent when changed on the way', async () => {
    const paper = answering()
    paper.set(one, text('a'))
    await vi.advanceTimersByTimeAsync(500)
    paper.set(one, text('a better one'))
    sent[0]?.reply(SAVED)
    await vi.advanceTimersByTimeAsync(500)
    expect(sent[1]?.saves).toEqual([{ itemId: one, answer: text('a better one') }])
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
    sent[1]?.reply(SAVED)
    await vi.advanceTimersByTimeAsync(0)
    expect(paper.status.value).toBe('saved')
  })

  it('of an earlier visit are taken up', async () => {
    kept.set('answers t', JSON.stringify({ q1: text('from before') }))
    const paper = answering()
    expect(paper.answers.value).toEqual({ q1: text('from before') })
    await vi.advanceTimersByTimeAsync(0)
    expect(sent[0]?.saves).toEqual([{ itemId: 'q1', answer: text('from before') }])
  })

  it('go along when the try is handed in', async () => {
    const paper = answering()
    paper.set(one, text('a'))
    const handed = paper.handIn()
    await vi.advanceTimersByTimeAsync(0)
    expect(sent).toHaveLength(1)
    expect(sent[0]?.path).toContain('hand-in')
    expect(sent[0]?.saves).toHaveLength(1)
    sent[0]?.reply(SAVED)
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
