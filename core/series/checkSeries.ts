import { ok, refuse } from '../base'
import type { Result } from '../base'
import type { SeriesRefusal } from './refusals'
import { MOST_ROWS } from './types'
import type { Series, SeriesRule } from './types'

/** Accepts a series that can be laid out, or names the first fault. */
export function checkSeries<S extends Pick<Series, 'rule' | 'rows' | 'targets'>>(
  series: S,
): Result<S, SeriesRefusal> {
  const { rule, rows } = series
  if (rows.length > MOST_ROWS)
    return refuse({ code: 'series/too-long', field: 'rows', count: rows.length, most: MOST_ROWS })
  const step = badStep(rule)
  if (step) return refuse({ code: 'series/bad-step', field: step })
  if (series.targets.length === 0) return refuse({ code: 'series/nobody', field: 'targets' })
  const row = firstTwice(rows.map((r) => r.id))
  if (row !== null) return refuse({ code: 'series/same-row-twice', field: 'rows', row })
  const piece = firstTwice(rows.map((r) => r.resourceId))
  return piece === null ? ok(series) : refuse({ code: 'series/same-piece-twice', field: 'rows', row: piece })
}

function badStep(rule: SeriesRule): 'every' | 'stays' | null {
  if (rule.kind === 'explicit') return null
  const isCount = (n: number) => Number.isInteger(n) && n >= 1 && n <= MOST_ROWS
  if (!isCount(rule.every)) return 'every'
  return rule.stays !== null && !isCount(rule.stays) ? 'stays' : null
}

/** The number, counted from 1, of the first that stood there before; null: none did. */
function firstTwice(ids: readonly string[]): number | null {
  const at = ids.findIndex((id, i) => ids.indexOf(id) !== i)
  return at < 0 ? null : at + 1
}
