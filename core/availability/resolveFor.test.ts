import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '../base'
import type { ClassId, GroupId } from '../base'
import { aLesson, aYear, ids, onDays } from '../../tests/support/made'
import type { Reached } from '../audience'
import { meetings, zoneOf } from '../calendar'
import { extentsOf, layOut } from '../pacing'
import { resolveFor } from './resolveFor'
import type { Overrides, Terms } from './resolveFor'
import type { Ground } from './resolveMoment'
import { NO_ACCOMMODATION } from './types'
import type { Moment, WindowSpec } from './types'

const year = aYear({ lastOn: isoDay('2026-09-18') })
const A = ids.class('A')
const B = ids.class('B')
const g1 = asId<GroupId>('g1')
const g2 = asId<GroupId>('g2')
const learner = ids.user('l')
function ground(...days: Parameters<typeof onDays>): Ground {
  const calendar = meetings(year, A, onDays(...days), [])
  return {
    zone: zoneOf(year.zone),
    firstOn: year.firstOn,
    lastOn: year.lastOn,
    meetings: calendar.meetings,
    extents: extentsOf(layOut({ lessons: [aLesson('a'), aLesson('b')] }, calendar.meetings)),
  }
}
// A meets Mon Wed Fri, B meets Tue Thu
const grounds = new Map<ClassId, Ground>([
  [A, ground(1, 3, 5)],
  [B, ground(2, 4)],
])
const anchored = (edge: 'first' | 'last', offset: number, at: 'class-start' | 'class-end'): Moment => ({
  kind: 'anchor',
  lessonId: ids.lesson('a'),
  edge,
  offset,
  step: 'meetings',
  at,
})
const window: WindowSpec = {
  listed: null,
  opens: anchored('first', 0, 'class-start'),
  due: anchored('last', 1, 'class-end'),
  closes: null,
  putAway: null,
}
const through = (day: string): Moment => ({ kind: 'day', on: isoDay(day) })
const terms = (
  over: {
    classes?: [ClassId, Overrides][]
    groups?: [GroupId, Overrides][]
    learners?: [string, Overrides][]
  } = {},
): Terms => ({
  window,
  limits: { maxAttempts: 2, timeLimitMinutes: 20 },
  overrides: {
    classes: new Map(over.classes),
    groups: new Map(over.groups),
    learners: new Map(over.learners),
  },
})
const reached = (part: Partial<Reached> = {}): Reached => ({
  learnerId: learner,
  classIds: [A],
  groupIds: [],
  byClass: true,
  byName: false,
  ...part,
})
const due = (of: ReturnType<typeof resolveFor>) =>
  of.ok ? new Date(of.value.terms.due ?? 0).toISOString().slice(5, 16) : of.error.code
const levelOf = (of: ReturnType<typeof resolveFor>, field: string) =>
  of.value?.because.find((b) => b.field === field)?.level

describe('resolveFor', () => {
  it('resolves one anchored window to each class’s own moments', () => {
    expect(due(resolveFor(reached(), terms(), grounds, NO_ACCOMMODATION))).toBe('09-02T15:50')
    expect(due(resolveFor(reached({ classIds: [B] }), terms(), grounds, NO_ACCOMMODATION))).toBe(
      '09-03T15:50',
    )
  })

  it('closes when due unless it says otherwise', () => {
    const got = resolveFor(reached(), terms(), grounds, NO_ACCOMMODATION)
    expect(got.value?.terms.closes).toBe(got.value?.terms.due)
  })

  it('lets the class, then the kinder group, then the learner win, each with its reason', () => {
    const over = { classes: [[A, { window: { due: through('2026-09-03') } }]] as [ClassId, Overrides][] }
    const byClass = resolveFor(reached(), terms(over), grounds, NO_ACCOMMODATION)
    expect(due(byClass)).toBe('09-04T06:00')
    expect([levelOf(byClass, 'due'), levelOf(byClass, 'opens')]).toEqual(['class', 'assignment'])
    const groups = [
      [g1, { window: { due: through('2026-09-08') } }],
      [g2, { window: { due: through('2026-09-09') }, maxAttempts: 1 }],
    ] as [GroupId, Overrides][]
    const byGroup = resolveFor(
      reached({ groupIds: [g1, g2] }),
      terms({ ...over, groups }),
      grounds,
      NO_ACCOMMODATION,
    )
    expect(due(byGroup)).toBe('09-10T06:00')
    expect(byGroup.value?.because.find((b) => b.field === 'due')).toMatchObject({
      level: 'group',
      sourceId: 'g2',
    })
    expect(byGroup.value?.terms.maxAttempts).toBe(1)
    const own = resolveFor(
      reached({ groupIds: [g1, g2] }),
      terms({
        ...over,
        groups,
        learners: [[learner, { window: { due: through('2026-09-04') }, maxAttempts: null }]],
      }),
      grounds,
      NO_ACCOMMODATION,
    )
    expect(due(own)).toBe('09-05T06:00')
    expect(own.value?.terms.maxAttempts).toBeNull()
  })

  it('ends no work before it is due when only the due moment was made kinder', () => {
    const got = resolveFor(
      reached({ groupIds: [g1] }),
      terms({ groups: [[g1, { window: { due: through('2026-09-10') } }]] }),
      grounds,
      NO_ACCOMMODATION,
    )
    expect(got.value?.terms.closes).toBe(got.value?.terms.due)
  })

  it('gives a learner of two classes the kinder of both', () => {
    expect(due(resolveFor(reached({ classIds: [A, B] }), terms(), grounds, NO_ACCOMMODATION))).toBe(
      '09-03T15:50',
    )
  })

  it('adds accommodations last: days, tries, time', () => {
    const got = resolveFor(reached(), terms(), grounds, { timeFactor: 1.5, extraAttempts: 1, extraDays: 2 })
    expect(due(got)).toBe('09-04T15:50')
    expect(got.value?.terms).toMatchObject({ maxAttempts: 3, timeLimitMinutes: 30 })
    expect(['due', 'closes', 'maxAttempts', 'timeLimitMinutes', 'opens'].map((f) => levelOf(got, f))).toEqual(
      ['accommodation', 'accommodation', 'accommodation', 'accommodation', 'assignment'],
    )
  })

  it('adds nothing to what is unlimited', () => {
    const free: Terms = {
      ...terms(),
      window: { ...window, due: null },
      limits: { maxAttempts: null, timeLimitMinutes: null },
    }
    const got = resolveFor(reached(), free, grounds, { timeFactor: 2, extraAttempts: 3, extraDays: 2 })
    expect(got.value?.terms).toMatchObject({
      due: null,
      closes: null,
      maxAttempts: null,
      timeLimitMinutes: null,
    })
  })

  it('refuses a window that ends before it begins, or a class without ground', () => {
    expect(
      due(
        resolveFor(
          reached(),
          terms({ classes: [[A, { window: { due: through('2026-08-30') } }]] }),
          grounds,
          NO_ACCOMMODATION,
        ),
      ),
    ).toBe('availability/out-of-order')
    expect(
      due(
        resolveFor(
          reached({ groupIds: [g1] }),
          terms({ groups: [[g1, { window: { due: through('2026-08-30') } }]] }),
          grounds,
          NO_ACCOMMODATION,
        ),
      ),
    ).toBe('availability/out-of-order')
    expect(due(resolveFor(reached({ classIds: [ids.class('Z')] }), terms(), grounds, NO_ACCOMMODATION))).toBe(
      'availability/no-layout',
    )
  })
})
