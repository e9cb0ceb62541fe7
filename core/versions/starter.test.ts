import { describe, expect, it } from 'vitest'
import { starterShown } from './starter'

describe('starterShown', () => {
  it('has its dots once, however it was typed', () => {
    for (const typed of ['I think that', ' I think that …', 'I think that...', 'I think that … …'])
      expect(starterShown(typed)).toBe('I think that …')
    expect(starterShown('Is it right?')).toBe('Is it right? …')
  })
})
