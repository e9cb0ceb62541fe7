import fc from 'fast-check'
import { asId } from '#core/base'
import type { ItemId } from '#core/base'
import { blanksOf, faultOf, matchingOf, orderingOf } from '#core/library'
import type { Item } from '#core/library'

/** Any item that can be scored, in the form in which it is written here. */
export const anyItem: fc.Arbitrary<Item> = fc
  .record({
    text: fc.stringMatching(/^[A-Za-z][A-Za-z *_|\\=é²"<&;,.-]{0,18}[a-z]$/),
    words: fc.uniqueArray(fc.stringMatching(/^[a-z][a-z é²"<&|\\]{0,9}[a-z]$/), {
      minLength: 3,
      maxLength: 6,
      selector: (w) => w.replace(/\s+/g, ' ').toLowerCase(),
    }),
    points: fc.integer({ min: 1, max: 9 }),
    difficulty: fc.integer({ min: 1, max: 5 }),
    value: fc.integer({ min: -999, max: 999 }),
    isHalf: fc.boolean(),
    which: fc.nat({ max: 7 }),
  })
  .map(({ text, words, points, difficulty, value, isHalf, which }): Item => {
    const clean = words.map((w) => w.replace(/\s+/g, ' '))
    const stem = text.replace(/\s+/g, ' ')
    const base = {
      id: asId<ItemId>('q1'),
      stem,
      points,
      standard: 'TH.8.W.1',
      difficulty,
      feedback: `${stem}!`,
      hint: '',
    }
    const options = clean.map((word, i) => ({ id: 'abcdef'[i] ?? '', text: word }))
    const [first = '', second = '', third = ''] = clean
    const plain = clean.map((w) => w.replaceAll('|', '/'))
    switch (which) {
      case 0:
        return { ...base, kind: 'single', options, right: 'b' }
      case 1:
        return { ...base, kind: 'multiple', options, right: ['a', 'c'] }
      case 2:
        return { ...base, kind: 'numeric', value: value / 4, tolerance: 0.25, unit: 'm/s' }
      case 3:
        return { ...base, kind: 'text', accepted: isHalf ? [first, `${second} (½)`] : clean }
      case 4:
        return { ...base, kind: 'ordering', ...orderingOf(clean) }
      case 5:
        return {
          ...base,
          kind: 'matching',
          ...matchingOf(
            [
              [first, `${first} x`],
              [second, `${second} x`],
            ],
            [third],
          ),
        }
      case 6:
        return {
          ...base,
          kind: 'blanks',
          ...blanksOf(
            `It is [${plain[0]} | ${plain[1]}] and\n [${isHalf ? `${value / 4} ± 0.5` : plain[2]}].`,
          ),
        }
      default:
        return { ...base, kind: 'extended', leastWords: 30, mostWords: 90, leastParagraphs: 2, guide: stem }
    }
  })
  .filter((item) => faultOf(item, 1) === null)
