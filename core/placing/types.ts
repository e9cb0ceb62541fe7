import type { AssignmentId, IsoDay, ResourceId } from '../base'
import type { AssignmentState } from '../work'

/** As many pieces as one act lays. */
export const MOST_LAID = 60
/** As many days as a stretch of time for placing may have. */
export const MOST_DAYS = 190

/** From which day work is there, and through which it can be handed in; null: without an end. */
export interface PlacedDays {
  readonly opensOn: IsoDay
  readonly throughOn: IsoDay | null
}

/**
 * Where a piece lies for one class or group. `isOwn`: it was moved for them alone, and no longer goes with the
 * others.
 */
export interface LaidDays extends PlacedDays {
  readonly isOwn: boolean
}

/** A piece to lay on a day. */
export interface ToLay {
  readonly resourceId: ResourceId
  readonly on: IsoDay
}

/** Where work lies for one column. */
export interface LiesAt extends LaidDays {
  readonly key: string
  /** It lies on whole days, and can be moved; else it hangs on a lesson, or has moments of its own. */
  readonly isByDays: boolean
  /** Only some of a class have it then: a group's name, or learners'; empty: all for whom the column is. */
  readonly whose: string
}

/** Work that lies in a stretch of time, in one column or several. */
export interface PlacedStone {
  readonly assignmentId: AssignmentId
  readonly version: number
  readonly title: string
  readonly state: AssignmentState
  readonly resourceIds: readonly ResourceId[]
  readonly minutes: number
  /** So many learners have begun. */
  readonly begun: number
  readonly at: readonly LiesAt[]
}
