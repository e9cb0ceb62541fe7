import { describe, expect, it } from 'vitest'
import { shortfallOf } from './shortfall'

const words = (n: number) => Array.from({ length: n }, () => 'word').join(' ')

describe('a text that is far too short', () => {
  it('has less than half of its least words', () => {
    const of = { leastWords: 100, leastParagraphs: 0 }
    expect(shortfallOf(words(12), of)).toEqual({ of: 'words', has: 12, least: 100 })
    expect(shortfallOf(words(49), of)).toEqual({ of: 'words', has: 49, least: 100 })
    expect(shortfallOf(words(50), of)).toBeNull()
    expect(shortfallOf('', of)).toEqual({ of: 'words', has: 0, least: 100 })
  })

  it('or of its least paragraphs', () => {
    const of = { leastWords: 10, leastParagraphs: 4 }
    expect(shortfallOf(words(20), of)).toEqual({ of: 'paragraphs', has: 1, least: 4 })
    expect(shortfallOf(`${words(10)}\n\n${words(10)}`, of)).toBeNull()
  })

  it('is not one where nothing is said of its length', () => {
    expect(shortfallOf('', { leastWords: 0, leastParagraphs: 0 })).toBeNull()
  })
})
