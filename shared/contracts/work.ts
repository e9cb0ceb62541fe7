import { z } from 'zod'
import type { AssignmentId, ClassId, GroupId, Instant, LessonId, ResourceId, UserId } from '#core/base'
import { ITEM_ORDERS, KEPT, LATE_PER, REVEALS } from '#core/attempts'
import type { AttemptRules } from '#core/attempts'
import type { Because, Target } from '#core/audience'
import type { LearnerTerms, Overrides, Window, WindowSpan, WindowSpec, WorkState } from '#core/availability'
import type { ResourceKind } from '#core/library'
import { contract, day, id, line, prose, version } from './define'
import type { Refusal } from './refusal'

const minuteOfDay = z.number().int().min(0).max(1440)
const moment = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('anchor'),
    lessonId: id<LessonId>(),
    edge: z.enum(['first', 'last']),
    offset: z.number().int().min(-400).max(400),
    step: z.enum(['meetings', 'days']),
    at: z.union([z.enum(['class-start', 'class-end', 'end-of-day']), z.strictObject({ minuteOfDay })]),
  }),
  z.strictObject({ kind: z.literal('day'), on: day }),
  z.strictObject({ kind: z.literal('time'), on: day, minuteOfDay }),
])
const windowShape = {
  listed: moment.nullable(),
  opens: moment.nullable(),
  due: moment.nullable(),
  closes: moment.nullable(),
  putAway: moment.nullable(),
}
const whole = z.number().int().min(1, 'is below 1')
export const rulesInput = z.strictObject({
  // sense is made of these by the core, which names the field to correct
  maxAttempts: z.number().max(50, 'is above 50').nullable(),
  kept: z.enum(KEPT),
  waitMinutes: z.number().max(20_160, 'is above 20,160'),
  timeLimitMinutes: z.number().max(600, 'is above 600').nullable(),
  order: z.enum(ITEM_ORDERS),
  feedback: z.enum(REVEALS),
  answers: z.enum(REVEALS),
  late: z
    .strictObject({ percentPerDay: z.number(), per: z.enum(LATE_PER), floorPercent: z.number() })
    .nullable(),
})
const overrides = z.strictObject({
  window: z.strictObject(windowShape).partial().optional(),
  maxAttempts: whole.max(50).nullable().optional(),
  timeLimitMinutes: whole.max(600).nullable().optional(),
})
const target = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('class'), classId: id<ClassId>() }),
  z.strictObject({ kind: z.literal('group'), groupId: id<GroupId>() }),
  z.strictObject({ kind: z.literal('learner'), learnerId: id<UserId>() }),
])
export const draftInput = z.strictObject({
  resourceId: id<ResourceId>(),
  title: line(120),
  note: prose(1000),
  window: z.strictObject(windowShape),
  rules: rulesInput,
  targets: z.array(z.strictObject({ target, overrides })).max(300),
  exceptIds: z.array(id<UserId>()).max(300),
})
export type DraftInput = z.output<typeof draftInput>

export interface ClassPreview {
  readonly classId: ClassId
  readonly name: string
  readonly learners: number
  readonly window: Window | null
  readonly span: WindowSpan | null
  readonly problem: Refusal | null
}
export interface WhoGetsWhat {
  readonly learnerId: UserId
  readonly name: string
  readonly classId: ClassId
  readonly terms: LearnerTerms
  readonly because: readonly Because<LearnerTerms>[]
}
/** What publishing would do. `targetCounts` stands beside the targets, in their order. */
export interface Preview {
  readonly learners: number
  readonly classes: readonly ClassPreview[]
  readonly who: readonly WhoGetsWhat[]
  readonly targetCounts: readonly number[]
  readonly problems: readonly Refusal[]
}
export const PreviewWork = contract<Preview>()({
  method: 'POST',
  path: '/api/work/preview',
  body: draftInput,
})
export const Assign = contract<{ readonly assignmentId: AssignmentId; readonly learners: number }>()({
  method: 'POST',
  path: '/api/work',
  body: z.strictObject({ draft: draftInput, publish: z.boolean() }),
})

const ofWork = z.strictObject({ assignmentId: id<AssignmentId>() })
export const ChangeWork = contract<{ readonly learners: number }>()({
  method: 'POST',
  path: '/api/work/:assignmentId',
  params: ofWork,
  body: z.strictObject({ version, draft: draftInput }),
})
export const PublishWork = contract<{ readonly learners: number }>()({
  method: 'POST',
  path: '/api/work/:assignmentId/publish',
  params: ofWork,
  body: z.strictObject({ version }),
})
export const WithdrawWork = contract<{ readonly done: true }>()({
  method: 'POST',
  path: '/api/work/:assignmentId/withdraw',
  params: ofWork,
  body: z.strictObject({ version }),
})

/** One assignment in the list; `needs` sorts it. */
export const NEEDS = ['to-publish', 'late', 'open', 'coming-up', 'done', 'withdrawn'] as const
export type Need = (typeof NEEDS)[number]
export interface WorkRow {
  readonly id: AssignmentId
  readonly title: string
  readonly kind: ResourceKind
  readonly state: 'held' | 'published' | 'withdrawn'
  readonly version: number
  readonly need: Need
  readonly learners: number
  readonly handedIn: number
  readonly inProgress: number
  readonly mean: number | null
  readonly classes: readonly {
    readonly classId: ClassId
    readonly name: string
    readonly learners: number
    readonly opensAt: Instant | null
    readonly dueAt: Instant | null
    readonly state: WorkState
  }[]
}
export const ListWork = contract<{ readonly work: readonly WorkRow[]; readonly now: Instant }>()({
  method: 'GET',
  path: '/api/work',
})
export interface WorkPage {
  readonly id: AssignmentId
  readonly version: number
  readonly state: 'held' | 'published' | 'withdrawn'
  readonly begun: number
  readonly draft: {
    readonly resourceId: ResourceId
    readonly title: string
    readonly note: string
    readonly window: WindowSpec
    readonly rules: AttemptRules
    readonly targets: readonly { readonly target: Target; readonly overrides: Overrides }[]
    readonly exceptIds: readonly UserId[]
  }
}
export const ShowWork = contract<WorkPage>()({
  method: 'GET',
  path: '/api/work/:assignmentId',
  params: ofWork,
})

export interface Recipients {
  readonly classes: readonly {
    readonly id: ClassId
    readonly name: string
    readonly course: string
    readonly learners: readonly { readonly id: UserId; readonly name: string }[]
  }[]
  readonly groups: readonly {
    readonly id: GroupId
    readonly classId: ClassId
    readonly name: string
    readonly learners: number
  }[]
}
/** Whom the asking teacher can assign to. */
export const ListRecipients = contract<Recipients>()({ method: 'GET', path: '/api/recipients' })
