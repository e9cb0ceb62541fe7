import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { ResourceId } from '../base'
import { FACETS, facetCounts, narrowed, valueOf, wordsOf } from './search'
import type { PieceFacts, ShelfFilter } from './search'

const piece = (id: string, part: Partial<PieceFacts> = {}): PieceFacts => ({
  id: asId<ResourceId>(id),
  kind: 'check',
  role: 'core',
  grade: 8,
  minutes: 10,
  source: 'textbook',
  language: 'en',
  readingLevel: null,
  title: id,
  hasVersions: false,
  rank: 0,
  ...part,
})
const found = [
  piece('a', { kind: 'reading', minutes: 12, rank: -1 }),
  piece('b', { minutes: 10, rank: -3 }),
  piece('c', { minutes: 41, grade: 7, source: 'own', rank: -2 }),
  piece('d', { kind: 'test', minutes: 40, grade: 7 }),
]
const idsOf = (list: readonly PieceFacts[]) => list.map((p) => p.id).join('')

describe('words of a search', () => {
  it('are what has a letter or digit, at most eight, without quotes', () => {
    expect(wordsOf('  waves 8.W "loud sound" — … vib204 ')).toEqual([
      'waves',
      '8.W',
      'loud',
      'sound',
      'vib204',
    ])
    expect(wordsOf('')).toEqual([])
    expect(wordsOf('a\u0000b\uD800c\u202Ed')).toEqual(['a', 'b', 'c', 'd'])
    expect(wordsOf('a b c d e f g h i j')).toHaveLength(8)
    expect(wordsOf('Ёлка 北')).toEqual(['Ёлка', '北'])
  })
})

describe('what was found', () => {
  it('is narrowed by every facet at once, and by any of several values of one', () => {
    const by = (filter: ShelfFilter) => idsOf(narrowed(found, filter, 'title'))
    expect(by({})).toBe('abcd')
    expect(by({ kind: ['reading', 'test'] })).toBe('ad')
    expect(by({ grade: ['7'], source: ['textbook'] })).toBe('d')
    expect(by({ length: ['to-10'] })).toBe('b')
    expect(by({ length: ['to-40', 'longer'] })).toBe('cd')
    expect(by({ scoring: ['no-score'] })).toBe('a')
    // what a person scores by criteria is not without a score
    const text = { ...found[0], kind: 'writing-task' } as PieceFacts
    expect(valueOf('scoring', text)).toBe('by-hand')
    expect(by({ kind: [] })).toBe('abcd')
  })

  it('stands as it fits, by title, or the shortest first', () => {
    expect(idsOf(narrowed(found, {}, 'fit'))).toBe('bcad')
    expect(idsOf(narrowed([...found].reverse(), {}, 'title'))).toBe('abcd')
    expect(idsOf(narrowed(found, {}, 'shortest'))).toBe('badc')
  })

  it('is counted by what the other facets leave', () => {
    const counts = facetCounts(found, { grade: ['7'], kind: ['reading'] })
    // of grade 7 there is no reading, which was chosen: it is said with 0
    expect(counts.kind).toEqual([
      { value: 'check', count: 1 },
      { value: 'test', count: 1 },
      { value: 'reading', count: 0 },
    ])
    expect(counts.grade).toEqual([
      { value: '8', count: 1 },
      { value: '7', count: 0 },
    ])
    expect(counts.length).toEqual([])
  })

  it('has as many as its counts promise, whatever is chosen', () => {
    const facts = fc.record({
      id: fc.uuid().map((id) => asId<ResourceId>(id)),
      kind: fc.constantFrom('reading' as const, 'check' as const, 'test' as const),
      role: fc.constantFrom('core' as const, 'reteach' as const),
      grade: fc.integer({ min: 7, max: 8 }),
      minutes: fc.integer({ min: 1, max: 60 }),
      source: fc.constantFrom('textbook' as const, 'own' as const),
      language: fc.constantFrom('en', 'es'),
      readingLevel: fc.option(fc.integer({ min: 5, max: 9 })),
      title: fc.string(),
      hasVersions: fc.boolean(),
      rank: fc.double({ noNaN: true }),
    })
    const filter = fc.record({ kind: fc.subarray(['reading', 'check']), grade: fc.subarray(['7', '8']) })
    fc.assert(
      fc.property(fc.array(facts, { maxLength: 30 }), filter, (list, chosen) => {
        for (const facet of FACETS)
          for (const { value, count } of facetCounts(list, chosen)[facet]) {
            const left = narrowed(list, { ...chosen, [facet]: [value] }, 'fit')
            expect(left).toHaveLength(count)
            expect(left.every((p) => valueOf(facet, p) === value)).toBe(true)
          }
      }),
    )
  })
})
