import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { Cell } from '#core/evidence'
import type { ClassGrid, ClassPractice, GridColumn } from '#shared/contracts/evidence'
import type { StandardsMap } from '#shared/contracts/standardsMap'
import { P1, at, ids } from '../../../tests/support/made'
import { learnerRecord } from './learnerRecord'

const [ann, ben] = [ids.user('ann'), ids.user('ben')]
const learners = [
  { id: ann, name: 'Ann Ash' },
  { id: ben, name: 'Ben Birch' },
]
const column = (work: string) => ({ assignmentId: ids.work(work), pieceId: P1, title: work }) as GridColumn
const cell = (work: string, learnerId: typeof ann, state: Cell['state'], ratio: number | null = null) =>
  ({ assignmentId: ids.work(work), pieceId: P1, learnerId, state, ratio }) as Cell
const grid = {
  learners,
  columns: [column('first'), column('second'), column('third')],
  cells: [
    cell('first', ann, 'handed-in', 0.8),
    cell('second', ann, 'missing'),
    cell('third', ann, 'not-for-them'),
    cell('first', ben, 'missing'),
  ],
  wholes: [{ learnerId: ann, parts: [], ratio: 0.8 }],
} as unknown as ClassGrid
const standing = (learnerId: typeof ann, code: string, share: number) => ({
  learnerId,
  code,
  share,
  items: 4,
  lastAt: at('09-10T12:00'),
  few: false,
})
const map = {
  learners,
  columns: [
    { code: 'A', taughtAt: at('09-01T12:00') },
    { code: 'B', taughtAt: at('09-02T12:00') },
    { code: 'C', taughtAt: at('09-03T12:00') },
    { code: 'D', taughtAt: null },
  ],
  standings: [standing(ben, 'C', 1), standing(ann, 'B', 0.4), standing(ann, 'A', 0.9)],
} as unknown as StandardsMap
const practice = {
  books: [
    {
      lessons: [
        {
          pieces: [
            { title: 'Practice one', learners: [{ id: ann, times: 2, ratio: 0.5 }] },
            { title: 'Practice two', learners: [{ id: ben, times: 9, ratio: 1 }] },
          ],
        },
      ],
    },
  ],
} as unknown as ClassPractice

describe('a learner’s record', () => {
  it('has their own work, standards and practice, and nothing of anybody else', () => {
    const record = learnerRecord(ann, { grid, map, practice })
    expect(record?.name).toBe('Ann Ash')
    expect(record?.whole?.ratio).toBe(0.8)
    expect(record?.work.map((w) => [w.column.title, w.cell.state])).toEqual([
      ['first', 'handed-in'],
      ['second', 'missing'],
    ])
    expect(record?.missing).toBe(1)
    expect(record?.standards.map((s) => s.column.code)).toEqual(['A', 'B'])
    expect(record?.weak).toEqual(['B'])
    expect(record?.unseen.map((c) => c.code)).toEqual(['C'])
    expect(record?.practised).toEqual([{ title: 'Practice one', times: 2, ratio: 0.5 }])
    expect(JSON.stringify(record)).not.toContain('Ben')
  })

  it('is empty of who has nothing yet, and none of who is not in the class', () => {
    expect(learnerRecord(ben, { grid: { ...grid, cells: [], wholes: [] }, map, practice })).toMatchObject({
      whole: null,
      work: [],
      missing: 0,
    })
    expect(learnerRecord(asId('stranger'), { grid, map, practice })).toBeNull()
  })
})
