import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { partsOf } from './partsOf'

const marked = (text: string, expected: readonly string[]) =>
  partsOf(text, expected).map((p) => (p.isExpected ? `[${p.text}]` : p.text))

describe('a text in parts', () => {
  it('marks expected words in any ending, the longer of two that overlap', () => {
    expect(marked('Waves carry energy.', ['wave', 'carry'])).toEqual(['[Waves]', ' ', '[carry]', ' energy.'])
    expect(marked('a sound wave here', ['wave', 'sound wave', 'sound'])).toEqual([
      'a ',
      '[sound wave]',
      ' here',
    ])
    expect(marked('', ['wave'])).toEqual([])
    expect(marked('no such', ['wave'])).toEqual(['no such'])
  })

  it('is the text again when put together', () => {
    const word = fc.constantFrom('wave', 'waves', 'sound', 'sound wave', 'e', 'y', ' ')
    fc.assert(
      fc.property(fc.array(word), fc.array(word), (words, expected) => {
        const text = words.join(' ')
        expect(
          partsOf(text, expected)
            .map((p) => p.text)
            .join(''),
        ).toBe(text)
      }),
    )
  })
})
