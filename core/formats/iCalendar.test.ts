import { describe, expect, it, vi } from 'vitest'
import { isoDay } from '../base'
import { parseClosures } from './iCalendar'

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

  it('makes one formatter a zone, however many events there are in it', () => {
    const formatters = vi.spyOn(Intl, 'DateTimeFormat')
    const event = (i: number, zone: string) => {
      const on = `2026${String(9 + (i % 3)).padStart(2, '0')}${String(1 + (i % 28)).padStart(2, '0')}`
      return `SUMMARY:E${i}\nDTSTART;TZID=${zone}:${on}T090000\nDTEND;TZID=${zone}:${on}T100000`
    }
    const timed = Array.from({ length: 1500 }, (_, i) => event(i, i % 2 ? 'Europe/Vienna' : 'Asia/Tokyo'))
    const read = parseClosures(calendar('SUMMARY:Staff day\nDTSTART;VALUE=DATE:20260907', ...timed), year)
    expect([read.value?.closures.length, read.value?.skipped.length]).toEqual([1, 1500])
    // the school's, and for each of the two one to know it by and one to reckon with
    expect(formatters.mock.calls.length).toBeLessThanOrEqual(5)
    formatters.mockRestore()
  })

  it('names tasks, which close nothing', () => {
    const text = calendar('SUMMARY:Staff day\nDTSTART;VALUE=DATE:20260907').replace(
      'END:VCALENDAR',
      'BEGIN:VTODO\r\nUID:t\r\nSUMMARY:Order paper\r\nDUE:20260910T120000Z\r\nEND:VTODO\r\nEND:VCALENDAR',
    )
    expect(parseClosures(text, year).value?.skipped).toEqual([{ name: 'Order paper', because: 'task' }])
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
      skipped: [{ name: 'Concert', because: 'not-all-day' }],
    })
    expect(parseClosures(`BEGIN:VCALENDAR${'\nX-PAD:x'.repeat(700_000)}`, year).error?.code).toBe(
      'formats/too-large',
    )
  })

  it('keeps exceptions and cancelled occurrences with the series of their own UID', () => {
    const weekly = 'DTSTART;VALUE=DATE:20261005\nRRULE:FREQ=WEEKLY;COUNT=2'
    const text = calendar(
      `SUMMARY:A\n${weekly}`,
      `SUMMARY:B\n${weekly}`,
      'SUMMARY:B off\nSTATUS:CANCELLED\nRECURRENCE-ID;VALUE=DATE:20261012\nDTSTART;VALUE=DATE:20261012',
    ).replace('UID:2', 'UID:1')
    expect(spans(text)).toEqual([
      'A 2026-10-05 2026-10-05',
      'B 2026-10-05 2026-10-05',
      'A 2026-10-12 2026-10-12',
    ])
  })

  it('names an occurrence that was moved to a clock time', () => {
    const text = calendar(
      'SUMMARY:Day\nDTSTART;VALUE=DATE:20261005\nRRULE:FREQ=WEEKLY;COUNT=2',
      'SUMMARY:Morning only\nRECURRENCE-ID;VALUE=DATE:20261012\nDTSTART:20261012T150000Z\nDTEND:20261012T180000Z',
    ).replace('UID:1', 'UID:0')
    const got = parseClosures(text, year).value
    expect(got?.closures.map((c) => c.fromOn)).toEqual(['2026-10-05'])
    expect(got?.skipped).toEqual([{ name: 'Morning only', because: 'not-all-day' }])
  })

  it('keeps the start beside single dates, unless it is taken out', () => {
    const dates = 'SUMMARY:Staff\nDTSTART;VALUE=DATE:20261005\nRDATE;VALUE=DATE:20261012,20261021'
    const days = ['2026-10-05', '2026-10-12', '2026-10-21']
    expect(spans(calendar(dates))).toEqual(days.map((d) => `Staff ${d} ${d}`))
    expect(spans(calendar(`${dates}\nEXDATE;VALUE=DATE:20261005`))?.length).toBe(2)
    // named among the single dates, too, it is there once
    expect(spans(calendar(dates.replace('RDATE;VALUE=DATE:', 'RDATE;VALUE=DATE:20261005,')))?.length).toBe(3)
    expect(spans(calendar(`${dates}\nRRULE:FREQ=WEEKLY;COUNT=2`))?.length).toBe(3)
  })

  it('reads several calendars in one file, and one that begins with a byte order mark', () => {
    const one = calendar('SUMMARY:One\nDTSTART;VALUE=DATE:20261005')
    const two = calendar('SUMMARY:Two\nDTSTART;VALUE=DATE:20261006')
    expect(spans(`${one}\r\n${two}`)).toEqual(['One 2026-10-05 2026-10-05', 'Two 2026-10-06 2026-10-06'])
    expect(spans(`\uFEFF${one}`)).toEqual(['One 2026-10-05 2026-10-05'])
  })

  it('names what has a date that is none, and bends nothing', () => {
    const got = parseClosures(
      calendar(
        'SUMMARY:Clock as date\nDTSTART;VALUE=DATE:20261012T090000',
        'SUMMARY:31 November\nDTSTART;VALUE=DATE:20261131',
        'SUMMARY:Hour 25\nDTSTART:20261012T250000Z\nDTEND:20261013T060000Z',
        'SUMMARY:Bad end\nDTSTART;VALUE=DATE:20261012\nDTEND;VALUE=DATE:20261032',
        'SUMMARY:Short\nDTSTART;VALUE=DATE:2026101',
        'SUMMARY:Good\nDTSTART;VALUE=DATE:20261014\nBEGIN:VALARM\nTRIGGER;VALUE=DATE-TIME:junk\nEND:VALARM',
      ),
      year,
    ).value
    expect(got?.closures).toEqual([{ name: 'Good', fromOn: '2026-10-14', throughOn: '2026-10-14' }])
    expect(got?.skipped).toEqual(
      ['Clock as date', '31 November', 'Hour 25', 'Bad end', 'Short'].map((name) => ({
        name,
        because: 'bad-date',
      })),
    )
  })

  it('reads a series that began years ago, and ends with the year', () => {
    // Mondays since 2018
    const mondays = spans(calendar('SUMMARY:Late start\nDTSTART;VALUE=DATE:20180108\nRRULE:FREQ=WEEKLY'))
    expect(mondays?.length).toBe(42)
    expect([mondays?.[0], mondays?.at(-1)]).toEqual([
      'Late start 2026-08-24 2026-08-24',
      'Late start 2027-06-07 2027-06-07',
    ])
    const daily = calendar('SUMMARY:Daily\nDTSTART;VALUE=DATE:19950101\nRRULE:FREQ=DAILY')
    expect(spans(daily)?.length).toBe(292)
    // every second week since Mon 8 Jan 2018, but for one day taken out
    const second = 'SUMMARY:Second\nDTSTART;VALUE=DATE:20180108\nRRULE:FREQ=WEEKLY;INTERVAL=2'
    expect(spans(calendar(`${second}\nEXDATE;VALUE=DATE:20260907`))?.slice(0, 2)).toEqual([
      'Second 2026-08-24 2026-08-24',
      'Second 2026-09-21 2026-09-21',
    ])
    const counted = 'SUMMARY:Counted\nDTSTART;VALUE=DATE:20260105\nRRULE:FREQ=WEEKLY;COUNT=35'
    expect(spans(calendar(counted))).toEqual([
      'Counted 2026-08-24 2026-08-24',
      'Counted 2026-08-31 2026-08-31',
    ])
    const hourly = calendar('SUMMARY:Bell\nDTSTART:20261005T060000Z\nRRULE:FREQ=HOURLY')
    expect(parseClosures(hourly, year).error).toMatchObject({
      skipped: [{ name: 'Bell', because: 'repeats-too-often' }],
    })
  })

  it('keeps the days of a series in UTC when the clocks change', () => {
    // midnight in Denver is 06:00 UTC until 1 Nov and 07:00 after it; the series says 06:00 throughout
    const text = calendar(
      'SUMMARY:Friday\nDTSTART:20261023T060000Z\nDTEND:20261024T060000Z\nRRULE:FREQ=WEEKLY;COUNT=4',
    )
    expect(spans(text)).toEqual(
      ['2026-10-23', '2026-10-30', '2026-11-06', '2026-11-13'].map((d) => `Friday ${d} ${d}`),
    )
  })
})
