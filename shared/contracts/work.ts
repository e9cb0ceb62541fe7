import { z } from 'zod'
import type {
  AssignmentId,
  ClassId,
  GroupId,
  Instant,
  LessonId,
  PieceId,
  PresetId,
  ResourceId,
  UserId,
} from '#core/base'
import type { MeanOnStandards } from '#core/evidence'
import type { BankPart } from '#core/attempts'
import type { LearnerTerms, Window, WindowSpan, WorkState } from '#core/availability'
import { RESOURCE_KINDS } from '#core/library'
import type { ResourceKind } from '#core/library'
import type { GivenVersion, Trail } from '#core/versions'
import { MOST_AT_ONCE, MOST_PIECES } from '#core/work'
import type { Caution } from '#core/lastLook'
import type { AssignmentState, Draft, More, Need, Preset, Progress, WorkBecause } from '#core/work'
import { WIRE } from '../shapes/makers'
import { workShapes } from '../shapes/work'
import { workCommandShapes } from '../shapes/workCommand'
import { contract, day, id, version } from './define'
import type { Refusal } from './refusal'

const { draft: draftInput } = workCommandShapes(WIRE)
const { rules: rulesInput } = workShapes(WIRE)
/** Further than a school year has meetings nothing is moved. */
const MOST_SHIFT = 200

export interface ClassPreview {
  readonly classId: ClassId
  readonly name: string
  readonly learners: number
  readonly window: Window | null
  /** Windows of the pieces that have moments of their own; null: it cannot stand there. */
  readonly pieces: readonly { readonly pieceId: PieceId; readonly window: Window | null }[]
  readonly span: WindowSpan | null
  readonly problem: Refusal | null
}
/** One learner and one piece. */
export interface WhoGetsWhat {
  readonly learnerId: UserId
  readonly pieceId: PieceId
  readonly name: string
  readonly classId: ClassId
  readonly terms: LearnerTerms
  /** What they are given of its versions; null: it has none. */
  readonly version: GivenVersion | null
  readonly because: readonly WorkBecause[]
}
/** What publishing would do. `targetCounts` stands beside the targets, in their order. */
export interface Preview {
  readonly learners: number
  /** Since when it is published; now while it is not. What has no opening opens then. */
  readonly from: Instant
  readonly classes: readonly ClassPreview[]
  readonly who: readonly WhoGetsWhat[]
  /** Whoever joins one of its classes gets it, so that it can go out before anybody has it. */
  readonly awaitsNewcomers: boolean
  /** The school's trails, from least support to most. */
  readonly trails: readonly Trail[]
  readonly targetCounts: readonly number[]
  readonly problems: readonly Refusal[]
  readonly cautions: readonly Caution[]
  /** Who would not have it yet: they wait until they have room for it. */
  readonly waiting: readonly UserId[]
  /** What can be drawn from, of each piece with items. */
  readonly banks: readonly { readonly pieceId: PieceId; readonly parts: readonly BankPart[] }[]
}
export const PreviewWork = contract<Preview>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work/preview',
  body: z.strictObject({ assignmentId: id<AssignmentId>().nullable(), draft: draftInput }),
})
export const Assign = contract<{ readonly assignmentId: AssignmentId; readonly learners: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work',
  body: z.strictObject({ draft: draftInput, publish: z.boolean() }),
})

const ofWork = z.strictObject({ assignmentId: id<AssignmentId>() })
/** Changes an assignment, and publishes it in the same act when asked to. */
export const ChangeWork = contract<{ readonly learners: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work/:assignmentId',
  params: ofWork,
  body: z.strictObject({ version, draft: draftInput, publish: z.boolean() }),
})
export const PublishWork = contract<{ readonly learners: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work/:assignmentId/publish',
  params: ofWork,
  body: z.strictObject({ version }),
})
export const WithdrawWork = contract<{ readonly done: true }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work/:assignmentId/withdraw',
  params: ofWork,
  body: z.strictObject({ version }),
})

const manyAct = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('publish') }),
  z.strictObject({ kind: z.literal('withdraw') }),
  z.strictObject({
    kind: z.literal('shift'),
    meetings: WIRE.whole(-MOST_SHIFT, MOST_SHIFT).refine((n) => n !== 0, 'is zero'),
  }),
])
/** What is done to several assignments at once. */
export type ManyAct = z.infer<typeof manyAct>
/** Publishes, takes back or moves several assignments as one step: all of them or none. */
export const ActOnMany = contract<{ readonly works: number; readonly learners: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work-at-once',
  body: z.strictObject({
    works: WIRE.list(z.strictObject({ assignmentId: id<AssignmentId>(), version }), MOST_AT_ONCE).refine(
      (l) => l.length > 0,
      'is empty',
    ),
    act: manyAct,
  }),
})

