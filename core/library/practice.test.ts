import { describe, expect, it } from 'vitest'
import { extended, ids, multiple, single } from '../../tests/support/made'
import { asId } from '../base'
import type { ItemId, ResourceId } from '../base'
import type { Answer } from './kinds'
import { missedIn, practised, practisedTogether, withoutSolutions } from './practice'

describe('practice of one’s own choice', () => {
  it('says at once how each answer did, and tells nothing of what was left out', () => {
    const answers = new Map<ItemId, Answer>([[ids.item('2'), { kind: 'multiple', choices: ['a'] }]])
    const { results, ratio } = practised([single('1'), multiple('2'), extended('3')], answers)
    expect(results).toEqual([
      { itemId: '2', points: 1, of: 2, right: 'Option a; Option c', feedback: 'Because.' },
    ])
    // 1 of 3 points; what a person would score is not asked for here
    expect(ratio).toBeCloseTo(1 / 3, 12)
    expect(practised([], answers)).toEqual({ results: [], ratio: null })
  })

  it('can be told without what is right', () => {
    const answers = new Map<ItemId, Answer>([[ids.item('2'), { kind: 'multiple', choices: ['a'] }]])
    const { results } = practised([multiple('2')], answers)
    expect(withoutSolutions(results)).toEqual([{ itemId: '2', points: 1, of: 2, right: '', feedback: '' }])
  })

  it('is taken together by piece: how often, the mean of the last times, and where it went wrong', () => {
    const last = (name: string, times: number, ratio: number | null, ...missed: string[]) => ({
      learnerId: ids.user(name),
      resourceId: asId<ResourceId>('p'),
      times,
      ratio,
      missed: missed.map(ids.item),
    })
    const each = [last('ann', 3, 0.5, '1', '2'), last('bo', 1, 1), last('cy', 2, 0, '2', '1', '3')]
    // (0.5 + 1 + 0) / 3; item 3 went wrong once among three learners, which says nothing yet
    expect(practisedTogether(each)).toEqual({
      times: 6,
      mean: 0.5,
      missed: [
        { itemId: '1', learners: 2 },
        { itemId: '2', learners: 2 },
      ],
    })
    expect(practisedTogether([last('ann', 1, 0, '3')]).missed).toEqual([{ itemId: '3', learners: 1 }])
    expect(practisedTogether([last('ann', 1, null)])).toEqual({ times: 1, mean: null, missed: [] })
  })

  it('counts as missed what was left out, but not what a person would score', () => {
    const answers = new Map<ItemId, Answer>([[ids.item('1'), { kind: 'single', choice: 'b' }]])
    expect(missedIn([single('1'), multiple('2'), extended('3')], answers)).toEqual(['2'])
  })
})
