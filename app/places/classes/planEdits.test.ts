import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { UnitId } from '#core/base'
import { aLesson, ids } from '../../../tests/support/made'
import { movedBefore, steppedBy } from './planEdits'

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
    expect(order(steppedBy(lessons, set('b', 'c'), 1))).toBe('adbc')
    expect(steppedBy(lessons, set('a'), -1)).toBe(lessons)
    expect(steppedBy(lessons, set('d'), 1)).toBe(lessons)
    expect(steppedBy(lessons, set(), 1)).toBe(lessons)
  })
})
