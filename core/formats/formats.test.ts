import { describe, expect, it } from 'vitest'
import { isoDay } from '../base'
import { parseCells } from './csv'
import { parseClosures } from './iCalendar'
import { parseOutline } from './outline'
import { parseRoster } from './roster'

describe('parseCells', () => {
  it('reads commas, semicolons, tabs and bars alike', () => {
    for (const mark of [',', ';', '\t', '|'])
      expect(parseCells(`a${mark}b\nc${mark}d`).value?.map((r) => r.cells)).toEqual([
        ['a', 'b'],
        ['c', 'd'],
      ])
  })

  it('reads RFC 4180 quotes, line breaks within them, and counts lines of the file', () => {
    expect(parseCells('"Reyes, Ana",x\r\n\r\n"two\nlines",y\r\nz,"say ""hi"""').value).toEqual([
      { line: 1, cells: ['Reyes, Ana', 'x'] },
      { line: 3, cells: ['two\nlines', 'y'] },
      { line: 5, cells: ['z', 'say "hi"'] },
    ])
  })

  it('drops a byte order mark and blank lines', () => {
    expect(parseCells('\uFEFFa,b\n\n , \nc,d').value?.map((r) => r.line)).toEqual([1, 4])
  })

  it('refuses nothing, binary files, open quotes and 5,001 rows', () => {
    expect(parseCells('  \n').error?.code).toBe('formats/empty')
    expect(parseCells('PK\u0003\u0000x').error?.code).toBe('formats/not-text')
    expect(parseCells('a,b\n"open,c').error).toMatchObject({ code: 'formats/broken-quotes', line: 2 })
    expect(parseCells('x\n'.repeat(5001)).error).toMatchObject({ code: 'formats/too-many-rows', count: 5001 })
  })
})

describe('parseRoster', () => {
  it('reads plain names, one a line', () => {
    expect(parseRoster('Noa Castellanos\nEmeka Brandt').value?.entries.map((e) => e.name)).toEqual([
      'Noa Castellanos',
      'Emeka Brandt',
    ])
  })

  it('reads headed columns in any order, given and family names, groups', () => {
    const got = parseRoster('Family name,First name,Username,Groups\nBrandt,Emeka,EMEKA,Window;Lab leads')
    expect(got.value?.entries).toEqual([
      { line: 2, name: 'Emeka Brandt', signIn: 'emeka', groups: ['Window', 'Lab leads'] },
    ])
  })

  it('lists every bad row with its line and fault, and keeps the good ones', () => {
    const got = parseRoster(
      [
        'name,sign-in',
        'Ada Lark,ada',
        ',bob',
        'ada lark,ada2',
        'Cy Moor,c y',
        'Di Nell,ada',
        'Eve Ost,eve',
        'x'.repeat(81),
      ].join('\n'),
    )
    expect(got.value?.entries.map((e) => e.name)).toEqual(['Ada Lark', 'Eve Ost'])
    expect(got.value?.bad.map((b) => [b.line, b.fault])).toEqual([
      [3, 'no-name'],
      [4, 'same-twice'],
      [5, 'bad-sign-in'],
      [6, 'sign-in-twice'],
      [8, 'name-too-long'],
    ])
  })
})

describe('parseOutline', () => {
  it('repeats the unit above, takes one meeting where none is given, and halves', () => {
    const got = parseOutline('Unit,Lesson,Meetings\nWaves,Pulses,1.5\n,Speed,\nSound,Pitch,2')
    expect(got.value?.lessons.map((l) => [l.unit, l.title, l.meetings])).toEqual([
      ['Waves', 'Pulses', 1.5],
      ['Waves', 'Speed', 1],
      ['Sound', 'Pitch', 2],
    ])
  })

  it('lists rows without unit, without lesson, and with lengths that are none', () => {
    const got = parseOutline(
      ',Lost,1\nWaves,,1\nWaves,A,0.7\nWaves,B,41\nWaves,C,soon\nWaves,D,45 min\nWaves,E,2',
    )
    expect(got.value?.lessons.map((l) => l.title)).toEqual(['E'])
    expect(got.value?.bad.map((b) => [b.line, b.fault])).toEqual([
      [1, 'no-unit'],
      [2, 'no-lesson'],
      [3, 'not-meetings'],
      [4, 'not-meetings'],
      [5, 'not-meetings'],
      [6, 'minutes-not-meetings'],
    ])
  })
})

