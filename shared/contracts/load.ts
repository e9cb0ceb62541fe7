import { z } from 'zod'
import type { ClassId, Instant, IsoDay, Minutes, UserId } from '#core/base'
import type { ResourceKind } from '#core/library'
import { SPREADS } from '#core/load'
import type { Load, LoadLimits } from '#core/load'
import { contract, id } from './define'

/** What learners of a class carry, in all of their classes, week by week. */
export interface ClassLoad {
  readonly classId: ClassId
  readonly name: string
  readonly zone: string
  /** Mondays, in order. */
  readonly weeks: readonly IsoDay[]
  readonly learners: readonly LearnerWeeks[]
  readonly limits: LoadLimits
  readonly now: Instant
}
/** A learner's weeks, by their places. */
export interface LearnerWeeks {
  readonly id: UserId
  readonly name: string
  /** Whole minutes in each week. */
  readonly minutes: readonly Minutes[]
  /** Pieces whose last day lies in each week. */
  readonly pieces: readonly number[]
  /** Places of weeks that are over a limit as a whole. */
  readonly heavyWeeks: readonly number[]
  /** Places of weeks in which a day is too much. */
  readonly heavyDays: readonly number[]
}
export const ShowLoad = contract<ClassLoad>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/load',
  params: z.strictObject({ classId: id<ClassId>() }),
  query: z.strictObject({ spread: z.enum(SPREADS) }),
})

/** Weeks in which learners of a class carry more than the limits, with how many they are; other weeks are absent. */
export const ShowHeavyWeeks = contract<{
  readonly weeks: readonly { readonly mondayOn: IsoDay; readonly learners: number }[]
}>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/heavy-weeks',
  params: z.strictObject({ classId: id<ClassId>() }),
})

/** What one learner of a class carries day by day, and the pieces of all their classes. */
export interface LearnersPieces {
  /** Of this learner alone. */
  readonly load: Load
  /** Days that are too much. */
  readonly heavyDays: readonly IsoDay[]
  readonly pieces: readonly {
    readonly title: string
    readonly className: string
    readonly kind: ResourceKind
    readonly minutes: number
    readonly fromOn: IsoDay
    readonly throughOn: IsoDay
  }[]
}
export const ShowLoadOf = contract<LearnersPieces>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/load/:learnerId',
  params: z.strictObject({ classId: id<ClassId>(), learnerId: id<UserId>() }),
  query: z.strictObject({ spread: z.enum(SPREADS) }),
})
