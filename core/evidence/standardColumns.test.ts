import { describe, expect, it } from 'vitest'
import { at } from '../../tests/support/made'
import { isForgotten, standardColumns } from './standardColumns'
import type { ServedByLesson } from './standardColumns'

const now = at('10-21T20:30')
const lesson = (code: string, number: string, over: Partial<ServedByLesson> = {}): ServedByLesson => ({
  code,
  unit: 'Waves',
  number,
  how: 'taught',
  overAt: null,
  ...over,
})

describe('columns of a standards map', () => {
  it('come in the order of the plan, what is only asked for behind them', () => {
    const columns = standardColumns(
      [lesson('B', '1.1'), lesson('A', '1.2'), lesson('B', '2.1', { unit: 'Light' })],
      new Set(['D', 'A', 'C']),
      now,
    )
    expect(columns.map((c) => [c.code, c.unit, c.lessons])).toEqual([
      ['B', 'Waves', ['1.1', '2.1']],
      ['A', 'Waves', ['1.2']],
      ['C', null, []],
      ['D', null, []],
    ])
  })

  it('say when it was taught last and when it comes next; a check teaches nothing', () => {
    const [column] = standardColumns(
      [
        lesson('A', '1.1', { overAt: at('09-10T15:00') }),
        lesson('A', '1.2', { overAt: at('10-02T15:00') }),
        lesson('A', '1.C', { overAt: at('10-09T15:00'), how: 'assessed' }),
        lesson('A', '3.1', { overAt: at('12-01T15:00') }),
        lesson('A', '4.1', { overAt: null }),
      ],
      new Set(),
      now,
    )
    expect(column).toEqual({
      code: 'A',
      unit: 'Waves',
      lessons: ['1.1', '1.2', '3.1', '4.1'],
      taughtAt: at('10-02T15:00'),
      toComeAt: at('12-01T15:00'),
    })
  })
})

describe('a standard', () => {
  it('is forgotten when it was taught and not asked for, or not for five weeks', () => {
    const of = (taught: string | null, last: string | null) =>
      isForgotten(
        { taughtAt: taught === null ? null : at(taught), lastAt: last === null ? null : at(last) },
        now,
      )
    expect(of('10-20T15:00', null)).toBe(true)
    expect(of(null, null)).toBe(false)
    // five weeks before the 21st of October, 20:30, are the 16th of September
    expect(of('09-01T15:00', '09-16T20:30')).toBe(true)
    expect(of('09-01T15:00', '09-16T20:31')).toBe(false)
    // taught again since
    expect(of('10-01T15:00', '09-01T15:00')).toBe(false)
    expect(of(null, '09-01T15:00')).toBe(false)
  })
})
