import { describe, expect, it } from 'vitest'
import { figuresOf, paragraphsIn, placesOf } from './figuresOf'

const vowels = (word: string) => Math.max(1, word.match(/[aeiouy]+/gi)?.length ?? 1)
const text = 'The wave moves. It carries energy!\nDoes the water travel? No.'

describe('figures of a text', () => {
  it('counts words, sentences and paragraphs', () => {
    const figures = figuresOf(text, [], vowels)
    expect(figures).toMatchObject({ words: 11, sentences: 4, paragraphs: 2, sentenceLength: 2.75 })
    expect(paragraphsIn('\n\n')).toBe(0)
    expect(figuresOf('', ['wave'], vowels)).toMatchObject({ words: 0, sentenceLength: 0, grade: null })
  })

  it('tells which expected words were used, in any ending', () => {
    const figures = figuresOf(text, ['carry', 'wave', 'move', 'sound', 'travel'], vowels)
    expect(figures.used).toEqual(['carry', 'wave', 'move', 'travel'])
    expect(figures.missing).toEqual(['sound'])
  })

  it('finds no word within another, and whole places only', () => {
    expect(placesOf('microwave waver waved waves', 'wave').map(([a, b]) => [a, b])).toEqual([
      [10, 15],
      [16, 21],
      [22, 27],
    ])
    expect(placesOf('a longitudinal  wave', 'longitudinal wave')).toEqual([[2, 20]])
    expect(placesOf('anything', ' ')).toEqual([])
  })

  it('grades a text by its formula, and none that is too short', () => {
    // 30 words of one syllable in three sentences: 0.39 × 10 + 11.8 × 1 − 15.59 = 0.11
    const plain = Array.from({ length: 3 }, () => 'a b c d f g h j k l.').join(' ')
    expect(figuresOf(plain, [], () => 1).grade).toBeCloseTo(0.11, 9)
    expect(figuresOf(plain.slice(0, 40), [], () => 1).grade).toBeNull()
  })
})
