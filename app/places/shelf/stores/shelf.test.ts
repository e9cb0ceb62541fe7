import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Result } from '#core/base'
import type { Refusal } from '#shared/contracts/refusal'
import { useShelf } from './shelf'

type Answer = Result<unknown, Refusal>
const asked: ((answer: Answer) => void)[] = []
vi.mock('~/shared/wire/call', () => ({
  call: () => new Promise<Answer>((resolve) => asked.push(resolve)),
}))
const piece = (id: string, part: object) => ({ id, own: false, bookLessonId: null, ...part })
const shelf = {
  books: [],
  pieces: [
    piece('p1', { bookLessonId: 'l1' }),
    piece('p2', { bookLessonId: 'l1' }),
    piece('p3', { own: true }),
  ],
}

describe('the shelf', () => {
  beforeEach(() => {
    asked.length = 0
    setActivePinia(createPinia())
  })

  it('is asked for once, however many want it meanwhile', async () => {
    const store = useShelf()
    const both = Promise.all([store.load(), store.load()])
    expect(asked).toHaveLength(1)
    asked.shift()?.({ ok: true, value: shelf })
    await both
    await store.load()
    expect(asked).toHaveLength(0)
    expect(store.piecesOf('l1').map((p) => p.id)).toEqual(['p1', 'p2'])
    expect(store.piecesOf(null)).toEqual([])
    expect(store.piece('p3')?.id).toBe('p3')
  })

  it('says no longer what was wrong once it has loaded', async () => {
    const store = useShelf()
    const first = store.load()
    asked.shift()?.({ ok: false, error: { code: 'wire/lost' } })
    await first
    expect(store.problem).toEqual({ code: 'wire/lost' })
    const second = store.load()
    asked.shift()?.({ ok: true, value: shelf })
    await second
    expect(store.problem).toBeNull()
  })
})
