import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isoDay } from '../base'
import { aYear, closure, ids, onDays } from '../../tests/support/made'
import { meetings } from './meetings'
import { minutesLeft } from './minutesLeft'
import { FREE_TIMES } from './types'
import type { DayNote, FreeTime } from './types'

const span = { startMinute: 540, usualMinutes: 50 }
let count = 0
const note = (part: Partial<DayNote>): DayNote => ({
  ...closure('2026-09-02', '2026-09-02', part),
  id: `n${count++}`,
})
const event = (from: string, until: string) => {
  const at = (text: string) => Number(text.split(':')[0]) * 60 + Number(text.split(':')[1])
  return note({ kind: 'event', name: `${from} to ${until}`, fromMinute: at(from), untilMinute: at(until) })
}
const left = (notes: readonly DayNote[], freeTime: FreeTime = 'longest-run') =>
  minutesLeft(span, notes, freeTime).minutes

describe('minutesLeft', () => {
  it('leaves of two events in a meeting its longest free run, or the sum', () => {
    const two = [event('9:00', '9:15'), event('9:30', '9:50')]
    expect(left(two)).toBe(15)
    expect(left(two, 'sum')).toBe(15)
    const middle = [event('9:10', '9:15'), event('9:35', '9:40')]
    expect(left(middle)).toBe(20)
    expect(left(middle, 'sum')).toBe(40)
    expect(left([...middle].reverse())).toBe(20)
  })

  it('counts what two events share once, and takes nothing for one that shares nothing', () => {
    expect(left([event('9:00', '9:20'), event('9:10', '9:30')])).toBe(20)
    const outside = minutesLeft(span, [event('8:00', '9:00'), event('9:50', '11:00')], 'longest-run')
    expect(outside).toEqual({ minutes: 50, by: [] })
  })

  it('leaves nothing below a fifth', () => {
    expect(left([event('9:10', '9:50')])).toBe(10)
    expect(left([event('9:09', '9:50')])).toBe(0)
  })

  it('takes the shorter of short days and events, and rounds shares exactly', () => {
    expect(left([note({ kind: 'short', minutes: 30 }), event('9:00', '9:10')])).toBe(30)
    expect(left([note({ kind: 'short', minutes: 30 }), event('9:00', '9:35')])).toBe(15)
    // 45 × 0.7 is 31½, not a hair less
    const short = note({ kind: 'short', factorRatio: 0.7 })
    expect(minutesLeft({ startMinute: 540, usualMinutes: 45 }, [short], 'sum').minutes).toBe(32)
  })

  it('names the event that cost a meeting, whatever the order of notes', () => {
    const short = note({ kind: 'short', name: 'Short day', factorRatio: 0.5 })
    const drill = { ...event('9:00', '10:00'), name: 'Drill' }
    for (const notes of [
      [short, drill],
      [drill, short],
    ])
      expect(minutesLeft(span, notes, 'longest-run')).toEqual({ minutes: 0, by: [drill] })
    // five minutes and then thirty-eight: seven are left, and the longer one is named first
    const few = [event('9:00', '9:05'), event('9:05', '9:43')]
    for (const notes of [few, [...few].reverse()])
      expect(minutesLeft(span, notes, 'longest-run').by[0]?.name).toBe('9:05 to 9:43')
  })

  it('keeps the shortest of several short days, and names each', () => {
    const [longer, shorter] = [note({ kind: 'short', minutes: 40 }), note({ kind: 'short', minutes: 30 })]
    for (const notes of [
      [longer, shorter],
      [shorter, longer],
    ])
      expect(minutesLeft(span, notes, 'longest-run')).toEqual({ minutes: 30, by: notes })
  })

  it('equals counting minute by minute', () => {
    const times = fc.tuple(fc.integer({ min: 500, max: 620 }), fc.integer({ min: 1, max: 60 }))
    fc.assert(
      fc.property(fc.array(times, { maxLength: 5 }), fc.constantFrom(...FREE_TIMES), (list, freeTime) => {
        const notes = list.map(([from, length]) =>
          note({ kind: 'event', fromMinute: from, untilMinute: from + length }),
        )
        const isFree = Array.from({ length: 50 }, (_, m) =>
          list.every(([from, length]) => 540 + m < from || 540 + m >= from + length),
        )
        const runs = isFree
          .map((f) => (f ? 'x' : ' '))
          .join('')
          .split(' ')
          .map((r) => r.length)
        const free = freeTime === 'sum' ? runs.reduce((a, b) => a + b, 0) : Math.max(...runs)
        expect(minutesLeft(span, notes, freeTime).minutes).toBe(free < 10 ? 0 : free)
      }),
    )
  })
})

describe('what the year says', () => {
  const year = aYear({
    lastOn: isoDay('2026-09-04'),
    notes: [
      { ...event('9:10', '9:15'), fromOn: isoDay('2026-09-02'), throughOn: isoDay('2026-09-02') },
      { ...event('9:35', '9:40'), fromOn: isoDay('2026-09-02'), throughOn: isoDay('2026-09-02') },
    ],
  })
  const wednesday = (freeTime?: FreeTime) =>
    meetings(freeTime ? { ...year, freeTime } : year, ids.class('c'), onDays(1, 3, 5), []).meetings[1]

  it('decides whether the free minutes of a meeting are added', () => {
    expect(wednesday()).toMatchObject({ minutes: 20, because: ['9:10 to 9:15', '9:35 to 9:40'] })
    expect(wednesday('sum')?.minutes).toBe(40)
  })
})