export const ListPresets = contract<{ readonly presets: readonly Preset[] }>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/presets',
})
/** Keeps attempt rules under a name, in place of what it stood for before. */
export const KeepPreset = contract<{ readonly presetId: PresetId }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/presets',
  body: z.strictObject({
    name: WIRE.line(60),
    classId: id<ClassId>().nullable(),
    kind: z.enum(RESOURCE_KINDS).nullable(),
    rules: rulesInput,
  }),
})
export const DropPreset = contract<{ readonly done: true }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/presets/:presetId/drop',
  params: z.strictObject({ presetId: id<PresetId>() }),
  body: z.strictObject({}),
})

/** Gives chosen learners one more try or more time, excuses them, or no longer does. */
export const GiveMore = contract<{ readonly learners: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work/:assignmentId/give',
  params: ofWork,
  body: z.strictObject({
    learnerIds: WIRE.list(id<UserId>(), 300).refine((l) => l.length > 0, 'is empty'),
    more: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('try'), pieceId: id<PieceId>() }),
      z.strictObject({ kind: z.literal('until'), on: day }),
      z.strictObject({ kind: z.literal('again'), pieceId: id<PieceId>(), on: day }),
      z.strictObject({ kind: z.literal('excused') }),
      z.strictObject({ kind: z.literal('not-excused') }),
    ]) satisfies z.ZodType<More>,
  }),
})

/** One class that an assignment goes to, with how far it is. */
export interface WorkInClass extends Progress {
  readonly classId: ClassId
  readonly name: string
  readonly window: Window
  readonly state: WorkState
  /** Whether its learners have it; its teacher may not have given it, or have taken it back. */
  readonly isGiven: boolean
  /** Its moments can no longer be worked out there, so that those that learners had stay. */
  readonly isStuck: boolean
}
/** One assignment in the list; `need` sorts it. */
export interface WorkRow extends Progress {
  readonly id: AssignmentId
  readonly title: string
  /** Of its first piece. */
  readonly kind: ResourceKind
  readonly pieces: number
  readonly state: AssignmentState
  /** Null: it never was. */
  readonly publishedAt: Instant | null
  /** Offered, not asked for. */
  readonly isRecommended: boolean
  readonly version: number
  readonly need: Need
  /** The lesson on which it hangs first; null: it hangs on none. */
  readonly lessonId: LessonId | null
  readonly classes: readonly WorkInClass[]
}
export const ListWork = contract<{ readonly work: readonly WorkRow[]; readonly now: Instant }>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/work',
})
export interface WorkPage {
  readonly id: AssignmentId
  readonly version: number
  readonly state: AssignmentState
  /** How many learners have begun. */
  readonly begun: number
  /** The same for each piece; one that nobody has begun is absent. */
  readonly begunOf: Readonly<Record<PieceId, number>>
  /** False: it goes to others' classes, too; what the asker does reaches only their own. */
  readonly isWhole: boolean
  readonly draft: Draft
}
export const ShowWork = contract<WorkPage>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/work/:assignmentId',
  params: ofWork,
})

export interface Recipients {
  readonly classes: readonly {
    readonly id: ClassId
    readonly name: string
    readonly course: string
    readonly learners: readonly {
      readonly id: UserId
      readonly name: string
      readonly grade: number | null
    }[]
  }[]
  readonly groups: readonly {
    readonly id: GroupId
    /** The asker's classes in which it stands. */
    readonly classIds: readonly ClassId[]
    readonly name: string
    readonly learnerIds: readonly UserId[]
    /** Who is in it follows from how the class stands. */
    readonly isByRule: boolean
  }[]
}
/** Whom the asking teacher can assign to. */
export const ListRecipients = contract<Recipients>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/recipients',
})

/** How learners of the asker's classes stand on the standards of pieces, and what they carry within a week. */
export const StandOfRecipients = contract<{
  readonly standards: readonly string[]
  readonly learners: readonly {
    readonly id: UserId
    readonly standing: MeanOnStandards | null
    readonly minutes: number
    /** How many pieces of the category they have open, of how many they may; null: their class has no ceiling on it. */
    readonly open: { readonly pieces: number; readonly most: number } | null
  }[]
}>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/recipients/standing',
  body: z.strictObject({
    resourceIds: WIRE.list(id<ResourceId>(), MOST_PIECES),
    category: WIRE.prose(60),
  }),
})
