import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { ClassId, GroupId } from '../base'
import { ids } from '../../tests/support/made'
import { headCounts, reach } from './reach'
import type { Roster, Target } from './types'

const g = (id: string) => asId<GroupId>(id)
const u = ids.user
const roster: Roster = {
  classes: new Map([
    [ids.class('A'), [u('1'), u('2'), u('3')]],
    [ids.class('B'), [u('3'), u('4')]],
  ]),
  groups: new Map([
    [g('north'), [u('1'), u('2')]],
    [g('mixed'), [u('2'), u('4')]],
  ]),
}
const toClass = (id: string): Target => ({ kind: 'class', classId: ids.class(id) })
const toGroup = (id: string): Target => ({ kind: 'group', groupId: g(id) })
const toLearner = (id: string): Target => ({ kind: 'learner', learnerId: u(id) })
const who = (targets: Target[], except: string[] = []) =>
  reach(targets, roster, new Set(except.map(u))).map((r) => r.learnerId)

describe('reach', () => {
  it('reaches each learner once, however often they are named', () => {
    expect(who([toClass('A'), toClass('B'), toGroup('mixed'), toLearner('1')])).toEqual(['1', '2', '3', '4'])
  })

  it('leaves out who is excepted', () => {
    expect(who([toClass('A')], ['2'])).toEqual(['1', '3'])
  })

  it('keeps the class through which a learner was reached, and all their groups', () => {
    const [one, two] = reach([toClass('A'), toGroup('north'), toGroup('mixed')], roster)
    expect(one).toMatchObject({ learnerId: '1', classIds: ['A'], groupIds: ['north'], byClass: true })
    expect(two).toMatchObject({ learnerId: '2', groupIds: ['north', 'mixed'] })
  })

  it('dates a learner reached by group or name by their own classes', () => {
    expect(reach([toLearner('3')], roster)[0]).toMatchObject({
      classIds: ['A', 'B'],
      byClass: false,
      byName: true,
    })
    expect(reach([toGroup('mixed')], roster).map((r) => r.classIds)).toEqual([['A'], ['B']])
  })

  it('reaches nobody through what is unknown or empty', () => {
    expect(who([toClass('Z'), toGroup('gone')])).toEqual([])
    expect(who([])).toEqual([])
  })

  it('counts heads per class and in all, each learner in one class', () => {
    const counts = headCounts(reach([toClass('A'), toClass('B')], roster))
    expect(counts.all).toBe(4)
    expect([...counts.byClass]).toEqual([
      ['A', 3],
      ['B', 1],
    ])
  })

  it('gives the same whatever the order in which classes are named', () => {
    const [there, back] = [
      [toClass('A'), toClass('B')],
      [toClass('B'), toClass('A')],
    ].map((targets) => reach(targets, roster))
    const three = (of: typeof there) => of?.find((r) => r.learnerId === '3')?.classIds
    expect([three(there), three(back)]).toEqual([
      ['A', 'B'],
      ['A', 'B'],
    ])
    const counts = (of: typeof there) => [...headCounts(of ?? []).byClass].sort()
    expect(counts(back)).toEqual(counts(there))
  })

  it('gives everybody exactly once and never an excepted one', () => {
    const learner = fc.integer({ min: 0, max: 30 }).map((n) => u(`l${n}`))
    fc.assert(
      fc.property(
        fc.array(fc.uniqueArray(learner, { maxLength: 20 }), { minLength: 1, maxLength: 4 }),
        fc.uniqueArray(learner, { maxLength: 5 }),
        (classes, except) => {
          const big: Roster = {
            classes: new Map(classes.map((list, i) => [asId<ClassId>(`c${i}`), list])),
            groups: new Map(),
          }
          const got = reach(
            classes.map((_, i) => ({ kind: 'class', classId: asId<ClassId>(`c${i}`) })),
            big,
            new Set(except),
          ).map((r) => r.learnerId)
          const expected = new Set(classes.flat().filter((l) => !except.includes(l)))
          expect(got.length).toBe(expected.size)
          expect(new Set(got)).toEqual(expected)
        },
      ),
    )
  })
})
