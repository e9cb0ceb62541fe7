import { describe, expect, it } from 'vitest'
import { at, extended, single } from '../../tests/support/made'
import type { ItemId } from '../base'
import type { Answer, Item } from '../library'
import { scoreAttempt, scoredByHand } from './index'
import { NO_LATE_DAYS } from './types'

const items: readonly Item[] = [single('1'), extended('8')]
const text = { kind: 'extended', text: 'Because it swings.' } as const
const late = { rule: null, dueAt: null, submittedAt: at('10-02T10:00'), days: NO_LATE_DAYS }
const both = new Map<ItemId, Answer>([
  [items[0]!.id, { kind: 'single', choice: 'b' }],
  [items[1]!.id, text],
])

describe('what a person scores', () => {
  it('is left out of the score until it is scored', () => {
    const score = scoreAttempt(items, both, late)
    expect(score).toMatchObject({ points: 1, of: 5, ratio: 1, waiting: 4 })
    expect(score.items[1]).toEqual({ itemId: '8', points: 0, of: 4, waits: true })
  })

  it('counts as nothing when it was left out', () => {
    const score = scoreAttempt(items, new Map([...both].slice(0, 1)), late)
    expect(score).toMatchObject({ points: 1, of: 5, ratio: 0.2 })
    expect('waiting' in score).toBe(false)
  })

  it('counts once it is scored, and anew when it is scored again', () => {
    const score = scoreAttempt(items, both, late)
    const given = { itemId: items[1]!.id, points: 2.5, comment: ' Good start. ' }
    const once = scoredByHand(score, items, given, null)
    expect(once.value).toMatchObject({ points: 3.5, of: 5, ratio: 0.7, deductedRatio: 0 })
    expect(once.value?.items[1]).toEqual({ itemId: '8', points: 2.5, of: 4, comment: 'Good start.' })
    expect('waiting' in once.value!).toBe(false)
    const again = scoredByHand(once.value!, items, { ...given, points: 4, comment: '' }, null)
    expect(again.value).toMatchObject({ points: 5, ratio: 1 })
    expect(again.value?.items[1]).toEqual({ itemId: '8', points: 4, of: 4 })
  })

  it('keeps the deduction for being late', () => {
    const rule = { percentPerDay: 10, per: 'calendar-day', floorPercent: 50 } as const
    const score = { ...scoreAttempt(items, both, late), lateDays: 2 }
    const scored = scoredByHand(score, items, { itemId: items[1]!.id, points: 4, comment: '' }, rule)
    // 5 of 5, two days late
    expect(scored.value).toMatchObject({ points: 5, ratio: 0.8, lateDays: 2 })
    expect(scored.value?.deductedRatio).toBeCloseTo(0.2, 12)
  })

  it.each([-0.5, 4.5, 1.25, Number.NaN])('refuses %s points of 4', (points) => {
    const score = scoreAttempt(items, both, late)
    expect(scoredByHand(score, items, { itemId: items[1]!.id, points, comment: '' }, null).error).toEqual({
      code: 'attempts/bad-points',
      field: 'points',
      most: 4,
    })
  })

  it('refuses items that score themselves, and unknown ones', () => {
    const score = scoreAttempt(items, both, late)
    for (const itemId of [items[0]!.id, extended('9').id])
      expect(scoredByHand(score, items, { itemId, points: 1, comment: '' }, null).error?.code).toBe(
        'attempts/unknown-item',
      )
  })
})
