import type { AttemptRules } from '../attempts'
import type { Target } from '../audience'
import type { ClassId, IsoDay, ResourceId, Weekday } from '../base'

/** As many rows as one series may have. */
export const MOST_ROWS = 400

/**
 * When one row of a series opens after the other. `stays` says how long each stays open, in the rule's own steps
 * (meetings, or days); null: until the next one opens.
 */
export type SeriesRule =
  /** The first on the first meeting from `from` on, each next one `every` meetings later. */
  | {
      readonly kind: 'meetings'
      readonly from: IsoDay
      readonly every: number
      readonly stays: number | null
    }
  /** On a weekday, every `every` weeks, from the first such day from `from` on. */
  | {
      readonly kind: 'weekly'
      readonly from: IsoDay
      readonly weekday: Weekday
      readonly every: number
      readonly stays: number | null
    }
  /** Each row by its own dates. */
  | { readonly kind: 'explicit' }

/** The days of a row, both whole and both included; null: open. */
export interface RowDays {
  readonly opensOn: IsoDay | null
  readonly throughOn: IsoDay | null
}

/** Other days of one row for a group or a learner; a day that is absent is the row's. */
export interface RowFor {
  readonly target: Target
  readonly days: Partial<RowDays>
}

/** One piece of a series; `own` is what somebody has set by hand, and stays when the rest moves. */
export interface SeriesRow {
  readonly id: string
  readonly resourceId: ResourceId
  readonly own: Partial<RowDays>
  /** For whom it is otherwise. */
  readonly others: readonly RowFor[]
  /** For whom alone it is; absent: for all of the series. */
  readonly only?: readonly Target[]
}

/** Pieces released one after another in a class: to all of it, or to some of its groups and learners. */
export interface Series {
  readonly title: string
  readonly classId: ClassId
  readonly rule: SeriesRule
  readonly rows: readonly SeriesRow[]
  readonly targets: readonly Target[]
  /** Under which every row is done. */
  readonly rules: AttemptRules
}

/** Of a series what its windows are laid out from. */
export type SeriesPlan = Pick<Series, 'rule' | 'rows'>

/** Days on which a row can open: those of a class's meetings, and those on which the school is open, in order. */
export interface SeriesDays {
  readonly meetingDays: readonly IsoDay[]
  readonly schoolDays: readonly IsoDay[]
  /** The last day of the school year. */
  readonly lastOn: IsoDay
}

/** Why a row is not released. */
export type NotReleased =
  /** It has no first or no last day. */
  | 'no-day'
  /** The year is over before its turn comes. */
  | 'past-the-year'
  /** By hand it ends before it opens. */
  | 'ends-first'

/** The first and the last day of a row that is released, both whole. */
export interface WholeDays {
  readonly opensOn: IsoDay
  readonly throughOn: IsoDay
}

/** Days that are both there, or why it is not released. */
export type RowDaysOrWhy =
  { readonly days: WholeDays; readonly why: null } | { readonly days: null; readonly why: NotReleased }

/** A row as it is laid out. */
export type LaidRow = RowDaysOrWhy & {
  readonly rowId: string
  /** The day on which it would have opened, had the school been open; null: it opens as planned. */
  readonly insteadOf: IsoDay | null
  /** For whom alone it is; null: for all of the series. */
  readonly only: readonly Target[] | null
  /** For whom it is otherwise, in the order of the row's own. */
  readonly others: readonly (RowDaysOrWhy & { readonly target: Target })[]
}

/** Two rows that are open on the same day, for everybody or for one group or learner. */
export interface Overlap {
  readonly target: Target | null
  readonly first: string
  readonly second: string
  /** The first day that they share. */
  readonly on: IsoDay
}
