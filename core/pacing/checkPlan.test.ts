import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { UnitId } from '../base'
import { aLesson, aPlan } from '../../tests/support/made'
import { checkPlan } from './checkPlan'

const codeOf = (...lessons: Parameters<typeof aPlan>[0]) => checkPlan(aPlan(lessons)).error?.code
const lengths = (min: number, typical: number, max: number) => aLesson('a', 1, { length: { unit: 'meetings', min, typical, max } })

describe('checkPlan', () => {
  it('accepts whole and half lengths in order', () => {
    expect(checkPlan(aPlan([lengths(0.5, 1.5, 3)])).ok).toBe(true)
  })

  it('refuses an empty plan and one of 2,001 lessons', () => {
    expect(codeOf()).toBe('pacing/empty-plan')
    expect(codeOf(...Array.from({ length: 2001 }, (_, i) => aLesson(`l${i}`)))).toBe('pacing/too-many-lessons')
  })

  it.each([[2, 1, 3], [1, 3, 2], [0, 1, 2], [0.7, 1, 2], [1, 2, 41]])('refuses the lengths %d, %d, %d', (min, typical, max) => {
    expect(codeOf(lengths(min, typical, max))).toBe('pacing/bad-length')
  })

  it('refuses a lesson of a unit that is not there', () => {
    expect(codeOf(aLesson('a', 1, { unitId: asId<UnitId>('gone') }))).toBe('pacing/unknown-unit')
  })
})
