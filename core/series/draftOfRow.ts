import { keyOf } from '../audience'
import type { Target } from '../audience'
import type { WindowSpec } from '../availability'
import type { ResourceKind } from '../library'
import { NO_ABOUT, plainPiece, rulesSuiting } from '../work'
import type { AssignmentTarget, Draft } from '../work'
import type { LaidRow, Series, WholeDays } from './types'

/** What a row hands out: the piece in the form that stands now. */
export interface RowPiece {
  readonly title: string
  readonly revision: number
  readonly kind: ResourceKind
}

/**
 * A released row as an assignment: open on its first day, due and closed at the end of its last, both whole; groups
 * and learners for whom it is otherwise have their own days. Null when the row is not released.
 */
export function draftOfRow(
  series: Pick<Series, 'rows' | 'targets' | 'rules'>,
  laid: LaidRow,
  piece: RowPiece,
): Draft | null {
  const row = series.rows.find((r) => r.id === laid.rowId)
  if (!row || laid.days === null) return null
  return {
    pieces: [plainPiece({ resourceId: row.resourceId, revision: piece.revision })],
    title: piece.title,
    note: '',
    about: NO_ABOUT,
    isFirst: false,
    inTurn: false,
    window: windowOf(laid.days),
    rules: rulesSuiting(series.rules, piece.kind),
    targets: targetsOf(row.only ?? series.targets, laid),
    exceptIds: [],
    overCeiling: [],
    newcomers: true,
    teams: [],
  }
}

function windowOf({ opensOn, throughOn }: WholeDays): WindowSpec {
  const opens = { kind: 'day', on: opensOn } as const
  const due = { kind: 'day', on: throughOn } as const
  return { listed: null, opens, due, closes: due, putAway: null }
}

/**
 * Those of the series, or of the row alone, and those for whom the row is otherwise; who has no days of their own has
 * the row's.
 */
function targetsOf(targets: readonly Target[], laid: LaidRow): readonly AssignmentTarget[] {
  const apart = new Map(laid.others.map((o) => [keyOf(o.target), o]))
  const named = new Map(targets.map((t) => [keyOf(t), t]))
  for (const { target } of laid.others) named.set(keyOf(target), target)
  return [...named].map(([key, target]) => {
    const days = apart.get(key)?.days
    if (!days) return { target, overrides: {} }
    const { opens, due, closes } = windowOf(days)
    return { target, overrides: { window: { opens, due, closes } } }
  })
}
