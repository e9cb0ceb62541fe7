import { describe, expect, it } from 'vitest'
import { ids } from '../../tests/support/made'
import type { GroupId } from '../base'
import { STRONGEST_FIRST, strongest } from './index'

const of = {
  learnerId: ids.user('ann'),
  groupIds: ['early', 'late'] as unknown as readonly GroupId[],
  classIds: [ids.class('a'), ids.class('b')],
  byClass: true,
  byName: true,
}
const says = (table: Readonly<Record<string, number>>) => (level: string, id: string) =>
  table[`${level} ${id}`]

describe('what targets give a learner', () => {
  it('goes from themselves over their groups to their classes', () => {
    expect(STRONGEST_FIRST).toEqual(['learner', 'group', 'class'])
    const all = { 'learner ann': 1, 'group late': 2, 'class a': 3, 'class b': 4 }
    expect(strongest(of, says(all))).toEqual({ level: 'learner', given: [{ sourceId: 'ann', value: 1 }] })
    const { 'learner ann': _, ...without } = all
    expect(strongest(of, says(without))).toEqual({
      level: 'group',
      given: [{ sourceId: 'late', value: 2 }],
    })
  })

  it('is all that the level gives, zero included, and nothing where none gives', () => {
    const classes = { 'class a': 0, 'class b': 4 }
    expect(strongest(of, says(classes))?.given.map((g) => g.value)).toEqual([0, 4])
    expect(strongest(of, says({ 'group other': 1 }))).toBeNull()
  })
})
