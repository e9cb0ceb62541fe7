import { describe, expect, it } from 'vitest'
import { at } from '../../tests/support/made'
import { isoDay } from '../base'
import { zoneOf } from '../calendar'
import { daysToDo, weeksAround } from './index'
import type { LoadPiece } from './index'

const piece = (fromOn: string, throughOn: string): LoadPiece => ({
  learnerIds: [],
  minutes: 20,
  fromOn: isoDay(fromOn),
  throughOn: isoDay(throughOn),
  isTest: false,
})

describe('the days of a piece', () => {
  it('end with the day that is just over at midnight', () => {
    const days = daysToDo({ from: at('09-07T09:00'), until: at('09-12T00:00') }, zoneOf('UTC'))
    expect(days).toEqual({ fromOn: '2026-09-07', throughOn: '2026-09-11' })
  })

  it('are those of the school, wherever the moment is told', () => {
    // 23:30 UTC on Monday is 01:30 on Tuesday in Vienna
    const days = daysToDo({ from: at('09-07T23:30'), until: at('09-11T22:00') }, zoneOf('Europe/Vienna'))
    expect(days).toEqual({ fromOn: '2026-09-08', throughOn: '2026-09-11' })
  })
})

describe('the weeks around pieces', () => {
  it('reach two weeks before the first and to the Sunday two weeks after the last', () => {
    const around = weeksAround([piece('2026-09-16', '2026-09-18'), piece('2026-09-09', '2026-09-23')])
    expect(around).toEqual({ from: '2026-08-24', through: '2026-10-11' })
  })
})
