import { describe, expect, it } from 'vitest'
import { findWords } from './foundWords'

describe('findWords', () => {
  const text = 'The rope moves.\nThe rope (a long one) moves\nback and forth.'

  it('finds words whatever their case, and over the end of a line', () => {
    expect(findWords(text, 'the ROPE')).toEqual({ at: 0, length: 8 })
    expect(findWords(text, 'moves back')).toEqual({ at: 38, length: 10 })
  })

  it('goes on to the next place, and round again after the last', () => {
    const first = findWords(text, 'rope')
    const second = findWords(text, 'rope', first?.at)
    expect([first?.at, second?.at]).toEqual([4, 20])
    expect(findWords(text, 'rope', second?.at)).toEqual(first)
  })

  it('takes signs as what they are', () => {
    expect(findWords(text, '(a long')).toEqual({ at: 25, length: 7 })
    expect(findWords(text, 'r.pe')).toBeNull()
  })

  it('finds nothing where there is nothing to find', () => {
    expect(findWords(text, '  ')).toBeNull()
    expect(findWords(text, 'string')).toBeNull()
  })
})
