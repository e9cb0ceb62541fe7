import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '../../base'
import type { UnitId } from '../../base'
import { aLesson, aPlan, aYear, closure } from '../../../tests/support/made'
import { checkFixedIn, checkPlan } from './checkPlan'

const codeOf = (...lessons: Parameters<typeof aPlan>[0]) => checkPlan(aPlan(lessons)).error?.code
const lengths = (min: number, typical: number, max: number) =>
  aLesson('a', 1, { length: { unit: 'meetings', min, typical, max } })

describe('checkPlan', () => {
  it('accepts whole and half lengths in order', () => {
    expect(checkPlan(aPlan([lengths(0.5, 1.5, 3)])).ok).toBe(true)
  })

  it('refuses an empty plan and one of 2,001 lessons', () => {
    expect(codeOf()).toBe('pacing/empty-plan')
    expect(codeOf(...Array.from({ length: 2001 }, (_, i) => aLesson(`l${i}`)))).toBe(
      'pacing/too-many-lessons',
    )
  })

  it.each([
    [2, 1, 3],
    [1, 3, 2],
    [0, 1, 2],
    [0.7, 1, 2],
    [1, 2, 41],
  ])('refuses the lengths %d, %d, %d', (min, typical, max) => {
    expect(codeOf(lengths(min, typical, max))).toBe('pacing/bad-length')
  })

  it('refuses a lesson of a unit that is not there', () => {
    expect(codeOf(aLesson('a', 1, { unitId: asId<UnitId>('gone') }))).toBe('pacing/unknown-unit')
  })

  const on = (id: string, day: string) => aLesson(id, 1, { fixed: { kind: 'on', on: isoDay(day) } })
  it('refuses fixed dates that run against the order of the lessons', () => {
    expect(
      checkPlan(aPlan([on('a', '2026-10-02'), aLesson('b'), on('c', '2026-10-01')])).error,
    ).toMatchObject({ code: 'pacing/fixed-out-of-order', lesson: 'c', before: 'a' })
    expect(codeOf(on('a', '2026-10-01'), on('b', '2026-10-01'))).toBeUndefined()
    expect(
      codeOf(
        aLesson('a', 1, {
          fixed: { kind: 'within', fromOn: isoDay('2026-10-02'), throughOn: isoDay('2026-10-01') },
        }),
      ),
    ).toBe('pacing/bad-fixed-date')
  })

  it('refuses a fixed date on which the school is closed, and one outside the year', () => {
    const year = aYear({ notes: [closure('2026-09-07')] })
    expect(checkFixedIn(aLesson('a'), { kind: 'on', on: isoDay('2026-09-07') }, year)).toMatchObject({
      code: 'pacing/fixed-on-closure',
      closedBy: 'Closed 2026-09-07',
    })
    expect(checkFixedIn(aLesson('a'), { kind: 'on', on: isoDay('2026-09-05') }, year)).toMatchObject({
      code: 'pacing/fixed-on-closure',
      closedBy: null,
    })
    expect(checkFixedIn(aLesson('a'), { kind: 'not-before', on: isoDay('2026-09-07') }, year)).toBeNull()
    expect(checkFixedIn(aLesson('a'), { kind: 'not-after', on: isoDay('2027-09-07') }, year)?.code).toBe(
      'pacing/fixed-on-closure',
    )
  })

  it('accepts lengths in minutes from 5 to 2,400', () => {
    const minutes = (min: number, typical: number, max: number) =>
      aLesson('a', 1, { length: { unit: 'minutes', min, typical, max } })
    expect(codeOf(minutes(5, 45, 2400))).toBeUndefined()
    expect(codeOf(minutes(4, 45, 60))).toBe('pacing/bad-length')
    expect(codeOf(minutes(5, 45.5, 60))).toBe('pacing/bad-length')
  })

  it('wants parts in different terms and their units together', () => {
    const part = (id: string, term: number) => ({ id, title: id, term })
    const unit = (id: string, partId: string) => ({ id: asId<UnitId>(id), number: id, title: id, partId })
    const plan = {
      ...aPlan([
        aLesson('a', 1, { unitId: asId<UnitId>('x') }),
        aLesson('b', 1, { unitId: asId<UnitId>('y') }),
      ]),
      units: [unit('x', 'p'), unit('y', 'q')],
    }
    expect(checkPlan({ ...plan, parts: [part('p', 1), part('q', 2)] }).ok).toBe(true)
    expect(checkPlan({ ...plan, parts: [part('p', 2), part('q', 2)] }).error?.code).toBe('pacing/bad-part')
    expect(
      checkPlan({ ...plan, parts: [part('p', 1), part('q', 2)], lessons: [...plan.lessons].reverse() }).error
        ?.code,
    ).toBe('pacing/bad-part')
  })
})
