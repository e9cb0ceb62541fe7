import { z } from 'zod'
import type { AssignmentId, ClassId, Instant, LessonId, PlanId } from '#core/base'
import type { PatternRow, SchoolYear } from '#core/calendar'
import type { ClassPacing, PacingCommand, Plan } from '#core/pacing'
import { contract, day, id, line } from './define'

export interface DeskClass { readonly id: ClassId, readonly name: string, readonly shortName: string, readonly course: string, readonly planId: PlanId | null, readonly version: number, readonly pattern: readonly PatternRow[], readonly pacing: ClassPacing, readonly learners: number, readonly mayChange: boolean }
/** Work of one class as the desk shows it. */
export interface DeskWork { readonly assignmentId: AssignmentId, readonly classId: ClassId, readonly title: string, readonly state: 'held' | 'published' | 'withdrawn', readonly opensAt: Instant | null, readonly dueAt: Instant | null, readonly lessonIds: readonly LessonId[] }
export interface Steps { readonly undo: PacingCommand | null, readonly redo: PacingCommand | null }
/** Everything from which the desk computes its layouts with the same core as the server. */
export interface Desk { readonly year: SchoolYear | null, readonly plans: readonly Plan[], readonly classes: readonly DeskClass[], readonly work: readonly DeskWork[], readonly steps: Steps, readonly now: Instant }
export const ShowDesk = contract<Desk>()({ method: 'GET', path: '/api/desk' })

const change = { on: day, startMinute: z.number().int().min(0).max(1439), why: line(80) }
const minutes = z.number().int().min(5, 'is below 5').max(600, 'is above 600')
const meetingChange = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cancel'), ...change }), z.strictObject({ kind: z.literal('add'), ...change, minutes }), z.strictObject({ kind: z.literal('minutes'), ...change, minutes }),
]).nullable()
export const commandInput = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('length'), classId: id<ClassId>(), lessonId: id<LessonId>(), from: z.number().int().nullable(), to: z.number().int().nullable() }),
  z.strictObject({ kind: z.literal('meeting'), classId: id<ClassId>(), on: day, startMinute: z.number().int().min(0).max(1439), from: meetingChange, to: meetingChange }),
])

/** One class after a planning act. `stuck`: titles of work whose anchors no longer fit the year and whose windows stay as they were. */
export interface Replanned { readonly classId: ClassId, readonly version: number, readonly pacing: ClassPacing, readonly work: readonly DeskWork[], readonly moved: number, readonly stuck: readonly string[], readonly steps: Steps }
export const DoCommand = contract<Replanned>()({ method: 'POST', path: '/api/desk/command', body: commandInput })
/** Takes back (or does again) the asking teacher's own last act. */
export const Undo = contract<Replanned | null>()({ method: 'POST', path: '/api/desk/undo' })
export const Redo = contract<Replanned | null>()({ method: 'POST', path: '/api/desk/redo' })
