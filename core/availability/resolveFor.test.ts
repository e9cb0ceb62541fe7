import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '../base'
import type { ClassId, GroupId } from '../base'
import { aLesson, aYear, ids, onDays } from '../../tests/support/made'
import type { Reached } from '../audience'
import { meetings, zoneOf } from '../calendar'
import { extentsOf, layOut } from '../pacing'
import { resolveFor } from './resolveFor'
import type { Overrides, Terms } from './terms'
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
  own: Terms['own'] = {},
): Terms => ({
  window,
  own,
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

  it('fills an empty closing moment in last, for each learner', () => {
    const open: WindowSpec = { ...window, opens: null, due: through('2026-09-08') }
    const of = (groups: [GroupId, Overrides][], learners: [string, Overrides][] = []) =>
      resolveFor(
        reached({ groupIds: groups.map(([id]) => id) }),
        { ...terms({ groups, learners }), window: open },
        grounds,
        NO_ACCOMMODATION,
      ).value
    const day = (instant: number | null | undefined) =>
      instant ? new Date(instant).toISOString().slice(5, 10) : (instant ?? null)
    // no due date for a group: its work stays open
    expect(of([[g1, { window: { due: null } }]])?.terms).toMatchObject({ due: null, closes: null })
    // a learner's earlier due date brings no late work
    const early = of([], [[learner, { window: { due: through('2026-09-04') } }]])
    expect([day(early?.terms.due), day(early?.terms.closes)]).toEqual(['09-05', '09-05'])
    // one group without a closing moment, one that closes on the 20th: the kinder, in either order
    const groups: [GroupId, Overrides][] = [
      [g1, { window: { closes: null } }],
      [g2, { window: { closes: through('2026-09-20') } }],
    ]
    for (const list of [groups, [...groups].reverse()]) {
      expect(day(of(list)?.terms.closes)).toBe('09-21')
      expect(of(list)?.because.find((b) => b.field === 'closes')).toMatchObject({
        level: 'group',
        sourceId: g2,
      })
    }
    // and with a due date behind that: when it is due
    const late = of(groups, [[learner, { window: { due: through('2026-09-25') } }]])
    expect(day(late?.terms.closes)).toBe('09-26')
  })

  it('checks what came out pairwise, where a moment between is absent', () => {
    const noDue: WindowSpec = {
      ...window,
      opens: through('2026-10-06'),
      due: null,
      closes: through('2026-10-08'),
    }
    const got = resolveFor(
      reached({ groupIds: [g1] }),
      { ...terms({ groups: [[g1, { window: { closes: through('2026-10-04') } }]] }), window: noDue },
      grounds,
      NO_ACCOMMODATION,
    )
    expect(got.error).toEqual({ code: 'availability/out-of-order', field: 'closes', before: 'opens' })
  })

  it('gives a learner of two classes each class’s own value, then the kinder, in any order', () => {
    const day = through('2026-09-01')
    const own: [ClassId, Overrides][] = [[A, { window: { due: day }, maxAttempts: 1, timeLimitMinutes: 5 }]]
    for (const classIds of [
      [A, B],
      [B, A],
    ]) {
      const got = resolveFor(reached({ classIds }), terms({ classes: own }), grounds, NO_ACCOMMODATION)
      // B changes nothing: its anchored due date and the assignment's own limits are kinder
      expect(due(got)).toBe('09-03T15:50')
      expect(got.value?.terms).toMatchObject({ maxAttempts: 2, timeLimitMinutes: 20 })
      expect(got.value?.because.find((b) => b.field === 'due')).toEqual({
        field: 'due',
        level: 'assignment',
        sourceId: B,
      })
      expect(got.value?.classId).toBe(A)
    }
  })

  it('takes the kinder ground for what a group anchors, in any order', () => {
    const groups: [GroupId, Overrides][] = [[g1, { window: { due: anchored('last', 2, 'class-end') } }]]
    for (const classIds of [
      [A, B],
      [B, A],
    ]) {
      const got = resolveFor(
        reached({ classIds, groupIds: [g1] }),
        terms({ groups }),
        grounds,
        NO_ACCOMMODATION,
      )
      // two meetings later: Fri 4 Sep in A, Tue 8 Sep in B
      expect(due(got)).toBe('09-08T15:50')
    }
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
