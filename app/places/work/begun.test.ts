import { describe, expect, it } from 'vitest'
import type { Instant } from '#core/base'
import { MOST_BEGUN, begunAt, isFresh, withBegun, without } from './begun'
import type { Begun } from './begun'
import type { DraftInWork } from './draft'

const begun = (address: string, part: Partial<Begun> = {}): Begun => ({
  address,
  version: null,
  draft: { title: address } as DraftInWork,
  lesson: null,
  at: 0 as Instant,
  ...part,
})

describe('what was begun in the composer', () => {
  it('is found where it was begun, while its work is as it was', () => {
    const all = [begun('/work/new?piece=a'), begun('/work/w1', { version: 3 })]
    expect(begunAt(all, { address: '/work/new?piece=a', version: null })?.draft.title).toBe(
      '/work/new?piece=a',
    )
    expect(begunAt(all, { address: '/work/w1', version: 3 })).not.toBeNull()
    expect(begunAt(all, { address: '/work/w1', version: 4 })).toBeNull()
    expect(begunAt(all, { address: '/work/new', version: null })).toBeNull()
  })

  it('stands once, the latest first, and not without end', () => {
    const many = Array.from({ length: 9 }, (_, i) => begun(`/${i}`)).reduce<readonly Begun[]>(withBegun, [])
    expect(many.map((b) => b.address)).toEqual(['/8', '/7', '/6', '/5', '/4'])
    expect(many).toHaveLength(MOST_BEGUN)
    expect(withBegun(many, begun('/6')).map((b) => b.address)).toEqual(['/6', '/8', '/7', '/5', '/4'])
    expect(without(many, '/8').map((b) => b.address)).toEqual(['/7', '/6', '/5', '/4'])
  })

  it('is gone on with for half a day', () => {
    expect(isFresh(begun('/a'), (12 * 3600_000 - 1) as Instant)).toBe(true)
    expect(isFresh(begun('/a'), (12 * 3600_000) as Instant)).toBe(false)
  })
})
