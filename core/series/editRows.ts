import { keyOf } from '../audience'
import type { Target } from '../audience'
import { addDays, dayNumber } from '../base'
import type { IsoDay } from '../base'
import type { RowDays, SeriesPlan, SeriesRow, SeriesRule } from './types'

/** Sets days of a row by hand, or (undefined) gives them back to the rule. */
export function withOwn<S extends SeriesPlan>(
  series: S,
  rowId: string,
  own: { readonly [K in keyof RowDays]?: RowDays[K] | undefined },
): S {
  const rows = series.rows.map((row) => {
    if (row.id !== rowId) return row
    const next: readonly (readonly [string, IsoDay | null | undefined])[] = Object.entries({
      ...row.own,
      ...own,
    })
    const kept = next.filter(([, day]) => day !== undefined)
    return { ...row, own: Object.fromEntries(kept) as SeriesRow['own'] }
  })
  return { ...series, rows }
}

/** Puts a row in another place; places count from 0, and one beyond the end is the end. */
export function moved<S extends SeriesPlan>(series: S, rowId: string, to: number): S {
  const row = series.rows.find((r) => r.id === rowId)
  if (!row) return series
  const others = series.rows.filter((r) => r.id !== rowId)
  return { ...series, rows: others.toSpliced(Math.max(0, to), 0, row) }
}

/** Moves all of it by days: the start of its rule, and what was set by hand, so that differences stay what they are. */
export function shifted<S extends SeriesPlan>(series: S, days: number): S {
  const by = (day: IsoDay | null) => (day === null ? null : addDays(day, days))
  const all = (own: Partial<RowDays>) =>
    Object.fromEntries(
      Object.entries(own).map(([field, day]) => [field, by(day ?? null)]),
    ) as SeriesRow['own']
  const rows = series.rows.map((row) => ({
    ...row,
    own: all(row.own),
    others: row.others.map((o) => ({ ...o, days: all(o.days) })),
  }))
  return { ...series, rule: startedAt(series.rule, days), rows }
}

function startedAt(rule: SeriesRule, days: number): SeriesRule {
  return rule.kind === 'explicit' ? rule : { ...rule, from: addDays(rule.from, days) }
}

/** Gives the rows below one the same spacing as it has to the one before it, from it on, by hand. */
export function filledDown<S extends SeriesPlan>(
  series: S,
  rowId: string,
  laid: ReadonlyMap<string, RowDays>,
): S {
  const at = series.rows.findIndex((r) => r.id === rowId)
  const [before, from] = [series.rows[at - 1], series.rows[at]].map((r) => (r ? laid.get(r.id) : undefined))
  const { opensOn, throughOn } = from ?? {}
  if (!opensOn || !throughOn || !before?.opensOn) return series
  const step = dayNumber(opensOn) - dayNumber(before.opensOn)
  const rows = series.rows.map((row, i) => {
    const days = (i - at) * step
    return i <= at
      ? row
      : { ...row, own: { opensOn: addDays(opensOn, days), throughOn: addDays(throughOn, days) } }
  })
  return { ...series, rows }
}

/** Has a row go to some of the series alone, or (none) to all of it again. */
export function withOnly<S extends SeriesPlan>(series: S, rowId: string, only: readonly Target[]): S {
  const rows = series.rows.map((row) => {
    if (row.id !== rowId) return row
    const { only: _, ...forAll } = row
    return only.length === 0 ? forAll : { ...forAll, only }
  })
  return { ...series, rows }
}

/** Sets other days of a row for one group or learner, or (null) has it the same for them again. */
export function withOther<S extends SeriesPlan>(
  series: S,
  rowId: string,
  target: Target,
  days: Partial<RowDays> | null,
): S {
  const key = keyOf(target)
  const rows = series.rows.map((row) => {
    if (row.id !== rowId) return row
    const others = row.others.filter((o) => keyOf(o.target) !== key)
    return { ...row, others: days === null ? others : [...others, { target, days }] }
  })
  return { ...series, rows }
}
