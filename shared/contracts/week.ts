import { z } from 'zod'
import type { AssignmentId, ClassId, Instant, IsoDay, PieceId, PlanId } from '#core/base'
import type { DayNoteKind } from '#core/calendar'
import type { WeekDay, WeekSums } from '#core/week'
import { contract, day } from './define'

/** The week ahead of one's own classes. */
export interface WeekAhead {
  readonly mondayOn: IsoDay
  readonly zone: string
  readonly now: Instant
  readonly sums: WeekSums
  readonly closures: readonly {
    readonly name: string
    readonly fromOn: IsoDay
    readonly throughOn: IsoDay
    readonly kind: DayNoteKind
  }[]
  readonly classes: readonly {
    readonly classId: ClassId
    readonly name: string
    readonly shortName: string
    readonly learners: number
    readonly hasPlan: boolean
    readonly days: readonly WeekDay[]
  }[]
}
/** Without `on`, this week; from Friday afternoon on the next. */
export const ShowWeek = contract<WeekAhead>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/week',
  query: z.strictObject({ on: day.optional() }),
})

/** Who and what needs the teacher. Names are of learners of the class. */
export interface WeekNeeds {
  readonly late: readonly {
    readonly classId: ClassId
    readonly assignmentId: AssignmentId
    readonly title: string
    readonly learners: number
  }[]
  readonly toScore: readonly {
    readonly classId: ClassId
    readonly assignmentId: AssignmentId
    readonly pieceId: PieceId
    readonly title: string
    readonly texts: number
    /** Scored, and not shown to their learners yet. */
    readonly scored: number
  }[]
  /** Work that waits for learners who have no room for it; `tooLate`: its window has ended for so many meanwhile. */
  readonly queued: readonly {
    readonly classId: ClassId
    readonly assignmentId: AssignmentId
    readonly title: string
    readonly waits: number
    readonly tooLate: number
  }[]
  readonly classes: readonly {
    readonly classId: ClassId
    readonly name: string
    readonly planId: PlanId | null
    readonly stuck: readonly string[]
    /** How much the plan offers that nobody has answered. */
    readonly offers: number
    /** Series with rows that are not released. */
    readonly unreleased: readonly string[]
    /** Who carries more than the limits in the week. */
    readonly heavy: readonly string[]
    readonly ownTerms: readonly string[]
  }[]
}
export const ShowNeeds = contract<WeekNeeds>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/week-needs',
  query: z.strictObject({ mondayOn: day }),
})
