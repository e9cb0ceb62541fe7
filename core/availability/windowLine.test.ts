import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { at } from '../../tests/support/made'
import type { Instant } from '../base'
import { NO_WINDOW, WINDOW_FIELDS } from './types'
import type { Window } from './types'
import { scaleFor, shareOf, windowLine } from './windowLine'

/** Ten days: a day is a tenth. */
const scale = { from: at('10-01T00:00'), until: at('10-11T00:00') }
const window = (part: Partial<Window>): Window => ({ ...NO_WINDOW, ...part })

describe('the line of a window', () => {
  it('is seen, open and late as its moments say', () => {
    const line = windowLine(
      window({
        listed: at('10-02T00:00'),
        opens: at('10-03T00:00'),
        due: at('10-06T00:00'),
        closes: at('10-08T00:00'),
        putAway: at('10-10T00:00'),
      }),
      scale,
    )
    expect(line).toEqual({
      seen: { from: 0.1, until: 0.9 },
      open: { from: 0.2, until: 0.5 },
      late: { from: 0.5, until: 0.7 },
      end: 0.9,
    })
  })

  it('knows what absent moments mean', () => {
    expect(windowLine(NO_WINDOW, scale)).toEqual({
      seen: { from: 0, until: 1 },
      open: { from: 0, until: 1 },
      late: null,
      end: null,
    })
    // no late work when it closes as it is due
    const due = at('10-06T00:00')
    expect(windowLine(window({ due, closes: due }), scale).late).toBeNull()
    expect(windowLine(window({ due }), scale).late).toEqual({ from: 0.5, until: 1 })
  })

  it('is cut off at the ends, and nothing outside', () => {
    const before = windowLine(
      window({ opens: at('09-01T00:00'), due: at('09-02T00:00'), closes: at('09-02T00:00') }),
      scale,
    )
    expect(before).toMatchObject({ open: null, late: null, end: null })
    expect(windowLine(window({ opens: at('09-01T00:00'), due: at('10-02T00:00') }), scale).open).toEqual({
      from: 0,
      until: 0.1,
    })
    expect(windowLine(window({ putAway: at('11-01T00:00') }), scale).end).toBeNull()
  })
})

describe('a scale', () => {
  it('holds every moment of its windows, and a week at least', () => {
    expect(scaleFor([], at('10-05T00:00')).until - scaleFor([], at('10-05T00:00')).from).toBeGreaterThan(
      7 * 86_400_000,
    )
    const moments = fc.option(fc.integer({ min: 0, max: 1e11 }).map((n) => n as Instant))
    const windows = fc.array(
      fc.record({ listed: moments, opens: moments, due: moments, closes: moments, putAway: moments }),
      { maxLength: 5 },
    )
    fc.assert(
      fc.property(windows, (list) => {
        const made = scaleFor(list, 5e10 as Instant)
        for (const w of list)
          for (const field of WINDOW_FIELDS) {
            const moment = w[field]
            if (moment === null) continue
            expect(shareOf(moment, made)).toBeGreaterThan(0)
            expect(shareOf(moment, made)).toBeLessThan(1)
          }
      }),
    )
  })
})
