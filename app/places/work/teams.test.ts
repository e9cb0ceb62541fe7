import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { ClassId } from '#core/base'
import type { Preview } from '#shared/contracts/work'
import { ids } from '../../../tests/support/made'
import { inTeam, teamsByClass, unteamed } from './teams'

const [a, b, c, d] = ['a', 'b', 'c', 'd'].map(ids.user) as [never, never, never, never]
const preview = {
  classes: [
    { classId: asId<ClassId>('A'), name: 'Class A' },
    { classId: asId<ClassId>('B'), name: 'Class B' },
  ],
  who: [
    { learnerId: a, name: 'Ann', classId: 'A' },
    { learnerId: b, name: 'Ben', classId: 'A' },
    { learnerId: c, name: 'Cleo', classId: 'B' },
    { learnerId: d, name: 'Dov', classId: 'B' },
  ],
} as unknown as Preview

describe('teams in the composer', () => {
  it('stand under their class, with the places there are', () => {
    const [first, ...more] = teamsByClass([[a, b], [ids.user('gone')], [c, d]], preview)
    expect(first).toMatchObject({
      name: 'Class A',
      teams: [{ index: 0, learners: [{ name: 'Ann' }, { name: 'Ben' }] }],
      choices: [
        { value: '0', label: '1' },
        { value: '-1', label: 'alone' },
      ],
    })
    expect(more.map((m) => [m.name, m.teams.map((t) => t.index)])).toEqual([['Class B', [2]]])
  })

  it('leave over who is in none', () => {
    expect(unteamed([[a, b]], preview).map((l) => l.name)).toEqual(['Cleo', 'Dov'])
    expect(unteamed([[a, b]], null)).toEqual([])
  })

  it('take somebody from one to another, or out; an empty one is gone', () => {
    expect(inTeam([[a, b], [c]], a, 1)).toEqual([[b], [c, a]])
    expect(inTeam([[a, b], [c]], c, -1)).toEqual([[a, b]])
    expect(inTeam([[a, b]], a, 0)).toEqual([[b, a]])
  })
})
