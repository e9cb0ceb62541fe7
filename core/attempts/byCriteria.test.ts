import { describe, expect, it } from 'vitest'
import { areLevelsOf, pointsByCriteria } from './byCriteria'

const rubric = [
  { name: 'Science', points: 4 },
  { name: 'Words', points: 2 },
  { name: 'Sentences', points: 2 },
]

describe('points by criteria', () => {
  it('are a share of what the answer can earn, in halves', () => {
    expect(pointsByCriteria(rubric, [4, 2, 2], 8)).toBe(8)
    expect(pointsByCriteria(rubric, [3, 1, 2], 8)).toBe(6)
    expect(pointsByCriteria(rubric, [3, 1, 1.5], 4)).toBe(3)
    expect(pointsByCriteria(rubric, [1, 0, 0], 4)).toBe(0.5)
    expect(pointsByCriteria(rubric, [0, 0, 0], 4)).toBe(0)
  })

  it('are none while a criterion is open, or where there is none', () => {
    expect(pointsByCriteria(rubric, [4, null, 2], 8)).toBeNull()
    expect(pointsByCriteria(rubric, [4, 2], 8)).toBeNull()
    expect(pointsByCriteria([], [], 8)).toBeNull()
  })

  it('are given in halves, no more than there are', () => {
    expect(areLevelsOf(rubric, [4, null, 0.5])).toBe(true)
    for (const levels of [[5, 0, 0], [0, -1, 0], [0.3, 0, 0], [1, 1]]) expect(areLevelsOf(rubric, levels)).toBe(false)
  })
})
