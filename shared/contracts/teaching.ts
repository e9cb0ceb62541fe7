import { GRADES, isGrade } from '#core/audience'
import type { GroupRule } from '#core/audience'
import { z } from 'zod'
import type { ClassId, GroupId, Instant, IsoDay, PlanId, UserId, YearId } from '#core/base'
import type { PatternRow, SchoolYear } from '#core/calendar'
import type { ClosureReading, FoundClosure, RosterReading } from '#core/formats'
import type { Accommodation } from '#core/availability'
import { calendarShapes } from '../shapes/calendar'
import { WIRE } from '../shapes/makers'
import { workShapes } from '../shapes/work'
import { columnsChosen, contract, day, id, line } from './define'
import { beginning } from './plans'

const { groupRule } = workShapes(WIRE)
const grade = z.number().refine(isGrade, `is not a grade from ${GRADES[0]} to ${GRADES.length}`)

const archivable = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('year'), id: id<YearId>() }),
  z.strictObject({ kind: z.literal('class'), id: id<ClassId>() }),
  z.strictObject({ kind: z.literal('plan'), id: id<PlanId>() }),
  z.strictObject({ kind: z.literal('group'), id: id<GroupId>() }),
])
/** A year, class, plan or group that can be taken away or brought back. */
export type Thing = z.output<typeof archivable>

export interface ClassCard {
  readonly id: ClassId
  readonly name: string
  readonly shortName: string
  readonly course: string
  readonly planId: PlanId | null
  readonly planTitle: string | null
  readonly yearId: YearId
  readonly learners: number
  readonly mine: boolean
  /** The asker made it; others may teach it, too. */
  readonly isOwn: boolean
}
export interface PlanCard {
  readonly id: PlanId
  readonly title: string
  readonly course: string
  readonly lessons: number
  readonly meetings: number
  readonly mine: boolean
}
/** Something that is out of use. */
export type Archived = Thing & {
  readonly title: string
  /** Of a class: when it was taken out of use; null: it is not known. */
  readonly goneAt: Instant | null
  /** The colleague who did it within the last 30 days; null: oneself, or it is not known. */
  readonly goneBy: string | null
  readonly mayBringBack: boolean
}
/** What a teacher has: years, classes, plans. Empty lists tell what to do first. */
export interface Overview {
  readonly years: readonly { readonly year: SchoolYear; readonly version: number }[]
  readonly classes: readonly ClassCard[]
  readonly plans: readonly PlanCard[]
  readonly mayEditYear: boolean
  /** What was taken out of use and can be brought back. */
  readonly archived: readonly Archived[]
}
export const ShowOverview = contract<Overview>()({ for: 'teacher', method: 'GET', path: '/api/overview' })

const { yearWithoutId: yearInput, patternRow } = calendarShapes(WIRE)
export type YearInput = z.output<typeof yearInput>
export const MakeYear = contract<{ readonly yearId: YearId }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/years',
  body: yearInput,
})
export interface HolidayOffer {
  readonly countries: readonly { readonly code: string; readonly name: string }[]
  readonly regions: readonly { readonly code: string; readonly name: string }[]
  readonly holidays: readonly FoundClosure[]
}
/** Public holidays in a year, of a country and region. */
export const OfferHolidays = contract<HolidayOffer>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/holidays',
  query: z.strictObject({
    firstOn: day,
    lastOn: day,
    country: z.string().max(8).optional(),
    region: z.string().max(8).optional(),
  }),
})
/** Dry run: what an .ics file would add as closures. Nothing is changed. */
export const ReadClosures = contract<ClosureReading>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/read-closures',
  body: z.strictObject({ text: z.string(), firstOn: day, lastOn: day, zone: z.string().min(1).max(60) }),
  mostBytes: 1_200_000,
})

export const MakeClass = contract<{ readonly classId: ClassId; readonly joinCode: string }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes',
  body: z.strictObject({
    yearId: id<YearId>(),
    name: line(60),
    shortName: line(8),
    course: line(60),
    pattern: WIRE.list(patternRow, 60),
    planId: id<PlanId>().nullable().default(null),
    from: beginning.nullable().default(null),
  }),
})

export interface LearnerRow {
  readonly id: UserId
  readonly name: string
  readonly signIn: string | null
  readonly groupIds: readonly GroupId[]
  readonly accommodation: Accommodation
  readonly grade: number | null
  /** Their start line: work that was over before is none of theirs. */
  readonly startsOn: IsoDay
}
/** A group that stands in a class. */
export interface ClassGroup {
  readonly id: GroupId
  readonly name: string
  readonly rule: GroupRule | null
  /** All classes in which it stands. */
  readonly classIds: readonly ClassId[]
  /** How many are in it, in all of its classes. */
  readonly learners: number
}
export interface ClassPage {
  readonly id: ClassId
  readonly name: string
  readonly shortName: string
  readonly course: string
  readonly joinCode: string
  /** Whether the code lets learners in. */
  readonly joinOpen: boolean
  readonly isArchived: boolean
  readonly version: number
  readonly mayRun: boolean
  /** Take it away, or bring it back: for everybody who teaches it. */
  readonly mayArchive: boolean
  readonly pattern: readonly PatternRow[]
  readonly year: SchoolYear
  readonly planId: PlanId | null
  readonly planTitle: string | null
  readonly learners: readonly LearnerRow[]
  readonly groups: readonly ClassGroup[]
  /** The asker's own classes, into which a group may reach. */
  readonly ownClasses: readonly { readonly id: ClassId; readonly name: string }[]
  readonly teachers: readonly string[]
  readonly meetings: number
  readonly lost: readonly { readonly on: IsoDay; readonly because: string }[]
  readonly terms: readonly {
    readonly name: string
    readonly meetings: number
    readonly lost: number
    readonly shortened: number
  }[]
}
const ofClass = z.strictObject({ classId: id<ClassId>() })
export const ShowClass = contract<ClassPage>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId',
  params: ofClass,
})

