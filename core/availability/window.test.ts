import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isoDay } from '../base'
import type { Instant } from '../base'
import { at, aYear, ids, onDays } from '../../tests/support/made'
import { meetings, zoneOf } from '../calendar'
import { checkOrder, completed, grownOnly, mended, withExtraDays } from './resolveWindow'
import type { Window } from './types'
import { spanOf, windowState } from './windowState'

const none: Window = { listed: null, opens: null, due: null, closes: null, putAway: null }
const full: Window = {
  listed: at('10-10T08:00'),
  opens: at('10-12T08:00'),
  due: at('10-14T16:00'),
  closes: at('10-15T16:00'),
  putAway: at('10-20T00:00'),
}

describe('windowState', () => {
  it.each<[string, string, string | null]>([
    ['10-10T07:59', 'not-listed', '10-10T08:00'],
    ['10-10T08:00', 'coming-up', '10-12T08:00'],
    ['10-12T08:00', 'open', '10-14T16:00'],
    ['10-14T15:59', 'open', '10-14T16:00'],
    ['10-14T16:00', 'late', '10-15T16:00'],
    ['10-15T16:00', 'closed', '10-20T00:00'],
    ['10-20T00:00', 'put-away', null],
  ])('at %s it is %s', (now, state, changes) => {
    expect(windowState(full, at(now))).toEqual({ state, changesAt: changes ? at(changes) : null })
  })

  it('is open for good without any moments', () => {
    expect(windowState(none, at('10-10T08:00'))).toEqual({ state: 'open', changesAt: null })
  })

  it('knows late work only where it closes after it is due', () => {
    const strict = completed({ ...none, due: at('10-14T16:00') })
    expect(strict.closes).toBe(at('10-14T16:00'))
    expect(windowState(strict, at('10-14T16:00')).state).toBe('closed')
  })

  it('reaches its next state exactly at the instant it names', () => {
    const moments = fc
      .uniqueArray(fc.integer({ min: 0, max: 1000 }), { minLength: 5, maxLength: 5 })
      .map((list) => [...list].sort((a, b) => a - b))
    fc.assert(
      fc.property(moments, fc.integer({ min: -5, max: 1005 }), (m, now) => {
        const w = { listed: m[0], opens: m[1], due: m[2], closes: m[3], putAway: m[4] } as unknown as Window
        const seen = windowState(w, now as Instant)
        if (seen.changesAt === null) return
        expect(windowState(w, (seen.changesAt - 1) as Instant).state).toBe(seen.state)
        expect(windowState(w, seen.changesAt).state).not.toBe(seen.state)
      }),
    )
  })
})

describe('checkOrder', () => {
  it('accepts listed = opens and due = closes, but not opens = due', () => {
    expect(checkOrder({ ...full, listed: full.opens, closes: full.due }).ok).toBe(true)
    expect(checkOrder({ ...full, due: full.opens }).error).toEqual({
      code: 'availability/out-of-order',
      field: 'due',
      before: 'opens',
    })
  })

  it('names the moment that comes too early', () => {
    expect(checkOrder({ ...full, listed: at('10-13T00:00') }).error).toMatchObject({
      field: 'opens',
      before: 'listed',
    })
    expect(checkOrder({ ...full, closes: at('10-14T15:00') }).error).toMatchObject({
      field: 'closes',
      before: 'due',
    })
    expect(checkOrder({ ...full, putAway: at('10-15T15:00') }).error).toMatchObject({
      field: 'putAway',
      before: 'closes',
    })
  })
})

describe('windows that are made kinder', () => {
  it('gives extra days at the same local time, also over a clock change', () => {
    const w = { ...none, due: at('10-30T22:00'), closes: at('10-30T22:00') }
    // 16:00 MDT becomes 16:00 MST, an hour more in UTC
    expect(new Date(withExtraDays(w, 3, zoneOf('America/Denver')).due ?? 0).toISOString()).toBe(
      '2026-11-02T23:00:00.000Z',
    )
  })

  it('mends neighbours so that nothing ends before it is due', () => {
    expect(mended({ ...full, due: at('10-18T00:00') })).toMatchObject({
      closes: at('10-18T00:00'),
      putAway: at('10-20T00:00'),
    })
    expect(mended({ ...full, opens: at('10-09T00:00') }).listed).toBe(at('10-09T00:00'))
  })

  it('only grows under a learner who has begun', () => {
    const earlier = { ...full, opens: at('10-11T08:00'), due: at('10-13T16:00'), closes: at('10-14T16:00') }
    expect(grownOnly(full, earlier)).toMatchObject({
      opens: at('10-11T08:00'),
      due: full.due,
      closes: full.closes,
    })
    expect(grownOnly(full, { ...full, due: null, closes: null })).toMatchObject({ due: null, closes: null })
  })

  it('contains both windows whenever it grew', () => {
    const span = fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 501, max: 1000 }))
    fc.assert(
      fc.property(span, span, (a, b) => {
        const w = (s: readonly [number, number]) =>
          ({ ...none, opens: s[0], due: s[1], closes: s[1] }) as unknown as Window
        const grown = grownOnly(w(a), w(b))
        expect(grown.opens).toBe(Math.min(a[0], b[0]))
        expect(grown.closes).toBe(Math.max(a[1], b[1]))
      }),
    )
  })
})

describe('spanOf', () => {
  const calendar = meetings(aYear(), ids.class('c'), onDays(1, 3, 5), [])
  const zone = zoneOf('America/Denver')
  const days = ['2026-10-12', '2026-10-13', '2026-10-14', '2026-10-15', '2026-10-16'].map((on) => ({
    on: isoDay(on),
    startsAt: zone.at(isoDay(on), 0),
    endsAt: zone.at(isoDay(on), 1440),
  }))

  it('counts the class’s meetings and the school days inside', () => {
    // Mon 12 Oct 9:00 to the end of Fri 16 Oct's meeting
    const w = { ...none, opens: zone.at(isoDay('2026-10-12'), 540), due: zone.at(isoDay('2026-10-16'), 590) }
    expect(spanOf(w, calendar.meetings, days)).toEqual({ meetings: 3, days: 5, tight: false })
  })

  it('cautions below two meetings', () => {
    const w = { ...none, opens: zone.at(isoDay('2026-10-12'), 540), due: zone.at(isoDay('2026-10-13'), 1440) }
    expect(spanOf(w, calendar.meetings, days)).toEqual({ meetings: 1, days: 2, tight: true })
  })
})
