import { keyOf } from '../audience'
import type { Target } from '../audience'
import type { LaidRow, Overlap, WholeDays } from './types'

/**
 * Pairs of released rows that are open on the same day, by the first of them: for everybody, and for each group or
 * learner for whom something is otherwise or who has a row alone, where that makes another pair. None as long as
 * nothing was set by hand.
 */
export function overlapsIn(rows: readonly LaidRow[]): readonly Overlap[] {
  const forAll = pairsIn(daysOf(rows, null), null)
  const known = new Set(forAll.map((o) => `${o.first} ${o.second}`))
  const named = rows.flatMap((r) => [...r.others.map((o) => o.target), ...(r.only ?? [])])
  const apart = new Map(named.map((target) => [keyOf(target), target]))
  const theirs = [...apart.values()].flatMap((target) => pairsIn(daysOf(rows, target), target))
  return [...forAll, ...theirs.filter((o) => !known.has(`${o.first} ${o.second}`))]
}

interface Released extends WholeDays {
  readonly rowId: string
}

function daysOf(rows: readonly LaidRow[], target: Target | null): readonly Released[] {
  const key = target === null ? null : keyOf(target)
  return rows.flatMap((row) => {
    if (row.only !== null && !row.only.some((t) => keyOf(t) === key)) return []
    const own = key === null ? undefined : row.others.find((o) => keyOf(o.target) === key)
    const days = (own ?? row).days
    return days ? [{ rowId: row.rowId, ...days }] : []
  })
}

function pairsIn(released: readonly Released[], target: Target | null): readonly Overlap[] {
  const inTime = released.toSorted((a, b) => compare(a.opensOn, b.opensOn))
  return inTime.flatMap((a, i) =>
    inTime
      .slice(i + 1)
      .filter((b) => b.opensOn <= a.throughOn)
      .map((b) => ({ target, first: a.rowId, second: b.rowId, on: b.opensOn })),
  )
}

function compare(a: string, b: string): number {
  if (a === b) return 0
  return a < b ? -1 : 1
}
