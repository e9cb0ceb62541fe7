import { z } from 'zod'
import type { ClassId, Instant, IsoDay, UserId } from '#core/base'
import type { ResourceKind } from '#core/library'
import { SPREADS } from '#core/load'
import type { Load, LoadCaution, LoadLimits } from '#core/load'
import { contract, id } from './define'

/** What learners of a class carry, in all of their classes, day by day and week by week. */
export interface ClassLoad {
  readonly classId: ClassId
  readonly name: string
  readonly zone: string
  readonly learners: readonly { readonly id: UserId; readonly name: string }[]
  readonly load: Load
  readonly limits: LoadLimits
  readonly cautions: readonly LoadCaution[]
  readonly now: Instant
}
export const ShowLoad = contract<ClassLoad>()({
  method: 'GET',
  path: '/api/classes/:classId/load',
  params: z.strictObject({ classId: id<ClassId>() }),
  query: z.strictObject({ spread: z.enum(SPREADS) }),
})

/** Weeks in which learners of a class carry more than the limits, with how many they are; other weeks are absent. */
export const ShowHeavyWeeks = contract<{
  readonly weeks: readonly { readonly mondayOn: IsoDay; readonly learners: number }[]
}>()({
  method: 'GET',
  path: '/api/classes/:classId/heavy-weeks',
  params: z.strictObject({ classId: id<ClassId>() }),
})

/** The pieces of one learner of a class, of all their classes. */
export interface LearnersPieces {
  readonly name: string
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
  method: 'GET',
  path: '/api/classes/:classId/load/:learnerId',
  params: z.strictObject({ classId: id<ClassId>(), learnerId: id<UserId>() }),
})
