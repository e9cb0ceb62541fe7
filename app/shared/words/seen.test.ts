import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import type { Seen } from '#core/pacing'
import { aLesson, closure } from '../../../tests/support/made'
import { saySeen } from './seen'

describe('saySeen', () => {
  it.each<[string, Seen, 'seen' | 'now']>([
    ['1.5 meetings', { of: 'length', unit: 'meetings', amount: 3 }, 'seen'],
    ['25 minutes', { of: 'length', unit: 'minutes', amount: 25 }, 'seen'],
    ['as in the plan', { of: 'length', unit: 'meetings', amount: null }, 'now'],
    ['as in the timetable', { of: 'meeting', change: null }, 'seen'],
    [
      'lost (Snow day)',
      {
        of: 'meeting',
        change: { kind: 'cancel', on: isoDay('2026-10-22'), startMinute: 510, why: 'Snow day' },
      },
      'now',
    ],
    ['a Lesson a, 0.5–1–20 meetings, core', { of: 'lesson', lesson: aLesson('a') }, 'seen'],
    ['no such lesson', { of: 'lesson', lesson: null }, 'now'],
    ['Break', { of: 'day-note', note: closure('2026-09-07', '2026-09-11', { name: 'Break' }) }, 'seen'],
    ['no such day', { of: 'day-note', note: null }, 'now'],
    ['the order you saw', { of: 'order' }, 'seen'],
    ['another order', { of: 'order' }, 'now'],
    ['the year as it was opened', { of: 'year', changed: ['notes'] }, 'seen'],
    ['other closures and short days, terms', { of: 'year', changed: ['notes', 'terms'] }, 'now'],
    ['other meeting times', { of: 'pattern' }, 'now'],
    ['Waves, Light', { of: 'titles', titles: ['Waves', 'Light'] }, 'now'],
    ['as in the plan', { of: 'class-part', value: null }, 'seen'],
    ['let-go', { of: 'class-part', value: 'let-go' }, 'seen'],
    ['covered', { of: 'class-part', value: { outcome: 'covered', held: [], moreHalves: 0 } }, 'now'],
    ['not-after Mon 7 Sep', { of: 'class-part', value: { kind: 'not-after', on: '2026-09-07' } }, 'now'],
  ])('says “%s”', (words, value, side) => {
    expect(saySeen(value, side)).toBe(words)
  })
})
