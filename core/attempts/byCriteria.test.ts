import { describe, expect, it } from 'vitest'
import { extended, numeric } from '../../tests/support/made'
import { areLevelsOf, criteriaFor, levelsFor, pointsByCriteria } from './byCriteria'

const rubric = [
  { name: 'Science', points: 4, about: 'Names the force.' },
  { name: 'Words', points: 2, about: '' },
  { name: 'Sentences', points: 2, about: '' },
]

describe('points by criteria', () => {
  it('are a share of what the answer can earn, in halves', () => {
    expect(pointsByCriteria(rubric, [4, 2, 2], 8)).toBe(8)
    expect(pointsByCriteria(rubric, [3, 1, 2], 8)).toBe(6)
    // 5.5 of 8 of 4 points are 2.75, in halves 3
    expect(pointsByCriteria(rubric, [3, 1, 1.5], 4)).toBe(3)
    expect(pointsByCriteria(rubric, [1, 0, 0], 4)).toBe(0.5)
    expect(pointsByCriteria(rubric, [0, 0, 0], 4)).toBe(0)
  })

  it('are never more than there are', () => {
    expect(pointsByCriteria(rubric, [4, 2, 2], 1.2)).toBe(1.2)
  })

  it('are none while a criterion is open, or where there is none', () => {
    expect(pointsByCriteria(rubric, [4, null, 2], 8)).toBeNull()
    expect(pointsByCriteria(rubric, [4, 2], 8)).toBeNull()
    expect(pointsByCriteria([], [], 8)).toBeNull()
  })

  it('are given in halves, no more than there are', () => {
    expect(areLevelsOf(rubric, [4, null, 0.5])).toBe(true)
    // every level that can be chosen is one
    for (const points of [0.75, 1, 2.5, 3.3, 9, 20, 33])
      for (const level of levelsFor({ points }))
        expect(areLevelsOf([{ name: '', points }], [level])).toBe(true)
    const bad = [
      [5, 0, 0],
      [0, -1, 0],
      [0.3, 0, 0],
      [1, 1],
    ]
    for (const levels of bad) expect(areLevelsOf(rubric, levels)).toBe(false)
  })
})

describe('what is looked at', () => {
  it('is the rubric without what earns nothing, else the answer as a whole', () => {
    const idle = { name: 'Neat', points: 0, about: '' }
    expect(criteriaFor(extended('8'), [...rubric, idle])).toEqual(rubric)
    expect(criteriaFor(extended('8'), [idle])).toEqual([
      { name: '', points: 4, about: expect.stringContaining('Two reasons') },
    ])
    expect(criteriaFor(numeric('3'), [])).toEqual([{ name: '', points: numeric('3').points, about: '' }])
  })

  it('has a level for each whole point, and no more levels than keys', () => {
    expect(levelsFor({ points: 3 })).toEqual([0, 1, 2, 3])
    expect(levelsFor({ points: 9 })).toHaveLength(10)
    expect(levelsFor({ points: 2.5 })).toEqual([0, 1, 2, 2.5])
    expect(levelsFor({ points: 20 })).toEqual([0, 2, 4.5, 6.5, 9, 11, 13.5, 15.5, 18, 20])
  })
})
