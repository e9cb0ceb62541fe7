import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import { readPlainDay } from '~/shared/fields/plainDays'
import { ids } from '../../../tests/support/made'
import { readTypedMoment } from './momentReading'

// a Wednesday
const context = {
  field: 'due' as const,
  today: isoDay('2026-10-21'),
  min: isoDay('2026-08-24'),
  max: isoDay('2027-06-11'),
  lessons: [{ id: ids.lesson('l'), number: 'W2.4' }],
  current: ids.lesson('l'),
}
const read = (text: string, part: Partial<typeof context> = {}) =>
  readTypedMoment(text, { ...context, ...part }, readPlainDay)

describe('a typed moment', () => {
  it('is about a lesson before it is a day', () => {
    expect(read('+2 meetings')).toMatchObject({ kind: 'anchor', offset: 2, edge: 'last', at: 'class-end' })
    expect(read('end of W2')).toMatchObject({ kind: 'anchor', lessonId: 'l' })
  })

  it('is a whole day, or a day and a time', () => {
    expect(read('21 oct')).toEqual({ kind: 'day', on: '2026-10-21' })
    expect(read('next tue')).toEqual({ kind: 'day', on: '2026-10-27' })
    expect(read('fri 3pm')).toEqual({ kind: 'time', on: '2026-10-23', minuteOfDay: 900 })
    expect(read('2 nov, 8:30')).toEqual({ kind: 'time', on: '2026-11-02', minuteOfDay: 510 })
    expect(read('2026-11-05 at 4 pm')).toEqual({ kind: 'time', on: '2026-11-05', minuteOfDay: 960 })
  })

  it('is none where that is said, and nothing where it cannot be read', () => {
    expect(read('never')).toBeNull()
    expect(read('no due date')).toBeNull()
    for (const text of ['', 'soonish', 'W9.9', '40 oct', '1 jan 2031'])
      expect(read(text), text).toBeUndefined()
  })
})
