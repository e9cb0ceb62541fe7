import type { Instant } from '#core/base'
import { isForgotten } from '#core/evidence'
import type { Band, StandingOnStandard } from '#core/evidence'
import type { MapColumn, StandardsMap } from '#shared/contracts/standardsMap'
import { count, percent } from '~/shared/words/numbers'
import { sayDate, zoneNamed } from '~/shared/words/times'

export const BANDS = ['low', 'middle', 'high', 'unseen'] as const satisfies readonly (Band | 'unseen')[]
/** Where a learner stands: in a band, or nowhere yet. */
export type Where = (typeof BANDS)[number]
export const BAND_WORDS: Readonly<Record<Where, string>> = {
  low: 'below 60 %',
  middle: '60 to 84 %',
  high: '85 % and above',
  unseen: 'not yet seen',
}

const dayOf = (at: Instant, zone: string) => sayDate(zoneNamed(zone).local(at).on)

/** When a standard was taught, in few words. */
export function sayTaught({ taughtAt, toComeAt, lessons, unit }: MapColumn, zone: string): string {
  if (taughtAt !== null) return `taught ${dayOf(taughtAt, zone)}`
  if (toComeAt !== null) return `comes ${dayOf(toComeAt, zone)}`
  if (lessons.length > 0) return 'no meeting for it'
  return unit === null ? 'in no lesson' : 'not taught'
}

/** When it was last shown, in few words. */
export function saySeen({ spread }: MapColumn, zone: string): string {
  return spread.lastAt === null ? 'not yet seen' : `seen ${dayOf(spread.lastAt, zone)}`
}

/** It was taught, and not asked for, or not for long. */
export function isLeftBehind({ taughtAt, spread }: MapColumn, now: Instant): boolean {
  return isForgotten({ taughtAt, lastAt: spread.lastAt }, now)
}

/** What a cell says aloud. */
export function sayStanding(name: string, code: string, standing: StandingOnStandard | null): string {
  if (!standing) return `${name}, ${code}: not yet seen`
  const few = standing.few ? ', few' : ''
  return `${name}, ${code}: ${percent(standing.share)} ${count(standing.items, 'item')}${few}`
}

/** The map in one sentence: where most are weak, and what was not seen for long. */
export function sayMap({ columns, learners, now }: StandardsMap): string {
  const seen = columns.filter((c) => c.spread.mean !== null)
  if (seen.length === 0) return 'Nothing handed in asks for a standard yet.'
  const low = Math.max(...seen.map((c) => c.spread.who.low.length))
  const [weakest, ...alike] = seen.filter((c) => c.spread.who.low.length === low)
  const others = alike.length === 0 ? 'more than any other' : `like ${count(alike.length, 'other')}`
  const weak =
    weakest && low > 0
      ? `${weakest.code} is below 60 % for ${low} of ${count(learners.length, 'learner')}, ${others}.`
      : 'No standard is below 60 % for anybody.'
  const never = columns.filter((c) => isLeftBehind(c, now) && c.spread.lastAt === null).length
  const long = columns.filter((c) => isLeftBehind(c, now)).length - never
  return [
    weak,
    ...(never ? [`${count(never, 'standard was', 'standards were')} taught and not asked for yet.`] : []),
    ...(long ? [`${count(long, 'standard was', 'standards were')} not seen for five weeks or more.`] : []),
  ].join(' ')
}
