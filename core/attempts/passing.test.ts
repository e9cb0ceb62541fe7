import { describe, expect, it } from 'vitest'
import { ids, rules } from '../../tests/support/made'
import { mayFix } from './fixing'
import { passingOf } from './passing'

describe('passing', () => {
  it('is known where there is a mark and a score', () => {
    expect(passingOf(0.7, { passPercent: 70 })).toBe('passed')
    expect(passingOf(0.69, { passPercent: 70 })).toBe('not-yet')
    expect(passingOf(0.7, { passPercent: null })).toBeNull()
    expect(passingOf(null, { passPercent: 70 })).toBeNull()
    // seven tenths that were added one by one
    expect(passingOf(0.1 + 0.2 + 0.4, { passPercent: 70 })).toBe('passed')
    expect(passingOf(0.1 + 0.1 + 0.1 + 0.4, { passPercent: 70 })).toBe('passed')
  })
})

describe('giving an answer for good', () => {
  const q = { id: ids.item('q'), kind: 'single' } as const
  const given = { kind: 'single', choice: 'a' } as const
  const left = { kind: 'single', choice: null } as const

  it('is there where something is shown item by item, once it is answered', () => {
    expect(mayFix(rules(), q, given).error?.code).toBe('attempts/not-item-by-item')
    for (const by of [rules({ feedback: 'item' }), rules({ answers: 'item' })]) {
      expect(mayFix(by, q, given).ok).toBe(true)
      expect(mayFix(by, q, left).error).toEqual({
        code: 'attempts/answer-first',
        field: 'answer',
        itemId: 'q',
      })
      expect(mayFix(by, q, undefined).ok).toBe(false)
    }
  })

  it('is never there for what a person scores', () => {
    const text = { id: ids.item('q'), kind: 'extended' } as const
    const written = { kind: 'extended', text: 'So.' } as const
    const by = rules({ feedback: 'item', answers: 'item' })
    expect(mayFix(by, text, written).error?.code).toBe('attempts/not-item-by-item')
  })

  it('may pass an item over where the next one waits for it', () => {
    const by = rules({ items: { kind: 'adaptive', most: 5, untilError: null } })
    expect(mayFix(by, q, left).ok).toBe(true)
    expect(mayFix(by, q, undefined).ok).toBe(true)
  })
})
