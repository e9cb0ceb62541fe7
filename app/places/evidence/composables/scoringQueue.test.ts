import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { AnswerToScore } from '#core/evidence'
import { P1, ids } from '../../../../tests/support/made'
import { useScoringQueue } from './scoringQueue'

const call = vi.hoisted(() => vi.fn())
vi.mock('~/shared/frame/dialogs', () => ({ useDialogs: () => () => Promise.resolve(null) }))
vi.mock('~/shared/conflict/StillMeant.vue', () => ({ default: {} }))
vi.mock('~/shared/conflict/BothValues.vue', () => ({ default: {} }))
vi.mock('~/shared/wire/call', () => ({ call }))
// browser's own clock and window, of which this knows nothing
vi.mock('@vueuse/core', () => ({ useEventListener: () => undefined, useIntervalFn: () => undefined }))

const answer = (id: string, part: Partial<AnswerToScore> = {}) =>
  ({
    attemptId: id,
    itemId: 'q1',
    name: id,
    item: { points: 4 },
    criteria: [{ id: 'c', points: 4 }],
    points: null,
    comment: '',
    levels: null,
    draft: null,
    ...part,
  }) as unknown as AnswerToScore
const of = { assignmentId: ids.work('w'), pieceId: P1, classId: ids.class('a') }
const draft = (levels: readonly (number | null)[]) => ({ levels, comment: '', again: false, version: 1 })
const listed = (...answers: AnswerToScore[]) => call.mockResolvedValueOnce({ ok: true, value: { answers } })

async function begun(...answers: AnswerToScore[]) {
  listed(...answers)
  const queue = useScoringQueue(of, () => false)
  await queue.load()
  return queue
}

describe('the queue of texts to score', () => {
  beforeEach(() => {
    call.mockReset()
  })

  it('begins with the first that is not scored, and counts how far it is', async () => {
    const scored = answer('ann', { draft: draft([3]) as unknown as AnswerToScore['draft'] })
    const queue = await begun(scored, answer('bo'), answer('cy', { points: 2 }))
    expect(queue.current.value?.name).toBe('bo')
    expect(queue.counts.value).toEqual({ all: 3, left: 1, scored: 1, again: 0 })
  })

  it('shows what is given at once, sends it from the version that was seen, and goes on', async () => {
    const queue = await begun(answer('ann'), answer('bo'))
    call.mockResolvedValueOnce({ ok: true, value: { version: 1 } })
    queue.give({ levels: [4] })
    expect(queue.given.value?.levels).toEqual([4])
    expect(queue.counts.value.scored).toBe(1)
    await vi.waitFor(() => expect(queue.status.value).toBe('saved'))
    const body = { itemId: 'q1', levels: [4], comment: '', again: false, version: 0 }
    expect(call).toHaveBeenLastCalledWith(expect.anything(), { params: { attemptId: 'ann' }, body })
    queue.goOn()
    expect(queue.current.value?.name).toBe('bo')
  })

  it('keeps what was given here beside what somebody else gave meanwhile, until one is chosen', async () => {
    const queue = await begun(answer('ann'))
    call.mockResolvedValueOnce({ ok: false, error: { code: 'access/changed-meanwhile' } })
    const theirs = draft([1]) as unknown as AnswerToScore['draft']
    listed(answer('ann', { draft: theirs }))
    queue.give({ levels: [4] })
    await vi.waitFor(() => expect(queue.own.value?.levels).toEqual([4]))
    await vi.waitFor(() => expect(queue.given.value?.levels).toEqual([1]))
    call.mockResolvedValueOnce({ ok: true, value: { version: 2 } })
    queue.settle('mine')
    expect(queue.given.value?.levels).toEqual([4])
    expect(queue.own.value).toBeNull()
    await vi.waitFor(() => expect(queue.status.value).toBe('saved'))
  })

  it('asks which one stays only when what stands is known, however long that takes', async () => {
    const queue = await begun(answer('ann'))
    let arrives: (reply: unknown) => void = () => undefined
    call.mockResolvedValueOnce({ ok: false, error: { code: 'access/changed-meanwhile' } })
    call.mockReturnValueOnce(new Promise((resolve) => (arrives = resolve)))
    queue.give({ levels: [4] })
    await vi.waitFor(() => expect(call).toHaveBeenCalledTimes(3))
    expect(queue.own.value).toBeNull()
    const theirs = draft([1]) as unknown as AnswerToScore['draft']
    arrives({ ok: true, value: { answers: [answer('ann', { draft: theirs })] } })
    await vi.waitFor(() => expect(queue.own.value?.levels).toEqual([4]))
    call.mockResolvedValueOnce({ ok: true, value: { version: 2 } })
    queue.settle('mine')
    const body = { itemId: 'q1', levels: [4], comment: '', again: false, version: 1 }
    expect(call).toHaveBeenLastCalledWith(expect.anything(), { params: { attemptId: 'ann' }, body })
    await vi.waitFor(() => expect(queue.status.value).toBe('saved'))
  })

  it('gives names no order that tells of them where they are hidden', async () => {
    listed(answer('cy', { name: 'Ann' }), answer('ann', { name: 'Cy' }))
    const queue = useScoringQueue(of, () => true)
    await queue.load()
    expect(queue.answers.value.map((a) => a.attemptId)).toEqual(['ann', 'cy'])
  })

  it('says why it could not be read', async () => {
    call.mockResolvedValueOnce({ ok: false, error: { code: 'wire/lost' } })
    const queue = useScoringQueue(of, () => false)
    await queue.load()
    expect(queue.problem.value).not.toBe('')
    expect(queue.current.value).toBeNull()
  })
})
