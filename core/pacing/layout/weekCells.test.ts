import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '../../base'
import type { ClassId, LessonId, UnitId, YearId } from '../../base'
import { meetings } from '../../calendar'
import type { SchoolYear } from '../../calendar'
import type { PlanLesson } from '../plan'
import { layOut } from './layOut'
import { weekCells } from './weekCells'

const classId = asId<ClassId>('c')
const year: SchoolYear = {
  id: asId<YearId>('y'),
  name: '',
  zone: 'America/Denver',
  firstOn: isoDay('2026-08-31'),
  lastOn: isoDay('2026-09-13'),
  weekdays: [1, 2, 3, 4, 5],
  terms: [],
  rotation: null,
  notes: [
    {
      id: 'n',
      kind: 'closure',
      name: 'Labor Day',
      fromOn: isoDay('2026-09-07'),
      throughOn: isoDay('2026-09-07'),
      classIds: [],
    },
  ],
}
// Mon, Tue, Thu at 9:00
const pattern = ([1, 2, 4] as const).map((weekday) => ({ day: { weekday }, startMinute: 540, minutes: 50 }))
const lesson = (id: string, typical: number): PlanLesson => ({
  id: asId<LessonId>(id),
  unitId: asId<UnitId>('u'),
  number: id,
  title: id,
  kind: 'lesson',
  weight: 'core',
  fixed: null,
  notAfterBreak: false,
  bookLessonId: null,
  length: { unit: 'meetings', min: 0.5, typical, max: 5 },
})

describe('weekCells', () => {
  const calendar = meetings(year, classId, pattern, [])

  it('joins a lesson over neighbouring meetings and parts it at the week', () => {
    // Mon 31 Aug + Tue 1 Sep + half of Thu 3 Sep, then b on the other half and the half of Tue 8 Sep
    const cells = weekCells(
      calendar,
      layOut({ lessons: [lesson('a', 2.5), lesson('b', 1)] }, calendar.meetings),
    )
    const first = cells.get(isoDay('2026-08-31'))
    expect(first?.stretches).toEqual([
      { kind: 'stone', lessonId: 'a', halves: 5, meetings: [0, 1, 2], starts: true, ends: true },
      { kind: 'stone', lessonId: 'b', halves: 1, meetings: [2], starts: true, ends: false },
    ])
    const second = cells.get(isoDay('2026-09-07'))
    expect(second?.stretches.map((s) => s.kind)).toEqual(['lost', 'stone', 'bare', 'bare'])
    expect(second?.stretches[1]).toMatchObject({ lessonId: 'b', halves: 1, starts: false, ends: true })
    expect(second?.halves).toBe(2 + 2 + 2)
  })

  it('parts a stone where a meeting between was lost', () => {
    const lost = meetings(year, classId, pattern, [
      { kind: 'cancel', on: isoDay('2026-09-01'), startMinute: 540, why: 'assembly' },
    ])
    const cells = weekCells(lost, layOut({ lessons: [lesson('a', 2)] }, lost.meetings))
    expect(cells.get(isoDay('2026-08-31'))?.stretches.map((s) => `${s.kind} ${s.halves}`)).toEqual([
      'stone 2',
      'lost 2',
      'stone 2',
    ])
  })

  it('leaves all ground bare without a layout', () => {
    expect(
      weekCells(calendar, null)
        .get(isoDay('2026-08-31'))
        ?.stretches.map((s) => `${s.kind} ${s.halves}`),
    ).toEqual(['bare 2', 'bare 2', 'bare 2'])
  })
})
