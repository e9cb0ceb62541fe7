import type { ClassId, Instant, PlanId, SchoolId, UserId, YearId } from '#core/base'
import type { PatternRow, SchoolYear } from '#core/calendar'
import type { JournalCommand } from '#core/journal'
import type { ClassPacing, Plan } from '#core/pacing'
import { classBody, commandBody, planBody, yearBody } from './bodies'

/** A class with what it does differently from plan and timetable. `version` counts changes. */
export interface ClassRecord {
  readonly id: ClassId
  readonly schoolId: SchoolId
  readonly yearId: YearId
  readonly name: string
  readonly shortName: string
  readonly course: string
  readonly joinCode: string
  /** Whether the joining code lets anybody in. */
  readonly joinOpen: boolean
  readonly planId: PlanId | null
  readonly position: number
  readonly version: number
  readonly archivedAt: Instant | null
  /** Who took it out of use; null: nobody, or it is not known. */
  readonly archivedBy: UserId | null
  readonly pattern: readonly PatternRow[]
  readonly pacing: ClassPacing
}

export type ClassRow = Omit<ClassRecord, 'pattern' | 'pacing' | 'archivedAt'> & {
  readonly archivedAt: number | null
  readonly body: string
}

/** Row to class. */
export function toClass(row: ClassRow): ClassRecord {
  const { body, ...rest } = row
  const { pattern, ...pacing } = classBody.read(body)
  return { ...rest, archivedAt: rest.archivedAt as Instant | null, pattern, pacing }
}

/** Class to row. */
export function fromClass(record: ClassRecord): ClassRow {
  const { pattern, pacing, ...rest } = record
  return { ...rest, body: classBody.print({ pattern, ...pacing }) }
}

/** Row to school year. */
export function toYear(row: { readonly id: YearId; readonly body: string }): SchoolYear {
  return { id: row.id, ...yearBody.read(row.body) }
}

/** School year to stored text. */
export function fromYear(year: SchoolYear): string {
  const { id: _, ...rest } = year
  return yearBody.print(rest)
}

/** Row to plan. */
export function toPlan(row: { readonly id: PlanId; readonly body: string }): Plan {
  return { id: row.id, ...planBody.read(row.body) }
}

/** Plan to stored text. */
export function fromPlan(plan: Plan): string {
  const { id: _, ...rest } = plan
  return planBody.print(rest)
}

/** Stored text to an act. */
export function toCommand(text: string): JournalCommand {
  return commandBody.read(text)
}

/** An act to stored text. */
export function fromCommand(value: JournalCommand): string {
  return commandBody.print(value)
}
