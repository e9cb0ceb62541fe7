import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PLAIN_WORK, aYear, at, ids, onDays, piecesOf, rules } from '../../tests/support/made'
import { NO_WINDOW, fromPublishing, spanOf, windowState } from '../availability'
import type { Window } from '../availability'
import { asId } from '../base'
import type { Instant, ResourceId } from '../base'
import { meetings, zoneOf } from '../calendar'
import { lastLook } from './index'

const room = ids.class('a')
const now = at('09-07T12:00')
const calendar = meetings({ ...aYear(), zone: 'UTC' }, room, onDays(1, 3, 5), [])
const HOUR = 3_600_000
const soon = fc.integer({ min: -400, max: 400 }).map((h) => (now + h * HOUR) as Instant)
/** A window of which any moment may be absent, in order. */
const windows = fc
  .tuple(fc.option(soon), fc.option(soon), fc.option(soon))
  .filter(([opens, due, closes]) => (opens ?? -Infinity) < Math.min(due ?? Infinity, closes ?? Infinity))
  .map(([opens, due, closes]): Window => {
    const ends = due === null ? closes : Math.max(due, closes ?? due)
    return { ...NO_WINDOW, opens, due, closes: ends as Instant | null }
  })

/** Whether both can be worked at in some hour from now on, looked for hour by hour. */
function slowly(mine: Window, other: Window): boolean {
  const isOpen = (w: Window, t: Instant) => ['open', 'late'].includes(windowState(w, t).state)
  const hours = Array.from({ length: 900 }, (_, h) => (now + h * HOUR) as Instant)
  return hours.some((t) => isOpen(mine, t) && isOpen(other, t))
}

describe('the last look, slowly', () => {
  it('finds the same tests open meanwhile and the same tight windows as looking hour by hour', () => {
    fc.assert(
      fc.property(windows, windows, (mine, other) => {
        const span = spanOf(fromPublishing(mine, now), calendar.meetings, [])
        const found = lastLook({
          draft: {
            pieces: piecesOf(asId<ResourceId>('check')),
            title: 'Check',
            note: '',
            ...PLAIN_WORK,
            isFirst: true,
            window: NO_WINDOW,
            rules: rules(),
            targets: [],
            exceptIds: [],
          },
          classes: [
            {
              classId: room,
              window: mine,
              pieces: [],
              span,
              ground: { zone: zoneOf('UTC'), meetings: calendar.meetings },
              termEnds: [],
              covered: new Set(),
              had: new Map(),
              learnerIds: [],
              others: [{ title: 'Test', window: fromPublishing(other, now), minutes: 1, isTest: true }],
              heavyWeeks: [],
              waiting: [],
            },
          ],
          reached: [],
          pieces: new Map(),
          now,
          from: now,
        }).map((c) => c.code)
        expect(found.includes('blocks-test')).toBe(slowly(mine, other))
        const left = calendar.meetings.filter((m) => m.endsAt > now && m.endsAt > (mine.opens ?? now))
        const until = left.filter((m) => mine.due !== null && m.startsAt < mine.due)
        const isTight = mine.due !== null && mine.due > now && until.length < 2
        expect(found.includes('tight')).toBe(isTight)
      }),
      { numRuns: 2000 },
    )
  })
})
