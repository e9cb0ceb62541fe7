import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { asId } from '#core/base'
import type { ResourceId } from '#core/base'
import { useTray } from './tray'

const call = vi.hoisted(() => vi.fn())
const refused = vi.hoisted(() => vi.fn())
vi.mock('~/shared/wire/call', () => ({ call }))
vi.mock('~/shared/frame/tell', () => ({ useTell: () => ({ refused }) }))
const BOOK = { id: 'b', title: 'Waves' }
const shelf = {
  books: [BOOK],
  load: () => Promise.resolve(),
  piece: (id: string) => ({ id, minutes: 10, bookId: id === 'own' ? null : BOOK.id }),
  placeOf: (card: { id: string }) => (card.id === 'p1' ? { topic: 'Unit 1' } : null),
}
vi.mock('./shelf', () => ({ useShelf: () => shelf }))

const [p1, p2, own] = ['p1', 'p2', 'own'].map((id) => asId<ResourceId>(id)) as [
  ResourceId,
  ResourceId,
  ResourceId,
]
const replies = (pieces: readonly ResourceId[], limit: number | null = null) =>
  call.mockResolvedValueOnce({ ok: true, value: { pieces, limit } })

describe('the tray', () => {
  beforeEach(() => {
    call.mockReset()
    refused.mockReset()
    setActivePinia(createPinia())
  })

  it('shows an act at once, and in the end what the server has', async () => {
    const tray = useTray()
    replies([p1])
    replies([p2, p1])
    tray.put([p1])
    tray.put([p2])
    expect(tray.tray.pieces).toEqual([p1, p2])
    await tray.settled()
    // the reply to the first act is older than what is shown, and is not taken
    expect(tray.tray.pieces).toEqual([p2, p1])
  })

  it('moves a piece by one place, and nowhere beyond the ends', async () => {
    const tray = useTray()
    replies([p1, p2])
    tray.put([p1, p2])
    await tray.settled()
    tray.move(p1, -1)
    tray.move(p2, 1)
    expect(call).toHaveBeenCalledTimes(1)
    replies([p2, p1])
    tray.move(p2, -1)
    expect(tray.tray.pieces).toEqual([p2, p1])
    await tray.settled()
    expect(call).toHaveBeenLastCalledWith(expect.anything(), { body: { kind: 'order', pieces: [p2, p1] } })
  })

  it('is as the server has it when an act was refused', async () => {
    const tray = useTray()
    call.mockResolvedValueOnce({ ok: false, error: { code: 'library/tray-full' } })
    replies([p2])
    tray.put([p1])
    await tray.settled()
    expect(refused).toHaveBeenCalledOnce()
    expect(tray.tray.pieces).toEqual([p2])
  })

  it('sums minutes by where pieces belong, and sends nothing for nothing', async () => {
    const tray = useTray()
    replies([p1, p2, own], 25)
    await tray.load()
    await tray.load()
    expect(call).toHaveBeenCalledOnce()
    expect(tray.cards.map((card) => tray.topicOf(card))).toEqual(['Unit 1', 'Waves', 'Own pieces'])
    expect(tray.sums.all.minutes).toBe(30)
    tray.put([])
    tray.take([])
    expect(call).toHaveBeenCalledOnce()
  })
})
