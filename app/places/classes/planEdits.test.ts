import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { UnitId } from '#core/base'
import { aLesson, ids } from '../../../tests/support/made'
import { movedBefore, movedBehind, steppedBy } from './planEdits'

const other = asId<UnitId>('other')
const lessons = [aLesson('a'), aLesson('b'), aLesson('c'), { ...aLesson('d'), unitId: other }]
const set = (...names: string[]) => new Set(names.map(ids.lesson))
const order = (list: readonly { readonly id: string }[]) => list.map((l) => l.id).join('')

describe('moving lessons of a plan', () => {
  it('moves several together, and they join the unit they come to', () => {
    const moved = movedBefore(lessons, set('a', 'c'), ids.lesson('d'))
    expect(order(moved)).toBe('bacd')
    expect(moved.map((l) => l.unitId === other)).toEqual([false, true, true, true])
    expect(order(movedBefore(lessons, set('a'), null))).toBe('bcda')
    expect(movedBefore(lessons, set('a'), ids.lesson('gone'))).toBe(lessons)
  })

  it('steps one place and stops at both ends', () => {
    expect(order(steppedBy(lessons, set('b'), -1))).toBe('bacd')
    expect(order(steppedBy(lessons, set('a', 'b'), 1))).toBe('cabd')
    expect(steppedBy(lessons, set('a'), -1)).toBe(lessons)
    expect(steppedBy(lessons, set('d'), 1)).toBe(lessons)
    expect(steppedBy(lessons, set(), 1)).toBe(lessons)
  })

  it('steps over the edge of a unit as its first, or its last', () => {
    const unitsOf = (list: readonly { readonly unitId: string }[]) =>
      list.map((l) => (l.unitId === other ? 'o' : 'u')).join('')
    const down = steppedBy(lessons, set('c'), 1)
    expect([order(down), unitsOf(down)]).toEqual(['abcd', 'uuoo'])
    const further = steppedBy(down, set('c'), 1)
    expect([order(further), unitsOf(further)]).toEqual(['abdc', 'uuoo'])
    const up = steppedBy(lessons, set('d'), -1)
    expect([order(up), unitsOf(up)]).toEqual(['abcd', 'uuuu'])
    const both = steppedBy(lessons, set('b', 'c'), 1)
    expect([order(both), unitsOf(both)]).toEqual(['abcd', 'uooo'])
  })

  it('puts lessons behind another one, as the last of its unit', () => {
    const moved = movedBehind(lessons, set('a', 'd'), ids.lesson('c'))
    expect(order(moved)).toBe('bcad')
    expect(moved.some((l) => l.unitId === other)).toBe(false)
    expect(movedBehind(lessons, set('a'), ids.lesson('gone'))).toBe(lessons)
  })
})
