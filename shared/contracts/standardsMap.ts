import { z } from 'zod'
import type { ClassId, Instant, UserId } from '#core/base'
import type { SpreadOnStandard, StandardColumn, StandingOnStandard } from '#core/evidence'
import { contract, id } from './define'

/** A standard as a column of a class's map: what it says, and where the class stands on it. */
export interface MapColumn extends StandardColumn {
  readonly text: string
  readonly spread: SpreadOnStandard
}
export interface StandardsMap {
  readonly classId: ClassId
  readonly name: string
  readonly zone: string
  readonly now: Instant
  readonly learners: readonly { readonly id: UserId; readonly name: string }[]
  readonly columns: readonly MapColumn[]
  /** What has been seen of each learner; what is absent has not. */
  readonly standings: readonly (StandingOnStandard & {
    readonly learnerId: UserId
    readonly code: string
  })[]
}
/** How a class stands on the standards of its plan and its work, in the plan's order. */
export const ShowStandardsMap = contract<StandardsMap>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/standards',
  params: z.strictObject({ classId: id<ClassId>() }),
})
