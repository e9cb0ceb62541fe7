import { describe, expect, it } from 'vitest'
import { commonest } from './commonest'

describe('the commonest of values', () => {
  it('is the one that comes most often, null among them, and of several the first', () => {
    expect(commonest([])).toBeNull()
    expect(commonest(['a', 'b', 'b'])).toBe('b')
    expect(commonest(['b', 'a', 'a', 'b'])).toBe('b')
    expect(commonest<number | null>([null, 3, null])).toBeNull()
  })
})
