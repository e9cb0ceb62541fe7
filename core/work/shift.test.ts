import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '../base'
import type { ClassId, GroupId, LessonId, ResourceId } from '../base'
import type { Moment } from '../availability'
import { P1, PLAIN_WORK, ids, piecesOf, rules } from '../../tests/support/made'
import { dayByMeetings, shifted } from './shift'
import type { ShiftGround } from './shift'
import type { AssignmentTarget, Draft } from './types'

const ONE = piecesOf(asId<ResourceId>('r1'))
const days = (...on: string[]) => on.map((d) => ({ on: isoDay(d) }))
const lesson = asId<LessonId>('W1')
/** A meets on Mondays and Wednesdays, B on Tuesdays and Thursdays, C on the days of A; W1 lies on the first. */
const A: ShiftGround = {
  meetings: days('2026-10-05', '2026-10-07', '2026-10-12', '2026-10-14'),
  extents: new Map([[lesson, { first: 0, last: 1 }]]),
}
const B: ShiftGround = {
  meetings: days('2026-10-06', '2026-10-08', '2026-10-13', '2026-10-15'),
  extents: new Map([[lesson, { first: 0, last: 0 }]]),
}
const grounds = new Map<ClassId, ShiftGround>([
  [ids.class('A'), A],
  [ids.class('B'), B],
])
const where = {
  groups: new Map([[asId<GroupId>('g'), { classId: ids.class('B'), alsoIn: [] }]]),
  learners: new Map([[ids.user('l'), [ids.class('B')]]]),
}
const toClass = (id: string, due?: Moment): AssignmentTarget => ({
  target: { kind: 'class', classId: ids.class(id) },
  overrides: due ? { window: { due } } : {},
})
const day = (on: string) => ({ kind: 'day', on: isoDay(on) }) as const
const anchor = (offset: number, step: 'meetings' | 'days') =>
  ({ kind: 'anchor', lessonId: lesson, edge: 'last', offset, step, at: 'class-end' }) as const
const draft = (due: Moment | null, targets: readonly AssignmentTarget[]): Draft => ({
  ...PLAIN_WORK,
  title: 'Check',
  note: '',
  pieces: ONE,
  rules: rules(),
  window: { listed: null, opens: null, due, closes: null, putAway: null },
  targets,
  exceptIds: [],
})
const moved = (of: Draft, by: number) => {
  const done = shifted(of, by, grounds, where)
  if (!done.ok) return done.error.code
  const { window, targets } = done.value
  return { due: window.due, own: targets.map((t) => t.overrides.window ?? {}) }
}

describe('a day by meetings', () => {
  it('counts the days on which the class meets, from any day', () => {
    const by = (on: string, n: number) => dayByMeetings(isoDay(on), n, A.meetings)
    expect(by('2026-10-05', 1)).toBe('2026-10-07')
    expect(by('2026-10-06', 1)).toBe('2026-10-07')
    expect(by('2026-10-06', 2)).toBe('2026-10-12')
    expect(by('2026-10-14', -2)).toBe('2026-10-07')
    expect(by('2026-10-14', 1)).toBeNull()
    expect(by('2026-10-09', 0)).toBe('2026-10-09')
  })
})

describe('shifted', () => {
  it('moves what hangs on a lesson along it, in all classes at once', () => {
    expect(moved(draft(anchor(1, 'meetings'), [toClass('A'), toClass('B')]), 2)).toEqual({
      due: anchor(3, 'meetings'),
      own: [{}, {}],
    })
  })

  it('gives each class its own day where a day means another one there', () => {
    // from Wed 7: A's next meeting is Mon 12, B's is Thu 8
    expect(moved(draft(day('2026-10-07'), [toClass('A'), toClass('B')]), 1)).toEqual({
      due: day('2026-10-12'),
      own: [{}, { due: day('2026-10-08') }],
    })
  })

  it('moves what a class, a group or a learner has of their own by their own meetings', () => {
    const group: AssignmentTarget = {
      target: { kind: 'group', groupId: asId<GroupId>('g') },
      overrides: { window: { due: day('2026-10-08') }, maxAttempts: 3 },
    }
    const learner: AssignmentTarget = {
      target: { kind: 'learner', learnerId: ids.user('l') },
      overrides: { window: { due: null } },
    }
    const of = draft(null, [toClass('A', day('2026-10-12')), group, learner])
    const done = shifted(of, 1, grounds, where)
    expect(done.ok && done.value.targets.map((t) => t.overrides)).toEqual([
      { window: { due: day('2026-10-14') } },
      { window: { due: day('2026-10-13') }, maxAttempts: 3 },
      { window: { due: null } },
    ])
  })

  it('turns an anchor that counts days into the meeting on which it then lies', () => {
    // last meeting of W1 in A is Wed 7, two days on is Fri 9, the next meeting Mon 12: one after the last
    expect(moved(draft(anchor(2, 'days'), [toClass('A')]), 1)).toEqual({
      due: anchor(1, 'meetings'),
      own: [{}],
    })
  })

  it('moves the moments of pieces, too', () => {
    const of = {
      ...draft(null, [toClass('A')]),
      pieces: [{ ...ONE[0]!, window: { due: day('2026-10-05') } }],
    }
    const done = shifted(of, 1, grounds, where)
    expect(done.ok && done.value.pieces).toEqual([
      expect.objectContaining({ id: P1, window: { due: day('2026-10-07') } }),
    ])
  })

  it('comes back when it is moved back, and is refused past the last meeting', () => {
    const of = draft(day('2026-10-07'), [toClass('A')])
    const there = shifted(of, 2, grounds, where)
    expect(there.ok && moved(there.value, -2)).toEqual({ due: day('2026-10-07'), own: [{}] })
    expect(moved(of, 3)).toBe('work/past-the-year')
    expect(moved(of, 0)).toEqual({ due: day('2026-10-07'), own: [{}] })
  })
})
