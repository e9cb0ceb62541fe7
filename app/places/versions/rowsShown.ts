import type { TrailRow, TrailSheet } from '#shared/contracts/versions'

/** Which learners of a sheet are looked at. */
export type Shown = 'all' | 'suggested' | 'stuck' | 'low' | 'high' | `group ${string}`

/** A sheet's learners of whom something is to be seen; low and high go by their last score. */
export function rowsShown(sheet: TrailSheet, shown: Shown): readonly TrailRow[] {
  return sheet.rows.filter((row) => isAmong(row, shown, sheet))
}

function isAmong(row: TrailRow, shown: Shown, { thresholds, groups }: TrailSheet): boolean {
  const last = row.points.findLast((p) => p.percent !== null)?.percent ?? null
  switch (shown) {
    case 'all':
      return true
    case 'suggested':
      return row.next.step !== 'stay'
    case 'stuck':
      return row.next.stuck !== null
    case 'low':
      return last !== null && last < thresholds.moreBelow
    case 'high':
      return last !== null && last >= thresholds.lessFrom
    default: {
      const group = groups.find((g) => `group ${g.id}` === shown)
      return group?.learnerIds.includes(row.learnerId) ?? false
    }
  }
}
