import type { LessonId } from '../../base'
import type { Position } from '../track'

/** A stretch that is too short for its lessons even when everything that may be cut is cut. */
export interface Shortfall {
  readonly lessonIds: readonly LessonId[]
  /** The lesson with a date that ends the stretch; null: the end of a part or of the year. */
  readonly upTo: LessonId | null
  /** Half meetings that are missing; at least one. */
  readonly halves: number
}

/** A shortening (`to` > 0) or an omission (`to` = 0), in the lesson's own unit: half meetings or minutes. */
export interface Cut {
  readonly lessonId: LessonId
  readonly unit: 'meetings' | 'minutes'
  readonly from: number
  readonly to: number
  readonly price: number
}

export interface Fit {
  /** Everything that is not cut lies within its stretch. */
  readonly fits: boolean
  readonly cuts: readonly Cut[]
  readonly price: number
  /** The stretches that cannot fit whatever is cut, and by how many half meetings; empty when it fits. */
  readonly short: readonly Shortfall[]
}

export interface FitInput {
  /** Lessons that may be cut; absent: all. */
  readonly among?: ReadonlySet<LessonId>
  /** Lessons the teacher wants as they are. */
  readonly keep?: ReadonlySet<LessonId>
  /** Lessons the teacher wants left out, at no price. */
  readonly leaveOut?: ReadonlySet<LessonId>
  /** What may be done: everything; only leaving out optional lessons; only eating buffers. */
  readonly by?: 'all' | 'optional' | 'buffers'
  /**
   * A place by which the items before this index have to end, kept beside the fixed dates: slack that is to
   * stay.
   */
  readonly endBefore?: { readonly index: number; readonly at: Position }
}
