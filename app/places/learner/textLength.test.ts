import { describe, expect, it } from 'vitest'
import { sayLength } from './textLength'

const range = { leastWords: 4, mostWords: 6, leastParagraphs: 2 }

describe('the length of a text', () => {
  it('stands beside what is asked', () => {
    expect(sayLength('', range)).toBe('0 words of 4 to 6, 0 paragraphs of at least 2')
    expect(sayLength('One two three.', range)).toBe('3 words of 4 to 6, 1 to go, 1 paragraph of at least 2')
    expect(sayLength('One two three.\nFour five six seven.', range)).toBe(
      '7 words of 4 to 6, 1 too many, 2 paragraphs of at least 2',
    )
  })

  it('says nothing of what is not asked', () => {
    const none = { leastWords: 0, mostWords: 0, leastParagraphs: 0 }
    expect(sayLength('One two', none)).toBe('2 words')
    expect(sayLength('One two', { ...none, leastWords: 5 })).toBe('2 words of at least 5, 3 to go')
    expect(sayLength('One two', { ...none, mostWords: 5 })).toBe('2 words of at most 5')
  })
})
