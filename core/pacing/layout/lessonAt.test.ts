import { describe, expect, it } from 'vitest'
import { aLesson, aPlan, aYear, at, ids, onDays } from '../../../tests/support/made'
import { meetings, zoneOf } from '../../calendar'
import { layOut } from './layOut'
import { lessonAt } from './lessonAt'

describe('where a class is', () => {
  it('is the last lesson that has begun', () => {
    const year = aYear()
    // Mon and Wed at 9:00 in Denver: 31 Aug, 2 Sep, 7 Sep …
    const calendar = meetings(year, ids.class('c'), onDays(1, 3), [], zoneOf(year.zone))
    const layout = layOut(aPlan([aLesson('a', 2), aLesson('b', 1)]), calendar.meetings)
    const where = (now: string) => lessonAt(layout, calendar.meetings, at(now))
    expect(where('08-31T14:59')).toBeNull()
    expect(where('08-31T15:00')).toBe('a')
    expect(where('09-07T14:59')).toBe('a')
    expect(where('09-07T15:00')).toBe('b')
    expect(where('12-01T00:00')).toBe('b')
  })
})
