import { describe, expect, it } from 'vitest'
import { ids } from '../../tests/support/made'
import { isoDay } from '../base'
import { readMoment } from './readMoment'
import type { WindowField } from './types'

/** Ids hold no points. */
const idOf = (number: string) => ids.lesson(number.replace('.', '_'))
const lessons = ['W2.1', 'W2.4', 'W2.12', 'W3.1', 'W3.2'].map((number) => ({
  id: idOf(number),
  number,
}))
const clock = (text: string) => ({ '3pm': 900, '9:30': 570 })[text.trim()] ?? null
const now = { on: isoDay('2026-10-21'), minuteOfDay: 600 }
const read = (text: string, field: WindowField = 'due', current: string | null = 'W2.4') =>
  readMoment(text, {
    field,
    lessons,
    clock,
    now,
    from: now,
    current: current === null ? null : idOf(current),
  })
const anchor = (part: object) => ({
  kind: 'anchor',
  lessonId: 'W2_4',
  edge: 'last',
  offset: 0,
  step: 'meetings',
  at: 'class-end',
  ...part,
})

describe('a moment that was typed about a lesson', () => {
  it('counts from the lesson that is meant', () => {
    expect(read('+3 meetings')).toEqual(anchor({ offset: 3 }))
    expect(read('+ 1')).toEqual(anchor({ offset: 1 }))
    expect(read('−2 days')).toEqual(anchor({ offset: -2, step: 'days' }))
    expect(read('+1 meeting', 'opens')).toEqual(anchor({ edge: 'first', offset: 1, at: 'class-start' }))
  })

  it('knows lessons by number, whole and not in part', () => {
    expect(read('W2.1')).toEqual(anchor({ lessonId: 'W2_1' }))
    expect(read('w2.12', 'opens')).toEqual(anchor({ lessonId: 'W2_12', edge: 'first', at: 'class-start' }))
    expect(read('end of w2.1 + 1 meeting')).toEqual(anchor({ lessonId: 'W2_1', offset: 1 }))
    expect(read('start of W2.1')).toEqual(anchor({ lessonId: 'W2_1', edge: 'first' }))
    expect(read('last meeting of W2.1', 'opens')).toEqual(anchor({ lessonId: 'W2_1', at: 'class-start' }))
  })

  it('takes a unit from its first lesson to its last', () => {
    expect(read('end of W3')).toEqual(anchor({ lessonId: 'W3_2' }))
    expect(read('start of w3', 'opens')).toEqual(
      anchor({ lessonId: 'W3_1', edge: 'first', at: 'class-start' }),
    )
  })

  it('stands at the time that is said', () => {
    expect(read('W2.1 at 3pm')).toEqual(anchor({ lessonId: 'W2_1', at: { minuteOfDay: 900 } }))
    expect(read('+1 meeting, 9:30')).toEqual(anchor({ offset: 1, at: { minuteOfDay: 570 } }))
    expect(read('end of W2.1, end of day')).toEqual(anchor({ lessonId: 'W2_1', at: 'end-of-day' }))
    expect(read('class start')).toEqual(anchor({ at: 'class-start' }))
  })

  it('is nothing when it is about no lesson', () => {
    for (const text of ['', 'W9.1', 'next tue', '21 oct', 'end of', '+', 'W2.1 at noonish', 'end of term'])
      expect(read(text), text).toBeNull()
    expect(read('+3 meetings', 'due', null)).toEqual({ kind: 'meeting', ...now, count: 3, at: 'class-end' })
  })
})
