import { describe, expect, it } from 'vitest'
import { extended, ids, multiple, single } from '../../tests/support/made'
import type { ItemId } from '../base'
import type { Answer } from './kinds'
import { practised } from './practice'

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
})