export interface RosterTrial extends RosterReading {
  readonly known: readonly string[]
  readonly fresh: readonly string[]
  /** Of those in the class already, who gets a grade. */
  readonly graded: readonly string[]
  /** Classes that rows name and that are not this one, with how many rows. */
  readonly elsewhere: readonly { readonly className: string; readonly count: number }[]
}
/** Dry run of a pasted or uploaded roster. */
export const ReadRoster = contract<RosterTrial>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/read-roster',
  params: ofClass,
  body: z.strictObject({ text: z.string(), columns: columnsChosen, withOthers: z.boolean().optional() }),
  mostBytes: 600_000,
})
/**
 * Adds the readable rows of a roster; refused as a whole while rows are bad, unless `skipBad` says to leave
 * those out.
 */
export const AddRoster = contract<{ readonly added: number; readonly known: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/roster',
  params: ofClass,
  body: z.strictObject({
    text: z.string(),
    skipBad: z.boolean(),
    columns: columnsChosen,
    /** Takes learners of other classes into this one, too. */
    withOthers: z.boolean().optional(),
  }),
  mostBytes: 600_000,
})
export const SaveGroup = contract<{ readonly groupId: GroupId; readonly learners: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/groups',
  params: ofClass,
  body: z.strictObject({
    groupId: id<GroupId>().nullable(),
    /** Further classes whose learners may be in it. */
    alsoIn: WIRE.list(id<ClassId>(), 40).default([]),
    name: line(40),
    /** Null: who is in it stays. */
    learnerIds: WIRE.list(id<UserId>(), 400).nullable(),
    rule: groupRule.nullable(),
    /** What it was when it was opened; null: it is new. */
    seen: z
      .strictObject({
        name: line(40),
        classIds: WIRE.list(id<ClassId>(), 41),
        rule: groupRule.nullable(),
        /** Null: they were not looked at. */
        learnerIds: WIRE.list(id<UserId>(), 400).nullable(),
      })
      .nullable(),
  }),
})
/** Puts one learner into a group, or takes them out. */
export const SetMember = contract<{ readonly done: true }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/members',
  params: ofClass,
  body: z.strictObject({ groupId: id<GroupId>(), learnerId: id<UserId>(), isIn: z.boolean() }),
})
/** Puts learners into a grade; null: none that is known. */
export const GradeLearners = contract<{ readonly learners: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/grades',
  params: ofClass,
  body: z.strictObject({
    learnerIds: WIRE.list(id<UserId>(), 400),
    grade: grade.nullable(),
    /** The grades that were shown, in the order of the learners. */
    seen: WIRE.list(grade.nullable(), 400),
  }),
})
const extra = {
  timeFactor: z.number().min(1, 'is below 1').max(4, 'is above 4'),
  extraAttempts: z.number().int().min(0).max(20),
  extraDays: z.number().int().min(0).max(60),
}
/** What holds of a learner in all work; a grade or a start line that is absent stays. */
export const SetAccommodation = contract<{ readonly done: true }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/accommodation',
  params: ofClass,
  body: z.strictObject({
    learnerId: id<UserId>(),
    ...extra,
    grade: grade.nullable().optional(),
    /** Their start line in the class. */
    startsOn: day.optional(),
    /** What stood there when it was opened. */
    seen: z.strictObject({ ...extra, grade: grade.nullable(), startsOn: day }),
  }),
})

const ofLearner = z.strictObject({ learnerId: id<UserId>() })
/** What a learner needs to sign in; the password is shown this once. */
export interface SignInCard {
  readonly name: string
  readonly signIn: string
  readonly password: string
}
/** A new password for a learner, which they have to change; their sessions end. */
export const ResetPassword = contract<SignInCard>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/reset-password',
  params: ofClass,
  body: ofLearner,
})
/** Takes a learner out of a class. */
export const RemoveLearner = contract<{ readonly done: true }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/remove-learner',
  params: ofClass,
  body: ofLearner,
})
/** Closes a class to newcomers, opens it, or gives it another code. */
export const SetJoining = contract<{ readonly joinCode: string; readonly joinOpen: boolean }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/joining',
  params: ofClass,
  body: z.strictObject({
    act: z.enum(['close', 'open', 'renew']),
    /** What was shown. */
    seen: z.strictObject({ joinCode: z.string().max(40), joinOpen: z.boolean() }),
  }),
})

/** Takes something away: for good while nothing hangs on it, else into the archive. */
export const TakeAway = contract<{ readonly done: 'deleted' | 'archived' }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/take-away',
  body: archivable,
})
/** Brings something back from the archive. */
export const BringBack = contract<{ readonly done: true }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/bring-back',
  body: archivable,
})
