import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import { aLesson, aYear, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { AS_PLANNED } from '../plan'
import type { ClassPacing, FixedDate, PlanLesson } from '../plan'
import { courseOf } from './course'
import { layOut } from './layOut'
import { reachesOf } from './stretches'

/** Meetings of 50 minutes on these days of September; a star marks the first one after a break. */
const onDates = (...days: string[]) =>
  days.map((day) => ({
    on: isoDay(`2026-09-${day.replace('*', '').padStart(2, '0')}`),
    startMinute: 540,
    minutes: 50,
    usualMinutes: 50,
    afterBreak: day.endsWith('*'),
  }))
const by = (day: string): FixedDate => ({ kind: 'not-after', on: isoDay(`2026-09-${day}`) })
const minutes = (id: string, typical: number, part: Partial<PlanLesson> = {}) =>
  aLesson(id, 1, { length: { unit: 'minutes', min: 5, typical, max: 600 }, ...part })

function days(lessons: readonly PlanLesson[], list: ReturnType<typeof onDates>, pacing?: ClassPacing) {
  return layOut({ lessons }, list, pacing ? { pacing } : {}).placements.map((p) =>
    p.placed ? p.slots.map((s) => `${list[s.meeting]?.on.slice(8)}:${s.halves}`).join(' ') : p.because.why,
  )
}

describe('last days', () => {
  it('of several lessons are kept together: what stands before them gives way', () => {
    // t and u need two of the five meetings through the 7th; a wants four
    const list = onDates('1', '2', '3', '4', '7', '8')
    const lessons = [
      aLesson('a', 4),
      aLesson('t', 1, { fixed: by('07') }),
      aLesson('u', 1, { fixed: by('07') }),
    ]
    expect(days(lessons, list)).toEqual(['before-fixed', '01:2', '02:2'])
    expect(days([aLesson('a', 3), ...lessons.slice(1)], list)).toEqual(['01:2 02:2 03:2', '04:2', '07:2'])
    // four meetings are left for a and t, since u needs the fifth: one too few
    expect(reachesOf(courseOf({ lessons }, list, AS_PLANNED, { terms: [] }))[0]).toMatchObject({
      lessonIds: ['a', 't'],
      upTo: 't',
      capacityHalves: 8,
      needHalves: 10,
      slackHalves: -2,
    })
  })

  it('are kept on the very last meeting of the year', () => {
    const year = meetings(aYear({ lastOn: isoDay('2026-09-18') }), ids.class('c'), onDays(1, 3, 5), [])
    const got = layOut({ lessons: [aLesson('a', 9), aLesson('t', 1, { fixed: by('18') })] }, year.meetings)
    expect(got.placements.map((p) => p.placed)).toEqual([false, true])
    expect(got.placements[0]).toMatchObject({ because: { why: 'before-fixed', lessonId: 't' } })
  })

  it('leave to lessons in minutes the minutes that are left', () => {
    const lessons = [minutes('a', 30), minutes('t', 20, { fixed: by('01') })]
    expect(days(lessons, onDates('1', '2'))).toEqual(['01:1.2', '01:0.8'])
    expect(days([minutes('a', 31), ...lessons.slice(1)], onDates('1', '2'))).toEqual([
      'before-fixed',
      '01:0.8',
    ])
  })

  it('bind nobody when their lesson has no room even alone, or the record is past them', () => {
    expect(days([aLesson('a', 2), aLesson('t', 5, { fixed: by('02') })], onDates('1', '2', '3'))).toEqual([
      '01:2 02:2',
      'before-fixed',
    ])
    const through = { on: isoDay('2026-09-02'), startMinute: 540, halves: 2 }
    expect(
      days([aLesson('a'), aLesson('t', 1, { fixed: by('02') })], onDates('1', '2', '3', '4'), {
        ...AS_PLANNED,
        through,
      }),
    ).toEqual(['03:2', 'before-fixed'])
  })
})

describe('two lessons fixed on one day', () => {
  const on = (day: string): FixedDate => ({ kind: 'on', on: isoDay(`2026-09-${day}`) })
  const half = (id: string) => aLesson(id, 0.5, { fixed: on('02') })

  it('share its meeting when each needs a half', () => {
    expect(days([aLesson('a', 0.5), half('t'), half('u'), aLesson('b')], onDates('1', '2', '3'))).toEqual([
      '01:1',
      '02:1',
      '02:1',
      '03:2',
    ])
  })

  it('and a third has no room there', () => {
    expect(days([half('t'), half('u'), half('v')], onDates('1', '2', '3'))).toEqual([
      '02:1',
      'before-fixed',
      '02:1',
    ])
  })

  it('stand in one stretch', () => {
    const lessons = [aLesson('a', 0.5), half('t'), half('u'), aLesson('b')]
    const got = reachesOf(courseOf({ lessons }, onDates('1', '2', '3'), AS_PLANNED, { terms: [] }))
    expect(got.map((r) => [r.lessonIds.join(), r.slackHalves])).toEqual([
      ['a', 1],
      ['t,u,b', 0],
    ])
  })
})

describe('not right after a break', () => {
  const waiting = aLesson('t', 1, { notAfterBreak: true })

  it('passes every meeting that follows a break, several in a row as well', () => {
    expect(days([aLesson('a'), waiting], onDates('1', '8*', '15*', '22'))).toEqual(['01:2', '22:2'])
  })

  it('sees where a lesson really begins: ten minutes before the break hold no half of it', () => {
    expect(days([minutes('a', 40), waiting], onDates('1', '8*', '9'))).toEqual(['01:1.6', '09:2'])
    // a lesson in minutes begins in them
    expect(
      days([minutes('a', 40), minutes('t', 20, { notAfterBreak: true })], onDates('1', '8*', '9')),
    ).toEqual(['01:1.6', '01:0.4 08:0.4'])
  })
})

describe('a short meeting', () => {
  const capacity = (short: number, usual: number, ratio: number) =>
    layOut({ lessons: [] }, [{ minutes: short, usualMinutes: usual, wholeFromRatio: ratio }]).capacities[0]

  it('is whole from exactly its share on', () => {
    expect(capacity(55, 100, 0.55)).toBe(2)
    expect(capacity(54, 100, 0.55)).toBe(1)
    expect(capacity(29, 50, 0.58)).toBe(2)
    expect(capacity(7, 100, 0.07)).toBe(2)
  })
})
