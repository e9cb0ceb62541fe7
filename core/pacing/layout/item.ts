import type { FixedDate, PlanLesson } from '../plan'
import type { Need, Position } from '../track'

/** One lesson still to be laid, how much of it, and the places that bind it. */
export interface Item extends Need {
  readonly lesson: PlanLesson
  readonly fixed: FixedDate | null
  /** It starts no earlier than this. */
  readonly earliest: Position
  /** A fixed start: it jumps there. -1: none, or one that the record has passed, so that it comes late. */
  readonly startsAt: Position
  /**
   * The latest place from which it still starts on its fixed day: the same, or later in that meeting when
   * another lesson fixed on the day stands before it. -1: none.
   */
  readonly startsBy: Position
  /** It ends by then; the end of the year, of its part, or of its last allowed day. */
  readonly endsBy: Position
  readonly endsBecause: 'year' | 'part' | 'fixed'
  /** It has a last day; what stands before it leaves it room. */
  readonly hasLastDay: boolean
  /** Part of it was held already: the rest is taught whole or left out, not shortened. */
  readonly isUnderWay: boolean
  /** It may not start right after a break. */
  readonly waits: boolean
}
