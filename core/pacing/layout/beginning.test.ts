import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import type { Instant } from '../../base'
import { meetings } from '../../calendar'
import { aLesson, aYear, ids, onDays } from '../../../tests/support/made'
import { AS_PLANNED } from '../plan'
import { baselineOf, driftOn } from '../record'
import { beginningOn } from './beginning'
import { datesOf, layOut } from './layOut'
import { withoutPlace } from './withoutPlace'

const year = aYear()
// Mondays, Wednesdays and Fridays
const calendar = meetings(year, ids.class('a'), onDays(1, 3, 5), [])
const plan = { lessons: ['a', 'b', 'c', 'd'].map((id) => aLesson(id)) }
const begun = (fromOn: string, next: string | null) =>
  beginningOn(AS_PLANNED, plan, calendar.meetings, {
    fromOn: isoDay(fromOn),
    nextId: next === null ? null : ids.lesson(next),
  })
const firstDays = (pacing: ReturnType<typeof begun>) => {
  const dates = datesOf(layOut(plan, calendar.meetings, { pacing }), calendar.meetings)
  return plan.lessons.map((l) => dates.get(l.id)?.firstOn ?? null)
}

describe('a plan that begins in the middle of the year', () => {
  it('takes the first meetings from that day on', () => {
    // Tuesday: the next meeting is on Wednesday
    expect(firstDays(begun('2026-09-15', null))).toEqual([
      '2026-09-16',
      '2026-09-18',
      '2026-09-21',
      '2026-09-23',
    ])
    expect(firstDays(begun('2026-09-16', null))[0]).toBe('2026-09-16')
    // before the year it begins with the year
    expect(begun('2026-08-01', null).begins).toBeNull()
    expect(firstDays(begun('2026-08-01', null))).toEqual(firstDays(AS_PLANNED))
  })

  it('leaves out what came before the next lesson, and misses nothing of it', () => {
    const pacing = begun('2026-09-15', 'c')
    expect(firstDays(pacing)).toEqual([null, null, '2026-09-16', '2026-09-18'])
    const layout = layOut(plan, calendar.meetings, { pacing })
    expect(withoutPlace(layout)).toEqual([])
    const baseline = baselineOf(layout, calendar.meetings, 0 as Instant)
    for (const on of ['2026-09-01', '2026-09-14', '2026-09-15'])
      expect(driftOn(baseline, layout, calendar.meetings, isoDay(on))).toBe(0)
  })

  it('goes on behind the record once there is one, and begins there again when it is taken back', () => {
    const pacing = begun('2026-09-15', null)
    const held = { on: isoDay('2026-09-16'), startMinute: 510, halves: 2 }
    const record = { outcome: 'covered' as const, held: [held], moreHalves: 0 }
    const after = { ...pacing, records: { [ids.lesson('a')]: record }, through: held }
    expect(firstDays(after).slice(0, 2)).toEqual(['2026-09-16', '2026-09-18'])
    expect(firstDays({ ...after, records: {}, through: null })[0]).toBe('2026-09-16')
  })
})
