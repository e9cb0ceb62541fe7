import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NO_ABOUT } from '../work'
import { MOST_HEADINGS, byCategory, checkFiling, newNames, proposedFiling, refiled } from './index'
import type { Category, FiledScore, Filing } from './index'

const CATEGORIES: readonly Category[] = [
  { name: 'Checks', weight: 60, most: null },
  { name: 'Tests', weight: 40, most: null },
  { name: 'Practice', weight: 0, most: 2 },
]
const score = (category: string, ratio: number): FiledScore => ({ category, ratio })

describe('a name that is new in a class', () => {
  const filing: Filing = { headings: ['Waves'], categories: [] }
  it('is told where the class has names of that sort, whatever the case and spaces', () => {
    expect(newNames(filing, { heading: 'Wawes', category: 'Tests' })).toEqual([
      { part: 'heading', name: 'Wawes' },
    ])
    expect(newNames(filing, { heading: ' waves ', category: '' })).toEqual([])
  })
})

describe('under what work may be filed', () => {
  const filing: Filing = {
    headings: ['Practice at home', 'Waves'],
    categories: ['Small checks', 'Tests', 'Essays and writing'].map((name) => ({
      name,
      weight: 1,
      most: null,
    })),
  }
  const of = (kind: Parameters<typeof proposedFiling>[1]['kind'], unit = '') =>
    Object.values(proposedFiling(filing, { kind, unit }))

  it('is called as its unit, or as its kind; nothing where no name fits', () => {
    expect(of('check', '1 Waves and sound')).toEqual(['Waves', 'Small checks'])
    expect(of('practice-set')).toEqual(['Practice at home', ''])
    expect(of('writing-task', 'Heat')).toEqual(['', 'Essays and writing'])
    expect(of('test')).toEqual(['', 'Tests'])
    expect(of('video')).toEqual(['', ''])
    // part of a word is no name: "Waves" is not meant by "Microwaves"
    expect(of('video', 'Microwaves')).toEqual(['', ''])
  })
})

describe('evidence by category', () => {
  it('weighs the means of categories, each with its count', () => {
    const scores = [score('Checks', 0.5), score('checks ', 0.7), score('Tests', 0.9), score('Practice', 0.1)]
    const { parts, ratio } = byCategory(scores, CATEGORIES)
    // 60 × 0.6 + 40 × 0.9, over 100
    expect(ratio).toBeCloseTo(0.72)
    expect(parts.map((p) => [p.name, p.scores])).toEqual([
      ['Checks', 2],
      ['Tests', 1],
      ['Practice', 1],
    ])
    expect(parts[0]?.ratio).toBeCloseTo(0.6)
  })

  it('leaves a category without scores out of the weights, and counts nothing as nothing', () => {
    expect(byCategory([score('Checks', 0.5)], CATEGORIES).ratio).toBeCloseTo(0.5)
    expect(byCategory([], CATEGORIES).ratio).toBeNull()
    expect(byCategory([], CATEGORIES).parts.every((p) => p.ratio === null)).toBe(true)
  })

  it('is the plain mean where the class has no categories, and tells what is filed under none', () => {
    const { parts, ratio } = byCategory([score('', 0.4), score('Old', 0.8)], [])
    expect(ratio).toBeCloseTo(0.6)
    expect(parts).toEqual([
      { name: '', weight: 0, most: null, ratio: expect.closeTo(0.6) as number, scores: 2 },
    ])
  })

  it('lies between the lowest and the highest score, and loses none', () => {
    const anyScore = fc.record({
      category: fc.constantFrom('Checks', 'Tests', 'Practice', 'Else', ''),
      ratio: fc.double({ min: 0, max: 1, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(anyScore, { minLength: 1, maxLength: 30 }), (scores) => {
        const { parts, ratio } = byCategory(scores, CATEGORIES)
        const all = scores.map((s) => s.ratio)
        expect(ratio).toBeGreaterThanOrEqual(Math.min(...all) - 1e-9)
        expect(ratio).toBeLessThanOrEqual(Math.max(...all) + 1e-9)
        expect(parts.reduce((n, p) => n + p.scores, 0)).toBe(scores.length)
      }),
    )
  })
})

describe('headings and categories of a class', () => {
  it('have names that differ, sensible weights, and ceilings of at least one', () => {
    const filing = { headings: ['Tests', 'Practice'], categories: CATEGORIES }
    expect(checkFiling(filing).ok).toBe(true)
    expect(checkFiling({ ...filing, headings: ['Tests', ' tests'] }).error).toMatchObject({
      code: 'filing/name-twice',
      field: 'headings',
    })
    expect(checkFiling({ ...filing, headings: ['Tests', ' '] }).error).toMatchObject({
      code: 'filing/no-name',
      row: 2,
    })
    const withCategory = (part: Partial<Category>) => ({
      ...filing,
      categories: [{ name: 'Checks', weight: 1, most: null, ...part }],
    })
    for (const weight of [-1, Number.NaN, 1001])
      expect(checkFiling(withCategory({ weight })).error?.code).toBe('filing/bad-weight')
    for (const most of [0, 1.5, 51])
      expect(checkFiling(withCategory({ most })).error).toMatchObject({
        code: 'filing/bad-ceiling',
        name: 'Checks',
      })
    const many = Array.from({ length: MOST_HEADINGS + 1 }, (_, i) => `H${i}`)
    expect(checkFiling({ ...filing, headings: many }).error).toMatchObject({
      code: 'filing/too-many',
      count: 41,
    })
  })
})

describe('work under a name that was changed', () => {
  it('is filed under the new one, whatever the case, and stays the same where nothing of it was renamed', () => {
    const about = { ...NO_ABOUT, heading: 'tests', category: 'Checks' }
    const renamed = [{ part: 'heading' as const, from: 'Tests', to: 'Big tests' }]
    expect(refiled(about, renamed)).toEqual({ ...about, heading: 'Big tests' })
    const other = { ...NO_ABOUT, heading: 'Practice' }
    expect(refiled(other, renamed)).toBe(other)
    expect(refiled(NO_ABOUT, [{ part: 'heading', from: '', to: 'All' }])).toBe(NO_ABOUT)
  })
  it('may swap two names', () => {
    const swap = [
      { part: 'category' as const, from: 'A', to: 'B' },
      { part: 'category' as const, from: 'B', to: 'A' },
    ]
    expect(refiled({ ...NO_ABOUT, category: 'A' }, swap).category).toBe('B')
    expect(refiled({ ...NO_ABOUT, category: 'B' }, swap).category).toBe('A')
  })
})
