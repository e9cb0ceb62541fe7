import { describe, expect, it } from 'vitest'
import { at } from '../../tests/support/made'
import { asId, isoDay } from '../base'
import type { AssignmentId, Instant, SeriesId } from '../base'
import { zoneOf } from '../calendar'
import { inSeries, learnersWeek } from './learnersList'
import { NO_ABOUT } from '../work'
import type { LearnerCard, LearnerPiece } from '../work'

const zone = zoneOf('America/Denver')
const words = { id: asId<SeriesId>('words'), title: 'Words' }
const piece = (minutes: number, handedInAt: Instant | null) => ({ minutes, handedInAt }) as LearnerPiece
const card = (id: string, part: Partial<LearnerCard> = {}): LearnerCard =>
  ({
    id: asId<AssignmentId>(id),
    title: id,
    place: 'now',
    opensAt: null,
    dueAt: null,
    series: null,
    pieces: [piece(10, null)],
    about: NO_ABOUT,
    ...part,
  }) as LearnerCard

describe('a learner’s week', () => {
  it('counts what opens and falls due on each day from Monday, and the minutes of what is to do now', () => {
    const cards = [
      // 00:00 local on the 10th: due on the 9th
      card('a', { dueAt: at('09-10T06:00') }),
      card('b', { place: 'next', opensAt: at('09-11T15:00'), dueAt: at('09-20T06:00') }),
      card('c', { place: 'done', dueAt: at('09-09T15:00') }),
      card('d', {
        pieces: [piece(25, 5 as Instant), piece(5, null)],
      }),
      // offered, not asked for
      card('e', { about: { ...NO_ABOUT, isRecommended: true } }),
    ]
    const { days, minutes } = learnersWeek(cards, isoDay('2026-09-09'), (moment) => zone.local(moment).on)
    expect(days.map((d) => [d.on.slice(8), d.opens, d.due])).toEqual([
      ['07', 0, 0],
      ['08', 0, 0],
      ['09', 0, 1],
      ['10', 0, 0],
      ['11', 1, 0],
      ['12', 0, 0],
      ['13', 0, 0],
    ])
    expect(minutes).toBe(15)
  })
})

describe('a list with series', () => {
  const said = (cards: readonly LearnerCard[]) =>
    inSeries(cards).map((e) => `${e.series?.title ?? '-'}: ${e.cards.map((c) => c.id).join(' ')}`)

  it('has the rows of one together, where the first stands', () => {
    const cards = [card('a'), card('w1', { series: words }), card('b'), card('w2', { series: words })]
    expect(said(cards)).toEqual(['-: a', 'Words: w1 w2', '-: b'])
  })
  it('leaves a single row by itself, and loses nothing', () => {
    expect(said([card('w1', { series: words })])).toEqual(['-: w1'])
    expect(said([])).toEqual([])
  })
})
