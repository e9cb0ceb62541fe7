import { describe, expect, it } from 'vitest'
import { aLesson, aYear, ids, onDays } from '../../../tests/support/made'
import { isoDay } from '../../base'
import { meetings } from '../../calendar'
import type { SchoolYear } from '../../calendar'
import { AS_PLANNED, amountOf } from '../plan'
import { capacityOf } from '../track'
import { extentsOf, layOut } from './layOut'

const whole = { minutes: 50, usualMinutes: 50 }
const short = { minutes: 25, usualMinutes: 50 }
const slots = (of: ReturnType<typeof layOut>) =>
  of.placements.map((p) =>
    p.placed ? p.slots.map((s) => `${s.meeting}:${s.halves}`).join(' ') : p.because.why,
  )

describe('capacityOf', () => {
  it('counts a short meeting as whole from 60 % of its usual minutes, else as a half', () => {
    expect(capacityOf({ minutes: 30, usualMinutes: 50 })).toBe(2)
    expect(capacityOf({ minutes: 29, usualMinutes: 50 })).toBe(1)
    expect(capacityOf({ minutes: 29, usualMinutes: 50, wholeFromRatio: 0.5 })).toBe(2)
  })
})

describe('layOut', () => {
  it('lays lessons one after another', () => {
    expect(slots(layOut({ lessons: [aLesson('a'), aLesson('b', 2)] }, [whole, whole, whole]))).toEqual([
      '0:2',
      '1:2 2:2',
    ])
  })

  it('lets the next lesson take the free half of a meeting', () => {
    // 1½, then 1: the second takes the half that is left and a half of the next
    expect(slots(layOut({ lessons: [aLesson('a', 1.5), aLesson('b')] }, [whole, whole, whole]))).toEqual([
      '0:2 1:1',
      '1:1 2:1',
    ])
  })

  it('counts a half day as the school year has it', () => {
    const halfDay = {
      id: 'h',
      kind: 'short' as const,
      name: 'Half day',
      fromOn: isoDay('2026-08-31'),
      throughOn: isoDay('2026-08-31'),
      classIds: [],
      factorRatio: 0.5,
    }
    const on = (year: SchoolYear) =>
      slots(
        layOut(
          { lessons: [aLesson('a'), aLesson('b')] },
          meetings(year, ids.class('c'), onDays(1, 3, 5), []).meetings,
        ),
      )
    // Mon 31 Aug has 25 of 50 minutes: half a meeting by the usual 60 %, a whole one where 50 % is enough
    expect(on(aYear({ notes: [halfDay] }))).toEqual(['0:1 1:1', '1:1 2:1'])
    expect(on(aYear({ notes: [halfDay], wholeFromRatio: 0.5 }))).toEqual(['0:2', '1:2'])
  })

  it('gives a short meeting half a lesson only', () => {
    expect(slots(layOut({ lessons: [aLesson('a'), aLesson('b')] }, [short, whole, whole]))).toEqual([
      '0:1 1:1',
      '1:1 2:1',
    ])
  })

  it('takes a class’s own length over the plan’s', () => {
    expect(
      slots(
        layOut({ lessons: [aLesson('a'), aLesson('b')] }, [whole, whole, whole], {
          pacing: { ...AS_PLANNED, lengths: { [ids.lesson('a')]: 4 } },
        }),
      ),
    ).toEqual(['0:2 1:2', '2:2'])
    expect(amountOf(aLesson('a', 1.5), {})).toBe(3)
  })

  it('reports what does not fit and everything after it, with the reason, and leaves the rest free', () => {
    const got = layOut({ lessons: [aLesson('a'), aLesson('b', 3), aLesson('c', 0.5)] }, [whole, whole, whole])
    expect(slots(got)).toEqual(['0:2', 'year-full', 'after-one-that-does-not-fit'])
    expect(got.placements[1]).toMatchObject({ because: { needHalves: 6, freeHalves: 4 } })
    expect(got.slackHalves).toBe(4)
  })

  it('lays an empty plan and a class without meetings', () => {
    expect(layOut({ lessons: [] }, [whole])).toEqual({
      placements: [],
      capacities: [2],
      slackHalves: 2,
      findings: [],
    })
    expect(slots(layOut({ lessons: [aLesson('a')] }, []))).toEqual(['year-full'])
  })

  it('tells first and last meeting of each placed lesson', () => {
    const extents = extentsOf(
      layOut({ lessons: [aLesson('a', 1.5), aLesson('b'), aLesson('c', 9)] }, [whole, whole, whole]),
    )
    expect([...extents]).toEqual([
      ['a', { first: 0, last: 1 }],
      ['b', { first: 1, last: 2 }],
    ])
  })
})
