import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { extended, numeric, single } from '../../tests/support/made'
import { asId } from '../base'
import type { Instant, ItemId } from '../base'
import type { Answer, Item } from '../library'
import { corrected, correctionsOf, rescored } from './corrections'
import type { Correction } from './corrections'
import { scoreAttempt } from './scoreAttempt'
import { NO_LATE_DAYS } from './types'

const id = (text: string) => asId<ItemId>(text)
const items: readonly Item[] = [single('1'), single('2'), numeric('3'), extended('4', { points: 4 })]
const chooses = (choice: string): Answer => ({ kind: 'single', choice })
const answers = new Map<ItemId, Answer>([
  [id('1'), chooses('a')],
  [id('2'), chooses('b')],
])
const late = { rule: null, dueAt: null, submittedAt: 0 as Instant, days: NO_LATE_DAYS }
const first = scoreAttempt(items, answers, late)
const of = (itemId: string) => ({ itemId: id(itemId), revision: 1 })
const key = (item: Item): Correction => ({ ...of(item.id), kind: 'key', item })
const by = (...corrections: readonly Correction[]) =>
  rescored(first, items, answers, { corrections, rule: null, bank: null })
const points = (score: typeof first) => score.items.map((s) => [s.points, s.of])

describe('questions put right after they were given', () => {
  it('are scored by another key, dropped for everybody, or worth all points to everybody', () => {
    // by the key of the piece 'b' is right
    expect(points(first)).toEqual([
      [0, 1],
      [1, 1],
      [0, 1],
      [0, 4],
    ])
    expect(points(by(key(single('1', { right: 'a' })))).slice(0, 2)).toEqual([
      [1, 1],
      [1, 1],
    ])
    const dropped = by({ ...of('1'), kind: 'dropped' })
    expect([points(dropped)[0], dropped.points, dropped.of]).toEqual([[0, 0], 1, 6])
    const credit = by({ ...of('3'), kind: 'credit' })
    expect([points(credit)[2], credit.points, credit.of]).toEqual([[1, 1], 2, 7])
  })

  it('leave alone what a person gave, and the days it was late', () => {
    const given = {
      ...first,
      lateDays: 2,
      items: first.items.map((s) => (s.itemId === '4' ? { ...s, points: 3, comment: 'Good' } : s)),
    }
    const rule = { percentPerDay: 10, per: 'calendar-day', floorPercent: 0 } as const
    const next = rescored(given, items, answers, {
      corrections: [{ ...of('1'), kind: 'dropped' }],
      rule,
      bank: null,
    })
    expect(next.items[3]).toEqual({ itemId: '4', points: 3, of: 4, comment: 'Good' })
    expect(next.lateDays).toBe(2)
    expect(next.ratio).toBeCloseTo((4 / 6) * 0.8, 12)
  })

  it('hold for tries in the form of that time', () => {
    const corrections = [
      key(single('1', { right: 'a' })),
      { ...of('2'), revision: 2, kind: 'dropped' as const },
    ]
    expect(correctionsOf({ corrections }, 1)).toEqual([corrections[0]])
    expect(correctionsOf({}, 1)).toEqual([])
    expect(corrected(items, correctionsOf({ corrections }, 2))).toEqual(items)
  })

  it('taken back give the very score of before; twice are once', () => {
    const choice = fc.constantFrom('a', 'b', 'c')
    const mending = fc.record({
      item: fc.constantFrom('1', '2'),
      kind: fc.constantFrom('key', 'dropped', 'credit'),
    })
    fc.assert(
      fc.property(
        fc.tuple(choice, choice),
        fc.array(mending, { maxLength: 2 }),
        choice,
        (given, list, right) => {
          const theirs = new Map(given.map((c, i) => [id(`${i + 1}`), chooses(c)] as const))
          const score = scoreAttempt(items, theirs, late)
          const corrections = list.map(({ item, kind }): Correction =>
            kind === 'key'
              ? key(single(item, { right }))
              : { ...of(item), kind: kind as 'dropped' | 'credit' },
          )
          const how = { rule: null, bank: null }
          const once = rescored(score, items, theirs, { ...how, corrections })
          expect(rescored(once, items, theirs, { ...how, corrections })).toEqual(once)
          expect(rescored(once, items, theirs, { ...how, corrections: [] })).toEqual(score)
        },
      ),
    )
  })

  it('of an adaptive try change the estimate', () => {
    const adaptive = scoreAttempt(items.slice(0, 3), answers, late, items)
    const next = rescored(adaptive, items, answers, {
      corrections: [key(single('1', { right: 'a' }))],
      rule: null,
      bank: items,
    })
    expect(next.estimate?.ability).toBeGreaterThan(adaptive.estimate?.ability ?? Infinity)
    expect(next.ratio).toBeGreaterThan(adaptive.ratio)
  })
})
