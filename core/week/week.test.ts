import { describe, expect, it } from 'vitest'
import { at, ids } from '../../tests/support/made'
import { asId, isoDay } from '../base'
import type { AssignmentId, ClassId, Instant } from '../base'
import { NO_WINDOW } from '../availability'
import { zoneOf } from '../calendar'
import { sumsOf, weekOf, weekToPrepare } from './index'
import type { WeekClass, WeekLesson, WeekWork } from './index'

const zone = zoneOf('America/Denver')
const around = { dayOf: (moment: Instant) => zone.local(moment).on, now: at('09-01T12:00') }
const MONDAY = isoDay('2026-09-07')
const lesson = (id: string, first: number, last: number, part: Partial<WeekLesson> = {}): WeekLesson => ({
  id: ids.lesson(id),
  number: id,
  title: id,
  kind: 'lesson',
  first,
  last,
  ...part,
})
const work = (id: string, lessonId: string, part: Partial<WeekWork> = {}): WeekWork => ({
  assignmentId: asId<AssignmentId>(id),
  title: id,
  isHeld: false,
  window: null,
  lessonIds: [ids.lesson(lessonId)],
  kinds: ['check'],
  ...part,
})
const meeting = (index: number, on: string) => ({
  index,
  on: isoDay(on),
  startsAt: at('09-07T15:00'),
  minutes: 50,
  label: null,
})
const room = (part: Partial<WeekClass>): WeekClass => ({
  classId: asId<ClassId>('7e'),
  meetings: [meeting(3, '2026-09-07'), meeting(4, '2026-09-09')],
  lost: [],
  lessons: [],
  works: [],
  ...part,
})
const missingIn = (of: WeekClass) =>
  weekOf(of, MONDAY, around).flatMap((d) =>
    d.meetings.flatMap((m) =>
      m.lessons.flatMap((l) => l.missing.map((x) => `${d.on.slice(8)} ${l.id} ${x.code}`)),
    ),
  )

describe('a week of a class', () => {
  it('has seven days, each with its meetings and the lessons that lie on them', () => {
    const of = room({ lessons: [lesson('a', 2, 3), lesson('b', 4, 5)], works: [work('w', 'b')] })
    const days = weekOf(of, MONDAY, around)
    expect(days.map((d) => d.on)).toHaveLength(7)
    expect(days[0]?.meetings[0]?.lessons).toMatchObject([{ number: 'a', nth: 2, of: 2, missing: [] }])
    expect(days[2]?.meetings[0]?.lessons).toMatchObject([{ number: 'b', nth: 1, of: 2 }])
  })

  it('says at a lesson’s first meeting what it lacks', () => {
    const lessons = [
      lesson('a', 3, 4),
      lesson('b', 4, 4, { kind: 'test' }),
      lesson('c', 4, 4, { kind: 'buffer' }),
    ]
    expect(missingIn(room({ lessons }))).toEqual(['07 a no-work', '09 b no-test'])
    const later = weekOf(room({ lessons }), MONDAY, { ...around, now: at('09-07T16:00') })
    expect(sumsOf([later]).notReady).toBe(0)
    const works = [work('w', 'a', { kinds: ['page'] }), work('t', 'b', { isHeld: true })]
    expect(missingIn(room({ lessons, works }))).toEqual(['07 a to-print', '09 b held'])
  })

  it('lists what opens, is due and closes on its day; the end of a day belongs to it', () => {
    const window = {
      ...NO_WINDOW,
      opens: at('09-07T15:00'),
      // 00:00 local on the 10th: through the 9th
      due: at('09-10T06:00'),
      closes: at('09-10T06:00'),
    }
    const late = { ...window, closes: at('09-12T06:00') }
    const days = weekOf(
      room({ works: [work('w', 'a', { window }), work('l', 'a', { window: late })] }),
      MONDAY,
      around,
    )
    const said = days.flatMap((d) => d.moments.map((m) => `${d.on.slice(8)} ${m.what} ${m.title}`))
    expect(said).toEqual(['07 opens w', '07 opens l', '09 due w', '09 due l', '11 closes l'])
  })

  it('is counted over all classes', () => {
    const ready = room({ lessons: [lesson('a', 3, 4)], works: [work('w', 'a')] })
    const bare = room({ lessons: [lesson('a', 3, 4)] })
    expect(sumsOf([ready, bare].map((of) => weekOf(of, MONDAY, around)))).toEqual({
      meetings: 4,
      ready: 3,
      notReady: 1,
      opens: 0,
      due: 0,
    })
  })
})

describe('the week that has to be ready', () => {
  it.each([
    ['2026-09-07', 0, '2026-09-07'],
    ['2026-09-11', 15 * 60 + 59, '2026-09-07'],
    ['2026-09-11', 16 * 60, '2026-09-14'],
    ['2026-09-13', 20 * 60, '2026-09-14'],
  ])('on %s at minute %i begins on %s', (on, minuteOfDay, monday) => {
    expect(weekToPrepare({ on: isoDay(on), minuteOfDay })).toBe(monday)
  })
})