describe('parseClosures', () => {
  const year = { firstOn: isoDay('2026-08-24'), lastOn: isoDay('2027-06-11'), zone: 'America/Denver' }
  const calendar = (...events: string[]) =>
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//x//y//EN',
      ...events.map((e, i) => `BEGIN:VEVENT\nUID:${i}\nDTSTAMP:20260801T000000Z\n${e}\nEND:VEVENT`),
      'END:VCALENDAR',
    ]
      .join('\n')
      .replace(/\n/g, '\r\n')
  const spans = (text: string) =>
    parseClosures(text, year).value?.closures.map((c) => `${c.name} ${c.fromOn} ${c.throughOn}`)

  it('reads whole days; the end is the day after', () => {
    expect(
      spans(
        calendar(
          'SUMMARY:Harvest break\nDTSTART;VALUE=DATE:20261125\nDTEND;VALUE=DATE:20261128',
          'SUMMARY:Staff day\nDTSTART;VALUE=DATE:20260907',
        ),
      ),
    ).toEqual(['Staff day 2026-09-07 2026-09-07', 'Harvest break 2026-11-25 2026-11-27'])
  })

  it('unfolds what repeats, within the year', () => {
    expect(
      spans(calendar('SUMMARY:Meeting day\nDTSTART;VALUE=DATE:20270405\nRRULE:FREQ=MONTHLY;COUNT=12')),
    ).toEqual([
      'Meeting day 2027-04-05 2027-04-05',
      'Meeting day 2027-05-05 2027-05-05',
      'Meeting day 2027-06-05 2027-06-05',
    ])
  })

  it('cuts a closure that sticks out of the year', () => {
    expect(spans(calendar('SUMMARY:Summer\nDTSTART;VALUE=DATE:20270601\nDTEND;VALUE=DATE:20270901'))).toEqual(
      ['Summer 2027-06-01 2027-06-11'],
    )
  })

  it(
    'takes events with clock times that run from midnight to midnight of the ' +
      'school, in whatever zone they are written',
    () => {
      // 06:00 UTC is midnight in Denver in summer; 02:00 in New York is midnight in Denver
      expect(
        spans(
          calendar(
            'SUMMARY:A\nDTSTART:20261012T060000Z\nDTEND:20261014T060000Z',
            'SUMMARY:B\nDTSTART;TZID=America/New_York:20261019T020000\nDTEND;TZID=America/New_York:20261020T020000',
            'SUMMARY:C\nDTSTART:20261026T000000\nDTEND:20261027T000000',
          ),
        ),
      ).toEqual(['A 2026-10-12 2026-10-13', 'B 2026-10-19 2026-10-19', 'C 2026-10-26 2026-10-26'])
      // over the end of summer time on 1 Nov: midnight is 06:00 UTC before and 07:00 UTC after
      expect(spans(calendar('SUMMARY:D\nDTSTART:20261031T060000Z\nDTEND:20261103T070000Z'))).toEqual([
        'D 2026-10-31 2026-11-02',
      ])
      expect(
        parseClosures(
          calendar(
            'SUMMARY:E\nDTSTART;TZID=Nowhere/Land:20261019T000000\nDTEND;TZID=Nowhere/Land:20261020T000000',
            'SUMMARY:F\nDTSTART;VALUE=DATE:20260907',
          ),
          year,
        ).value?.skipped,
      ).toEqual([{ name: 'E', because: 'unknown-zone' }])
    },
  )

  it('obeys exceptions of a series: days taken out, moved and called off', () => {
    const series =
      'SUMMARY:Staff morning\nDTSTART;VALUE=DATE:20261005\nRRULE:FREQ=WEEKLY;COUNT=4\nEXDATE;VALUE=DATE:20261012'
    const text = calendar(
      series,
      'SUMMARY:Moved\nRECURRENCE-ID;VALUE=DATE:20261019\nDTSTART;VALUE=DATE:20261021',
      'SUMMARY:Off\nSTATUS:CANCELLED\nRECURRENCE-ID;VALUE=DATE:20261026\nDTSTART;VALUE=DATE:20261026',
    ).replace(/UID:\d/g, 'UID:same')
    expect(spans(text)).toEqual(['Staff morning 2026-10-05 2026-10-05', 'Moved 2026-10-21 2026-10-21'])
  })

  it('says what it left out and why', () => {
    const got = parseClosures(
      calendar(
        'SUMMARY:Concert\nDTSTART:20261010T180000Z\nDTEND:20261010T200000Z',
        'SUMMARY:Long ago\nDTSTART;VALUE=DATE:20250101',
        'SUMMARY:Off\nSTATUS:CANCELLED\nDTSTART;VALUE=DATE:20261010',
        'SUMMARY:Staff day\nDTSTART;VALUE=DATE:20260907',
      ),
      year,
    )
    expect(got.value?.skipped).toEqual([
      { name: 'Concert', because: 'not-all-day' },
      { name: 'Long ago', because: 'outside-year' },
      { name: 'Off', because: 'cancelled' },
    ])
  })

  it('refuses what is no calendar, holds no whole day, is broken or too large', () => {
    expect(parseClosures('name,sign-in\nA,b', year).error?.code).toBe('formats/not-a-calendar')
    expect(parseClosures('BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART', year).error?.code).toMatch(
      /not-a-calendar|no-closures/,
    )
    expect(parseClosures(calendar('SUMMARY:Concert\nDTSTART:20261010T180000Z'), year).error).toMatchObject({
      code: 'formats/no-closures',
      events: 1,
    })
    expect(parseClosures(`BEGIN:VCALENDAR${'\nX-PAD:x'.repeat(700_000)}`, year).error?.code).toBe(
      'formats/too-large',
    )
  })
})
