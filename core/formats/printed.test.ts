import ICAL from 'ical.js'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { aLesson, aPlan, aYear, at, ids, onDays } from '../../tests/support/made'
import { isoDay } from '../base'
import { meetings, zoneOf } from '../calendar'
import type { MeetingChange } from '../calendar'
import { AS_PLANNED, layOut, mergeTable, planCommand } from '../pacing'
import { printCells } from './csv'
import { classEvents, printCalendar } from './iCalendarOut'
import { parsePlanTable, printLayout, printPlanTable } from './planTable'

describe('cells on the way out', () => {
  it('run nothing in a spreadsheet, whatever stands before the sign', () => {
    const bad = ['=1+1', '\n=1+1', '\t=1+1', ' =1+1', '\r\n +1', '\u00A0@x', '-2', '\tx']
    const fine = ['a=1', '1-2', 'x\n=1', '']
    const printed = printCells([[...bad, ...fine]])
    const read = Papa.parse<string[]>(printed.slice(1).trimEnd()).data[0] ?? []
    expect(read).toEqual([...bad.map((cell) => `'${cell}`), ...fine])
  })
})

describe('plan tables', () => {
  const row = (text: string) => parsePlanTable(text).value

  it('reads pasted rows: lengths, fixed dates, an empty unit for the one above', () => {
    const got = row(
      'Unit\tNumber\tTitle\tUsual\tLeast\tFixed\nWaves\tW1\tPulses\t1.5\t\t\n\tW2\tTest\t45 ' +
        'min\t30 min\t2026-10-14\n\tW3\tLab\t\t\tby 2026-11-02',
    )
    expect(got?.bad).toEqual([])
    expect(got?.rows.map((r) => [r.unit, r.number, r.length, r.fixed])).toEqual([
      ['Waves', 'W1', { unit: 'meetings', min: 1, typical: 1.5, max: 3 }, null],
      ['Waves', 'W2', { unit: 'minutes', min: 30, typical: 45, max: 90 }, { kind: 'on', on: '2026-10-14' }],
      ['Waves', 'W3', null, { kind: 'not-after', on: '2026-11-02' }],
    ])
    expect(
      row('Number,Fixed\na,2026-10-01 to 2026-10-09\nb,from 2026-10-01\nc,none')?.rows.map((r) => r.fixed),
    ).toEqual([
      { kind: 'within', fromOn: '2026-10-01', throughOn: '2026-10-09' },
      { kind: 'not-before', on: '2026-10-01' },
      'none',
    ])
  })

  it('reads what an office calls its columns, or somebody says; sums and titles are named', () => {
    const german =
      'Jahresplan\n\nThema;Nr.;Titel;Dauer;Termin\nWellen;W1;Pulse;1,5;\n;W2;Echo;2;2026-10-14\nSumme;;;3,5;\n'
    const got = row(german)
    expect(got?.rows.map((r) => [r.unit, r.number, r.title, r.length?.typical, r.fixed])).toEqual([
      ['Wellen', 'W1', 'Pulse', 1.5, null],
      ['Wellen', 'W2', 'Echo', 2, { kind: 'on', on: '2026-10-14' }],
    ])
    expect(got?.table.left.map((l) => [l.line, l.why])).toEqual([
      [1, 'above-headings'],
      [6, 'total'],
    ])
    const odd = 'A,B,C\nPulses,W1,2\nEchoes,W2,1'
    const said = parsePlanTable(odd, { headed: 1, title: 0, number: 1, usual: 2 }).value
    expect(said?.rows.map((r) => [r.number, r.title, r.length?.typical])).toEqual([
      ['W1', 'Pulses', 2],
      ['W2', 'Echoes', 1],
    ])
  })

  it('lists bad rows with line and fault', () => {
    const got = row(
      'Number,Title,Kind,Weight,Usual,Fixed\n,No number,,,,\na,A,dance,,,\nb,B,,heavy,,\nc,C,,,0.7,\nd,D,,,,31 ' +
        'Feb\nd2,D,,,,2026-02-31\na2,A,lesson,core,1,\nA2,A,,,,',
    )
    expect(got?.bad.map((b) => [b.line, b.fault])).toEqual([
      [2, 'no-number'],
      [3, 'bad-kind'],
      [4, 'bad-weight'],
      [5, 'bad-length'],
      [6, 'bad-fixed'],
      [7, 'bad-fixed'],
      [9, 'number-twice'],
    ])
    expect(got?.rows.map((r) => r.number)).toEqual(['a2'])
    expect(row('Number,Least,Usual\na,3,2')?.bad[0]?.fault).toBe('bad-length')
  })

  it('takes back what it printed, and a merge of it changes nothing', () => {
    const plan = aPlan([
      aLesson('a', 1.5, { fixed: { kind: 'on', on: isoDay('2026-10-14') }, notAfterBreak: true }),
      aLesson('b', 2, { title: '=1+1, "quoted"', length: { unit: 'minutes', min: 5, typical: 45, max: 90 } }),
    ])
    const got = row(printPlanTable(plan).replace("'=1+1", '=1+1'))
    expect(got?.bad).toEqual([])
    expect(mergeTable(plan, got?.rows ?? [], () => 'new')).toMatchObject({
      plan,
      changed: [],
      added: [],
      absent: [],
    })
    expect(printPlanTable(plan)).toContain("'=1+1")
  })

  it('merges by number: changes, adds behind the row before, keeps what is not named', () => {
    const plan = aPlan([aLesson('a'), aLesson('b'), aLesson('c')])
    const got = mergeTable(plan, row('Number,Title\na,\nn,New one\nb,Renamed')?.rows ?? [], () => 'new')
    expect(got).toMatchObject({ changed: ['b'], added: ['n'], absent: ['c'] })
    expect(got.plan.lessons.map((l) => [l.number, l.title])).toEqual([
      ['a', 'Lesson a'],
      ['n', 'New one'],
      ['b', 'Renamed'],
      ['c', 'Lesson c'],
    ])
    expect(planCommand(plan, got.plan)).toMatchObject({
      lessons: [{ lessonId: 'b' }, { lessonId: 'new', from: null }],
      units: null,
      parts: null,
    })
    expect(planCommand(plan, plan)).toBeNull()
  })

  it('takes the order of a table that names every lesson', () => {
    const plan = aPlan([aLesson('a'), aLesson('b')])
    expect(
      mergeTable(plan, row('Number\nb\na')?.rows ?? [], () => 'new').plan.lessons.map((l) => l.number),
    ).toEqual(['b', 'a'])
  })
})

