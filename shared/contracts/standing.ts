import { z } from 'zod'
import type { AssignmentId, ClassId, Instant, PlanId, StandingId } from '#core/base'
import type { Window } from '#core/availability'
import type { Plan } from '#core/pacing'
import { MOST_STANDING } from '#core/standing'
import type { Offer, StandingPiece } from '#core/standing'
import type { AssignmentState } from '#core/work'
import { WIRE } from '../shapes/makers'
import { classWorkShapes } from '../shapes/classWork'
import { contract, id, version } from './define'
import type { SeriesPiece } from './series'

const { standing } = classWorkShapes(WIRE)
const ofPlan = z.strictObject({ planId: id<PlanId>() })

/** How a class stands to one piece of its plan's standing work. */
export interface ClassHas {
  readonly standingId: StandingId
  readonly classId: ClassId
  readonly assignmentId: AssignmentId | null
  readonly state: AssignmentState | null
  readonly offer: Offer
  readonly isRefused: boolean
}
export interface StandingOfPlan {
  readonly plan: Plan
  readonly mayEdit: boolean
  readonly standing: readonly {
    readonly id: StandingId
    readonly version: number
    readonly piece: StandingPiece
  }[]
  /** Taken out of the plan; a class may still have it. */
  readonly gone: readonly { readonly id: StandingId; readonly title: string }[]
  readonly classes: readonly {
    readonly id: ClassId
    readonly name: string
    readonly shortName: string
    readonly learners: number
    readonly mayChange: boolean
  }[]
  readonly has: readonly ClassHas[]
  readonly pieces: readonly SeriesPiece[]
}
export const ShowStanding = contract<StandingOfPlan>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/plans/:planId/standing',
  params: ofPlan,
})

interface Kept {
  readonly standingIds: readonly StandingId[]
}
export const AddStanding = contract<Kept>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/:planId/standing',
  params: ofPlan,
  body: z.strictObject({ pieces: WIRE.list(standing, 100) }),
  mostBytes: 1_000_000,
})
/** `piece` null: it is taken out. */
export const ChangeStanding = contract<Kept>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/:planId/standing/:standingId',
  params: z.strictObject({ planId: id<PlanId>(), standingId: id<StandingId>() }),
  body: z.strictObject({ version, piece: standing.nullable() }),
})

const MOST_CLASSES = 40
const classIds = WIRE.list(id<ClassId>(), MOST_CLASSES).refine((l) => l.length > 0, 'is empty')
const standingIds = WIRE.list(id<StandingId>(), MOST_STANDING).refine((l) => l.length > 0, 'is empty')

/** A piece in one class, as it would be laid there. */
export interface WouldBe {
  readonly standingId: StandingId
  readonly window: Window | null
  readonly isThere: boolean
  readonly isWithoutPlace: boolean
  readonly isOver: boolean
  /** Other work in which the class has the piece already; null: none. */
  readonly hadIn: string | null
}
export interface LayPreview {
  readonly now: Instant
  readonly classes: readonly {
    readonly classId: ClassId
    readonly name: string
    readonly zone: string
    readonly learners: number
    readonly rows: readonly WouldBe[]
  }[]
}
export const PreviewLay = contract<LayPreview>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/:planId/lay-work-preview',
  params: ofPlan,
  body: z.strictObject({ classIds }),
})
/** Which pieces, class by class: one that has no place in one class, or is over there, may go to the others. */
export const LayStanding = contract<{ readonly works: number; readonly classes: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/:planId/lay-work',
  params: ofPlan,
  body: z.strictObject({
    classes: WIRE.list(z.strictObject({ classId: id<ClassId>(), standingIds }), MOST_CLASSES).refine(
      (l) => l.length > 0,
      'is empty',
    ),
    publish: z.boolean(),
  }),
})
/** A class takes over what its plan offers, or leaves it as it is. */
export const AnswerOffers = contract<{ readonly works: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/:planId/offers',
  params: ofPlan,
  body: z.strictObject({ classId: id<ClassId>(), standingIds, take: z.boolean() }),
})
