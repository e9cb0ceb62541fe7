import { z } from 'zod'
import type { AssignmentId, ClassId, Instant, LessonId, PlanId } from '#core/base'
import type { PatternRow, SchoolYear } from '#core/calendar'
import type { ClassCommand, ClassPacing, Consequence, Plan, Way } from '#core/pacing'
import type { SaidAct } from '#core/journal'
import type { AssignmentState } from '#core/work'
import { contract, id } from './define'
import { commandShapes } from '../shapes/command'
import { WIRE } from '../shapes/makers'

export interface DeskClass {
  readonly id: ClassId
  readonly name: string
  readonly shortName: string
  readonly course: string
  readonly planId: PlanId | null
  readonly version: number
  readonly pattern: readonly PatternRow[]
  readonly pacing: ClassPacing
  readonly learners: number
  readonly mayChange: boolean
}
/** Work of one class as the desk shows it. */
export interface DeskWork {
  readonly assignmentId: AssignmentId
  readonly classId: ClassId
  readonly title: string
  readonly state: AssignmentState
  readonly opensAt: Instant | null
  readonly dueAt: Instant | null
  readonly lessonIds: readonly LessonId[]
}
/** What the asking teacher's undo and redo would do. */
export interface Steps {
  readonly undo: SaidAct | null
  readonly redo: SaidAct | null
}
/** Everything from which the desk computes its layouts with the same core as the server. */
export interface Desk {
  readonly year: SchoolYear | null
  readonly plans: readonly Plan[]
  readonly myPlanIds: readonly PlanId[]
  readonly mayEditYear: boolean
  readonly classes: readonly DeskClass[]
  readonly work: readonly DeskWork[]
  readonly steps: Steps
  readonly now: Instant
}
export const ShowDesk = contract<Desk>()({ for: 'teacher', method: 'GET', path: '/api/desk' })

/**
 * What a planning act changed. `stuck`: titles of work whose anchors no longer fit the year and whose windows
 * stay as they were.
 */
export interface Replanned {
  readonly classes: readonly {
    readonly id: ClassId
    readonly version: number
    readonly pacing: ClassPacing
    readonly pattern: readonly PatternRow[]
  }[]
  readonly affected: readonly ClassId[]
  readonly year: SchoolYear | null
  readonly plans: readonly Plan[]
  readonly work: readonly DeskWork[]
  readonly moved: number
  readonly stuck: readonly string[]
  readonly steps: Steps
}
const { command } = commandShapes(WIRE)
const MOST_BYTES = 3_000_000
export const DoCommand = contract<Replanned>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/desk/command',
  body: command,
  mostBytes: MOST_BYTES,
})
/** Takes back (or does again) the asking teacher's own last act. */
/** Takes back the last own act, or the one of this number. */
export const Undo = contract<Replanned | null>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/desk/undo',
  body: z.strictObject({ seq: WIRE.whole(1).nullable().default(null) }),
})
/** Leaves the last own act as it is, so that undo goes on with the one before. */
export const PassOver = contract<Replanned | null>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/desk/pass-over',
  body: z.strictObject({}),
})
export const Redo = contract<Replanned | null>()({ for: 'teacher', method: 'POST', path: '/api/desk/redo' })

/**
 * Work whose window a way out would move; `begun`: some learners have opened it, so that it may only grow for
 * them.
 */
export interface RippleWork {
  readonly assignmentId: AssignmentId
  readonly title: string
  readonly begun: boolean
  readonly stuck: boolean
  readonly opensAt: Instant | null
  readonly dueAt: Instant | null
  readonly newOpensAt: Instant | null
  readonly newDueAt: Instant | null
}
export interface WayShown {
  readonly way: Way
  readonly commands: readonly ClassCommand[]
  readonly consequence: Consequence
  readonly work: readonly RippleWork[]
}
export interface ClassRipple {
  readonly classId: ClassId
  readonly lostMeetings: number
  readonly ways: readonly WayShown[]
}
/** The five ways out of a change for every class it reaches. Nothing is changed. */
export const PreviewRipple = contract<{ readonly classes: readonly ClassRipple[] }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/desk/ripple',
  body: command,
  mostBytes: MOST_BYTES,
})

export interface PastAct {
  readonly seq: number
  readonly at: Instant
  readonly by: string
  readonly undone: boolean
  /** The asker did it, and has not taken it back. */
  readonly mayUndo: boolean
  readonly command: SaidAct
}
/** The latest planning acts on what is in view, newest first. */
export const ShowHistory = contract<{ readonly acts: readonly PastAct[] }>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/desk/history',
})

const ofClass = z.strictObject({ classId: id<ClassId>() })
/** The private calendar address of a class, if the teacher has made one. `path` begins with '/api/feeds/'. */
export interface ShownFeed {
  readonly path: string | null
  readonly createdAt: Instant | null
}
export const ShowFeed = contract<ShownFeed>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/feed',
  params: ofClass,
})
/** Makes a new address, which ends the old one; or only ends it. */
export const ChangeFeed = contract<ShownFeed>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/feed',
  params: ofClass,
  body: z.strictObject({ to: z.enum(['new', 'none']) }),
})
/** The feed itself, for calendar programs: no sign-in, the token is the key. */
export const ReadFeed = contract<unknown>()({
  for: 'anybody',
  method: 'GET',
  path: '/api/feeds/:token',
  params: z.strictObject({ token: z.string().min(20).max(80) }),
})
export const FILE_KINDS = ['calendar', 'layout'] as const
/** A class's calendar (.ics) or layout (.csv) as a file. */
export const ClassFile = contract<unknown>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/file',
  params: ofClass,
  query: z.strictObject({ kind: z.enum(FILE_KINDS) }),
})
/** A plan as .csv, in the form that the plan table takes back. */
export const PlanFile = contract<unknown>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/plans/:planId/file',
  params: z.strictObject({ planId: id<PlanId>() }),
})