describe('printCalendar', () => {
  const classId = ids.class('c8')
  const year = aYear({ lastOn: isoDay('2026-09-04') })
  const plan = aPlan([aLesson('a'), aLesson('b')])
  const zone = zoneOf('America/Denver')
  const source = (changes: readonly MeetingChange[] = []) => {
    const calendar = meetings(year, classId, onDays(1, 3, 5), changes, zone)
    return {
      classId,
      className: 'Science 8 A',
      zone,
      calendar,
      layout: layOut(plan, calendar.meetings),
      sequence: plan.lessons,
      work: [
        {
          id: ids.work('w1'),
          title: 'Check',
          held: false,
          opensAt: at('09-02T15:00'),
          dueAt: at('09-05T06:00'),
        },
      ],
    }
  }
  const read = (text: string) =>
    new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((v) => {
      const e = new ICAL.Event(v)
      return `${e.uid} ${e.summary} ${e.startDate.toString()} ${v.getFirstPropertyValue('status')}`
    })

  it('has every meeting with its lessons, and work that opens and falls due', () => {
    expect(read(printCalendar('Science 8 A', classEvents(source()), at('08-31T12:00'), 1))).toEqual([
      'm-c8-2026-08-31-540@step-cairn Science 8 A: a Lesson a 2026-08-31T15:00:00Z CONFIRMED',
      'm-c8-2026-09-02-540@step-cairn Science 8 A: b Lesson b 2026-09-02T15:00:00Z CONFIRMED',
      'm-c8-2026-09-04-540@step-cairn Science 8 A: free 2026-09-04T15:00:00Z CONFIRMED',
      'w-w1-c8-opens@step-cairn Science 8 A: Check opens 2026-09-02T15:00:00Z CONFIRMED',
      'w-w1-c8-due@step-cairn Science 8 A: Check due 2026-09-05T05:55:00Z CONFIRMED',
    ])
  })

  it('keeps the name of every meeting when the plan moves, and calls off a lost one under its own', () => {
    const got = read(
      printCalendar(
        'Science 8 A',
        classEvents(
          source([{ kind: 'cancel', on: isoDay('2026-09-02'), startMinute: 540, why: 'Snow day' }]),
        ),
        at('08-31T12:00'),
        2,
      ),
    )
    expect(got).toContain(
      'm-c8-2026-09-02-540@step-cairn Science 8 A: no class 2026-09-02T15:00:00Z CANCELLED',
    )
    expect(got).toContain(
      'm-c8-2026-09-04-540@step-cairn Science 8 A: b Lesson b 2026-09-04T15:00:00Z CONFIRMED',
    )
    expect(got).toHaveLength(5)
  })

  it('folds long lines and escapes what has a meaning', () => {
    const text = printCalendar(
      'X',
      [
        {
          uid: 'u',
          title: `Sound, light; and ${'waves '.repeat(20)}`,
          startsAt: at('09-02T15:00'),
          endsAt: at('09-02T16:00'),
          about: 'a\nb',
          cancelled: false,
        },
      ],
      at('08-31T12:00'),
      1,
    )
    expect(text).toContain('Sound\\, light\\; and')
    expect(text.split('\r\n').every((l) => l.length <= 76)).toBe(true)
  })
})

describe('printLayout', () => {
  it('gives a row per lesson with its dates and what became of it', () => {
    const calendar = meetings(aYear({ lastOn: isoDay('2026-09-04') }), ids.class('c'), onDays(1, 3, 5), [])
    const plan = aPlan([aLesson('a'), aLesson('b', 1.5), aLesson('x'), aLesson('c', 5)])
    const layout = layOut(plan, calendar.meetings, {
      pacing: { ...AS_PLANNED, left: { [ids.lesson('x')]: 'let-go' } },
    })
    expect(
      printLayout({
        sequence: plan.lessons,
        units: plan.units,
        layout,
        meetings: calendar.meetings,
        covered: new Set(['a']),
      })
        .split('\r\n')
        .slice(1, 5),
    ).toEqual([
      'Unit,a,Lesson a,lesson,2026-08-31,2026-08-31,1,covered',
      'Unit,b,Lesson b,lesson,2026-09-02,2026-09-04,1.5,planned',
      'Unit,x,Lesson x,lesson,,,,left out',
      'Unit,c,Lesson c,lesson,,,,does not fit',
    ])
  })
})
