import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import type { YearId } from '#core/base'
import type { SchoolYear } from '#core/calendar'
import { dayFrom, picturedWeeks } from './yearPicture'

/** Begins on a Wednesday and ends on a Tuesday. */
const year: SchoolYear = {
  id: 'year' as YearId,
  name: '2026/27',
  zone: 'America/Denver',
  firstOn: isoDay('2026-08-26'),
  lastOn: isoDay('2026-09-15'),
  weekdays: [1, 2, 3, 4, 5],
  terms: [{ name: 'Autumn term', firstOn: isoDay('2026-08-26'), lastOn: isoDay('2026-09-15') }],
  notes: [
    {
      id: 'n1',
      kind: 'closure',
      name: 'Labor Day',
      fromOn: isoDay('2026-09-07'),
      throughOn: isoDay('2026-09-07'),
      classIds: [],
    },
  ],
  rotation: null,
  wholeFromRatio: 0.5,
} as unknown as SchoolYear

describe('picturedWeeks', () => {
  const weeks = picturedWeeks(year)

  it('has a row a week and a place for each school day', () => {
    expect(weeks.map((w) => w.mondayOn)).toEqual(['2026-08-24', '2026-08-31', '2026-09-07', '2026-09-14'])
    expect(weeks.every((w) => w.days.length === 5)).toBe(true)
  })

  it('leaves what lies before the first day and after the last free', () => {
    expect(weeks[0]?.days.map((d) => d?.on ?? null)).toEqual([
      null,
      null,
      '2026-08-26',
      '2026-08-27',
      '2026-08-28',
    ])
    expect(weeks[3]?.days.slice(2)).toEqual([null, null, null])
  })

  it('says what closes a day and which term begins', () => {
    expect(weeks[2]?.days[0]?.closedBy).toBe('Labor Day')
    expect(weeks[0]?.days[2]?.termStarts).toBe('Autumn term')
  })
})

describe('dayFrom', () => {
  const weeks = picturedWeeks(year)

  it.each([
    ['2026-08-28', 1, '2026-08-31'],
    ['2026-08-31', -1, '2026-08-28'],
    ['2026-08-31', -7, '2026-08-26'],
    ['2026-09-15', 7, '2026-09-15'],
    ['2026-08-26', -1, '2026-08-26'],
    ['2026-08-26', 7, '2026-09-02'],
  ])('from %s by %i leads to %s', (from, by, to) => {
    expect(dayFrom(weeks, isoDay(from), by)).toBe(to)
  })
})
