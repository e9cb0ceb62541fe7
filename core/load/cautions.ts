import { groupBy, mondayOf } from '../base'
import type { IsoDay, Minutes, UserId } from '../base'
import type { Load } from './types'
import { byWeight, isMore } from './weighing'

/** As much as one learner shall carry; null: nobody has said. */
export interface LoadLimits {
  readonly minutesPerDay: Minutes | null
  readonly minutesPerWeek: Minutes | null
  readonly piecesPerWeek: number | null
}

/** Five pieces a week are many: the usual limit where a school has set none. */
export const USUAL_LIMITS: LoadLimits = { minutesPerDay: 60, minutesPerWeek: 240, piecesPerWeek: 5 }

/** Something that is too much for a learner. */
export type LoadCaution =
  | {
      readonly kind: 'minutes-in-day'
      readonly learnerId: UserId
      readonly on: IsoDay
      readonly minutes: Minutes
    }
  | {
      readonly kind: 'minutes-in-week'
      readonly learnerId: UserId
      readonly on: IsoDay
      readonly minutes: Minutes
    }
  | {
      readonly kind: 'pieces-in-week'
      readonly learnerId: UserId
      readonly on: IsoDay
      readonly count: number
    }
  | { readonly kind: 'tests-in-day'; readonly learnerId: UserId; readonly on: IsoDay; readonly count: number }

/** What is over the limits, and days with several tests: learner by learner, each in the order of time. */
export function cautionsIn({ days, weeks, learners }: Load, limits: LoadLimits): readonly LoadCaution[] {
  const { minutesPerDay, minutesPerWeek, piecesPerWeek } = limits
  const isOver = (n: number | undefined, most: number | null) =>
    most !== null && n !== undefined && isMore(n, most)
  return learners.flatMap(({ learnerId, ...of }) => [
    ...days.flatMap((on, i): readonly LoadCaution[] =>
      isOver(of.days[i], minutesPerDay)
        ? [{ kind: 'minutes-in-day', learnerId, on, minutes: of.days[i] ?? 0 }]
        : [],
    ),
    ...weeks.flatMap((on, i): readonly LoadCaution[] =>
      isOver(of.weeks[i], minutesPerWeek)
        ? [{ kind: 'minutes-in-week', learnerId, on, minutes: of.weeks[i] ?? 0 }]
        : [],
    ),
    ...weeks.flatMap((on, i): readonly LoadCaution[] =>
      isOver(of.pieces[i], piecesPerWeek)
        ? [{ kind: 'pieces-in-week', learnerId, on, count: of.pieces[i] ?? 0 }]
        : [],
    ),
    ...days.flatMap((on, i): readonly LoadCaution[] =>
      (of.tests[i] ?? 0) > 1 ? [{ kind: 'tests-in-day', learnerId, on, count: of.tests[i] ?? 0 }] : [],
    ),
  ])
}

/** The places of weeks in which a learner carries too much. */
export interface WeeksOver {
  /** Weeks over a limit of weeks. */
  readonly asWhole: readonly number[]
  /** Weeks with a day over the limit of days, or with several tests. */
  readonly inDays: readonly number[]
}

/** In which weeks each learner carries too much; who never does is absent. */
export function weeksOver(load: Load, limits: LoadLimits): ReadonlyMap<UserId, WeeksOver> {
  const placeOf = new Map(load.weeks.map((monday, i) => [monday, i]))
  const placesOf = (cautions: readonly LoadCaution[]) => [
    ...new Set(cautions.map((c) => placeOf.get(mondayOf(c.on)) ?? 0)),
  ]
  const byLearner = groupBy(cautionsIn(load, limits), (c) => c.learnerId)
  return new Map(
    [...byLearner].map(([learnerId, cautions]) => {
      const isOfDay = ({ kind }: LoadCaution) => kind === 'minutes-in-day' || kind === 'tests-in-day'
      const asWhole = placesOf(cautions.filter((c) => !isOfDay(c)))
      return [learnerId, { asWhole, inDays: placesOf(cautions.filter(isOfDay)) }]
    }),
  )
}

/** A day, and what the learner who would carry most carries on it. */
export interface BetterDay {
  readonly on: IsoDay
  readonly most: Minutes
}

/**
 * School days on which work that is due on `on` would weigh less on who carries most, the lightest first, of two
 * alike the nearer, then the earlier; at most `count`.
 * @param within how many school days before and after are looked at.
 */
export function betterDays(
  { days, learners }: Load,
  on: IsoDay,
  { within, count }: { readonly within: number; readonly count: number },
): readonly BetterDay[] {
  const at = days.indexOf(on)
  if (at < 0) return []
  const mostOn = (i: number) => Math.max(0, ...learners.map((l) => l.days[i] ?? 0))
  const here = mostOn(at)
  const near = days.flatMap((day, i) =>
    i !== at && Math.abs(i - at) <= within ? [{ on: day, most: mostOn(i), far: Math.abs(i - at) }] : [],
  )
  return near
    .filter((d) => isMore(here, d.most))
    .sort((a, b) => byWeight(a.most, b.most) || a.far - b.far)
    .slice(0, count)
    .map(({ on, most }) => ({ on, most }))
}
