import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import { AS_PLANNED } from '#core/pacing'
import type { DeskClass } from '#shared/contracts/pacing'
import { aLesson, aPlan, at, aYear, closure, ids, onDays } from '../../../tests/support/made'
import { columnOf } from '../../stores/deskColumn'
import { sayBare, sayLost, sayStone, stoneState } from '../../words/stones'
import { deskWeeks } from './deskWeeks'
import { meetingRows } from './meetingRows'
import { acrossClasses, alongLessons, atDay } from './selection'

const year = aYear({ lastOn: isoDay('2026-09-25'), notes: [closure('2026-09-07', '2026-09-11', { name: 'Break' }), closure('2026-09-15', '2026-09-15', { name: 'Staff day' })], terms: [{ name: 'Autumn', firstOn: isoDay('2026-08-31'), lastOn: isoDay('2026-09-25') }] })
const plan = aPlan([aLesson('1', 1), aLesson('2', 1.5), aLesson('3', 1)])
const room = (id: string, days: Parameters<typeof onDays>, lost: string[] = []): DeskClass => ({ id: ids.class(id), name: `Class ${id}`, shortName: id, course: 'S', planId: plan.id, version: 1, pattern: onDays(...days), learners: 2, mayChange: true, pacing: { ...AS_PLANNED, changes: lost.map(on => ({ kind: 'cancel' as const, on: isoDay(on), startMinute: 540, why: 'Snow' })) } })
const a = columnOf(room('A', [1, 3, 5]), year, plan)
const b = columnOf(room('B', [2, 4], ['2026-09-03']), year, plan)
const lesson = (column: typeof a, id: string) => ({ kind: 'lesson' as const, classId: column.of.id, lessonId: ids.lesson(id) })

describe('weeks of the desk', () => {
  it('knows closures with their days, weeks without school, terms and the current week', () => {
    const weeks = deskWeeks(year, isoDay('2026-09-16'))
    expect(weeks.map(w => w.mondayOn)).toEqual(['2026-08-31', '2026-09-07', '2026-09-14', '2026-09-21'])
    expect(weeks.map(w => w.closedAll)).toEqual([false, true, false, false])
    expect(weeks[1]?.closures).toEqual(['Break, Mon 7 Sep to Fri 11 Sep'])
    expect(weeks[2]).toMatchObject({ closures: ['Staff day, Tue 15 Sep'], isCurrent: true, termStarts: null })
    expect(weeks[0]?.termStarts).toBe('Autumn')
  })
})

describe('moving over the desk by keys', () => {
  it('steps along the lessons of a class and stops at both ends', () => {
    expect(alongLessons(lesson(a, '1'), [a, b], 1)).toEqual(lesson(a, '2'))
    expect(alongLessons(lesson(a, '1'), [a, b], -1)).toBeNull()
    expect(alongLessons(lesson(a, '3'), [a, b], 1)).toBeNull()
  })

  it('goes to the same lesson in the next class, and nowhere beyond the last', () => {
    expect(acrossClasses(lesson(a, '2'), [a, b], 1)).toEqual(lesson(b, '2'))
    expect(acrossClasses(lesson(b, '2'), [a, b], 1)).toBeNull()
  })

  it('goes to what lies at that time where the next class has another plan', () => {
    const other = columnOf({ ...room('C', [1, 3, 5]) }, year, { ...plan, lessons: [aLesson('x', 2), aLesson('y', 2)] })
    // lesson 2 of A begins on Wed 2 Sep, when C is at x
    expect(acrossClasses(lesson(a, '2'), [a, other], 1)).toEqual(lesson(other, 'x'))
  })

  it('finds what a class is at on a day', () => {
    expect(atDay(a, isoDay('2026-09-02'))).toEqual(lesson(a, '2'))
    expect(atDay(a, isoDay('2026-12-01'))).toEqual(lesson(a, '3'))
  })
})

describe('one class, meeting by meeting', () => {
  it('cuts a stone of two meetings into both, the half one with its neighbour', () => {
    // lesson 2 takes Wed 2 and half of Fri 4 Sep, lesson 3 the other half and half of Mon 14
    const rows = meetingRows(a, isoDay('2026-08-31'))
    expect(rows.map(r => [r.on, r.stretches.map(s => (s.kind === 'stone' ? `${s.lessonId}:${s.halves}${s.starts ? '<' : ''}${s.ends ? '>' : ''}` : s.kind)).join(' ')])).toEqual([['2026-08-31', '1:2<>'], ['2026-09-02', '2:2<'], ['2026-09-04', '2:1> 3:1<']])
  })

  it('keeps a lost meeting in its place, and nothing in a week without meetings', () => {
    expect(meetingRows(b, isoDay('2026-08-31')).map(r => [r.on, r.meeting === null])).toEqual([['2026-09-01', false], ['2026-09-03', true]])
    expect(meetingRows(a, isoDay('2026-12-28'))).toEqual([])
  })
})

describe('what is said of stones', () => {
  const stretches = a.weeks.get(isoDay('2026-08-31'))?.stretches ?? []
  const stone = stretches[1]

  it('says class, day, lesson, which of its meetings, and how far it is', () => {
    if (stone?.kind !== 'stone') throw new Error('no stone')
    expect(sayStone(a, stone, at('09-01T12:00'))).toBe('Class A, Wed 2 Sep, lesson 2 Lesson 2, first to second of 2 meetings, planned')
    expect(stoneState(a, stone, at('09-02T15:00'))).toBe('under-way')
    expect(stoneState(a, stone, at('09-04T15:50'))).toBe('behind')
  })

  it('says free and lost meetings', () => {
    const lost = b.weeks.get(isoDay('2026-08-31'))?.stretches.find(s => s.kind === 'lost')
    expect(lost?.kind === 'lost' ? sayLost(b, lost.lost) : '').toBe('Class B, Thu 3 Sep 9:00 am, lost: Snow')
    const bare = a.weeks.get(isoDay('2026-09-21'))?.stretches.find(s => s.kind === 'bare')
    expect(bare?.kind === 'bare' ? sayBare(a, bare) : '').toBe('Class A, Mon 21 Sep, meeting free')
  })
})
