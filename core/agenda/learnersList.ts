import { addDays, mondayOf } from '../base'
import type { Instant, IsoDay, Minutes, SeriesId } from '../base'
import type { LearnerCard } from '../work'

/** A day of a learner's week: how much of their work opens and falls due on it. */
export interface LearnersDay {
  readonly on: IsoDay
  readonly opens: number
  readonly due: number
}

/** A learner's week, from Monday, and the minutes of what is to do now. */
export interface LearnersWeek {
  readonly days: readonly LearnersDay[]
  readonly minutes: Minutes
}

/**
 * What opens and falls due in the week of `today`, counting what is not done yet.
 * @param dayOf the local day of a moment
 */
export function learnersWeek(
  cards: readonly LearnerCard[],
  today: IsoDay,
  dayOf: (at: Instant) => IsoDay,
): LearnersWeek {
  const left = cards.filter((c) => c.place !== 'done')
  const monday = mondayOf(today)
  const opens = left.flatMap((c) => (c.place === 'next' && c.opensAt !== null ? [dayOf(c.opensAt)] : []))
  // what is due at 00:00 is due at the end of the day before
  const due = left.flatMap((c) => (c.dueAt === null ? [] : [dayOf((c.dueAt - 1) as Instant)]))
  const now = left.filter((c) => c.place === 'now')
  return {
    days: [0, 1, 2, 3, 4, 5, 6].map((n) => {
      const on = addDays(monday, n)
      return { on, opens: opens.filter((d) => d === on).length, due: due.filter((d) => d === on).length }
    }),
    // what is only recommended is not asked for
    minutes: now
      .filter((c) => !c.about.isRecommended)
      .flatMap((c) => c.pieces)
      .reduce((sum, p) => (p.handedInAt === null ? sum + p.minutes : sum), 0),
  }
}

/** Work of a learner's list: by itself, or the rows of a series together, in the place of the first. */
export type ListEntry =
  | { readonly series: null; readonly cards: readonly [LearnerCard] }
  | {
      readonly series: { readonly id: SeriesId; readonly title: string }
      readonly cards: readonly LearnerCard[]
    }

/** A list with the rows of each series as one entry; a series of which there is one row stands by itself. */
export function inSeries(cards: readonly LearnerCard[]): readonly ListEntry[] {
  const rows = new Map<SeriesId, LearnerCard[]>()
  for (const card of cards)
    if (card.series) rows.set(card.series.id, [...(rows.get(card.series.id) ?? []), card])
  return cards.flatMap((card): readonly ListEntry[] => {
    const own = card.series ? (rows.get(card.series.id) ?? []) : []
    if (!card.series || own.length < 2) return [{ series: null, cards: [card] }]
    return own[0] === card ? [{ series: card.series, cards: own }] : []
  })
}
