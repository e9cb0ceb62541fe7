import { addDays, weekdayOf } from '../base'
import type { IsoDay } from '../base'
import type { LaidRow, RowDaysOrWhy, RowDays, SeriesDays, SeriesPlan, SeriesRow, SeriesRule } from './types'

/** When the place of a row opens by the rule, and through which day; `insteadOf` where a closure stood in the way. */
interface Slot {
  readonly opensOn: IsoDay
  readonly throughOn: IsoDay
  readonly insteadOf: IsoDay | null
}

/**
 * Lays a series' rows onto a class's days, each row reported once and in order. By rule, windows are contiguous
 * unless `stays` leaves gaps: one ends on the day before the next opens, both days whole. What was set by hand stays.
 * Closures are skipped: a day that is closed opens on the next school day, and a week that is closed has no row.
 */
export function layRows({ rule, rows }: SeriesPlan, days: SeriesDays): readonly LaidRow[] {
  const slots = slotsFor(rule, days, rows.length)
  return rows.map((row, i) => laid(row, slots[i] ?? null, rule, days))
}

function laid(row: SeriesRow, slot: Slot | null, rule: SeriesRule, { lastOn }: SeriesDays): LaidRow {
  const opensOn = ownOr(row, 'opensOn', slot?.opensOn ?? null)
  const throughOn = ownOr(row, 'throughOn', slot?.throughOn ?? null)
  const isByRule = row.own.opensOn === undefined && row.own.throughOn === undefined
  const isPast = slot === null && rule.kind !== 'explicit' && isByRule
  const whole = isPast ? PAST : placed({ opensOn, throughOn }, lastOn)
  const isMoved = whole.days !== null && row.own.opensOn === undefined
  return {
    rowId: row.id,
    ...whole,
    insteadOf: isMoved ? (slot?.insteadOf ?? null) : null,
    only: row.only ?? null,
    others: row.others.map(({ target, days }) => ({
      target,
      ...placed({ opensOn, throughOn, ...days }, lastOn),
    })),
  }
}

const PAST = { days: null, why: 'past-the-year' } as const

function placed({ opensOn, throughOn }: RowDays, lastOn: IsoDay): RowDaysOrWhy {
  if (opensOn === null || throughOn === null) return { days: null, why: 'no-day' }
  if (opensOn > lastOn) return PAST
  return throughOn < opensOn ? { days: null, why: 'ends-first' } : { days: { opensOn, throughOn }, why: null }
}

function ownOr(row: SeriesRow, field: keyof RowDays, byRule: IsoDay | null): IsoDay | null {
  const own = row.own[field]
  return own === undefined ? byRule : own
}

function slotsFor(rule: SeriesRule, days: SeriesDays, count: number): readonly Slot[] {
  switch (rule.kind) {
    case 'explicit':
      return []
    case 'meetings':
      return byMeetings(rule, days, count)
    case 'weekly':
      return byWeeks(rule, days, count)
  }
}

type Of<K extends SeriesRule['kind']> = Extract<SeriesRule, { readonly kind: K }>

function byMeetings(
  rule: Of<'meetings'>,
  { meetingDays, lastOn }: SeriesDays,
  count: number,
): readonly Slot[] {
  // two meetings on one day are one day to open on
  const on = [...new Set(meetingDays)].filter((day) => day >= rule.from)
  const slots: Slot[] = []
  for (let i = 0; i < count; i++) {
    const opensOn = on[i * rule.every]
    if (opensOn === undefined) break
    const next = on[(i + 1) * rule.every]
    const untilNext = next === undefined ? lastOn : addDays(next, -1)
    const stays = rule.stays === null ? untilNext : (on[i * rule.every + rule.stays - 1] ?? untilNext)
    slots.push({ opensOn, throughOn: earlier(stays, untilNext), insteadOf: null })
  }
  return slots
}

function byWeeks(rule: Of<'weekly'>, { schoolDays, lastOn }: SeriesDays, count: number): readonly Slot[] {
  const opens: { readonly on: IsoDay; readonly insteadOf: IsoDay | null }[] = []
  // one more than there are rows: the last of them ends before it
  for (let on = firstOn(rule); on <= lastOn && opens.length <= count; on = addDays(on, rule.every * 7)) {
    const day = schoolDays.find((d) => d >= on)
    // the whole of its week is closed: the next row opens in the next week
    if (day === undefined || day >= addDays(on, 7)) continue
    opens.push({ on: day, insteadOf: day === on ? null : on })
  }
  return opens.slice(0, count).map(({ on, insteadOf }, i) => {
    const next = opens[i + 1]?.on
    const untilNext = next === undefined ? lastOn : addDays(next, -1)
    const stays = rule.stays === null ? untilNext : addDays(on, rule.stays - 1)
    return { opensOn: on, throughOn: earlier(stays, untilNext), insteadOf }
  })
}

function firstOn({ from, weekday }: Of<'weekly'>): IsoDay {
  return addDays(from, (weekday - weekdayOf(from) + 7) % 7)
}

const earlier = (a: IsoDay, b: IsoDay): IsoDay => (a < b ? a : b)
