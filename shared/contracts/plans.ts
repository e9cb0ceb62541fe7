import { z } from 'zod'
import type { BookId, ClassId, LessonId, PlanId } from '#core/base'
import type { SchoolYear } from '#core/calendar'
import type { OutlineReading, PlanTableReading } from '#core/formats'
import type { Beginning, Plan } from '#core/pacing'
import { WIRE } from '../shapes/makers'
import { columnsChosen, contract, day, id, line } from './define'

/** Dry run of a pasted or uploaded outline. */
export const ReadOutline = contract<OutlineReading>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/read-outline',
  body: z.strictObject({ text: z.string(), columns: columnsChosen }),
  mostBytes: 600_000,
})
export const MakePlan = contract<{ readonly planId: PlanId }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans',
  body: z.strictObject({
    title: line(80),
    course: line(60),
    text: z.string(),
    columns: columnsChosen,
    skipBad: z.boolean().optional(),
  }),
  mostBytes: 600_000,
})
/** Takes a textbook's ready plan. */
export const AdoptBook = contract<{ readonly planId: PlanId }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/adopt',
  body: z.strictObject({ bookId: id<BookId>() }),
})
export interface LaidOut {
  readonly placed: number
  readonly slackHalves: number
  readonly notPlaced: readonly {
    readonly lessonId: LessonId
    readonly number: string
    readonly title: string
    readonly needHalves: number
    readonly freeHalves: number | null
  }[]
}
/** From which day and lesson a plan is laid where it does not begin with the year. */
export const beginning = z.strictObject({
  fromOn: day,
  nextId: id<LessonId>().nullable(),
}) satisfies z.ZodType<Beginning>

/** Lays a plan onto classes; what does not fit is listed with the reason. */
/** `kept`: classes that have the plan and keep it as it is, by name. */
export interface LaidOnClasses extends LaidOut {
  readonly classes: number
  readonly kept: readonly string[]
}
export const LayPlan = contract<LaidOnClasses>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/:planId/lay',
  params: z.strictObject({ planId: id<PlanId>() }),
  body: z.strictObject({
    classIds: WIRE.list(id<ClassId>(), 20).refine((list) => list.length > 0, 'names no class'),
    from: beginning.nullable().default(null),
    /** The plan that each of these classes was seen to have, in their order; null: none. */
    seen: WIRE.list(id<PlanId>().nullable(), 20),
  }),
})

const ofPlan = z.strictObject({ planId: id<PlanId>() })
/** A plan to look at or change, with the school year it is most likely laid on. */
export interface PlanPage {
  readonly plan: Plan
  readonly mayEdit: boolean
  readonly owner: string
  readonly year: SchoolYear | null
  readonly classes: readonly { readonly id: ClassId; readonly name: string }[]
}
export const ShowPlan = contract<PlanPage>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/plans/:planId',
  params: ofPlan,
})
/** A copy of a plan of the school as one's own. */
export const CopyPlan = contract<{ readonly planId: PlanId }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/:planId/copy',
  params: ofPlan,
})
/** Dry run of a pasted plan table. */
export const ReadPlanTable = contract<PlanTableReading>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/plans/read-table',
  body: z.strictObject({ text: z.string(), columns: columnsChosen }),
  mostBytes: 600_000,
})
