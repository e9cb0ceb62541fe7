import { and, asc, eq, inArray, isNull } from 'drizzle-orm'
import type { ClassId, PlanId, SchoolId, UserId, YearId } from '#core/base'
import type { SchoolYear } from '#core/calendar'
import { fromClass, fromYear, toClass, toYear } from '../rows/calendarRows'
import type { ClassRecord } from '../rows/calendarRows'
import { classTeachers, classes, years } from '../schema/calendar'
import type { Connection } from './store'

export interface YearRecord {
  readonly year: SchoolYear
  readonly schoolId: SchoolId
  readonly version: number
  readonly isArchived: boolean
}

/** School years in use of a school, latest first day first. */
export async function yearsOf(tx: Connection, schoolId: SchoolId): Promise<readonly YearRecord[]> {
  const rows = await tx
    .select()
    .from(years)
    .where(and(eq(years.schoolId, schoolId), isNull(years.archivedAt)))
  return rows.map(toYearRecord).sort((a, b) => (a.year.firstOn < b.year.firstOn ? 1 : -1))
}

function toYearRecord(r: typeof years.$inferSelect): YearRecord {
  return { year: toYear(r), schoolId: r.schoolId, version: r.version, isArchived: r.archivedAt !== null }
}

/** School years by id. */
export async function yearsById(
  tx: Connection,
  ids: readonly YearId[],
): Promise<ReadonlyMap<YearId, YearRecord>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select()
    .from(years)
    .where(inArray(years.id, [...new Set(ids)]))
  return new Map(rows.map((r) => [r.id, toYearRecord(r)]))
}

/** Adds a school year. */
export async function addYear(tx: Connection, year: SchoolYear, schoolId: SchoolId): Promise<void> {
  await tx.insert(years).values({ id: year.id, schoolId, version: 1, body: fromYear(year) })
}

/** Replaces a school year as it stood at `version`; false when somebody changed it meanwhile. */
export async function saveYear(tx: Connection, year: SchoolYear, version: number): Promise<boolean> {
  const done = await tx
    .update(years)
    .set({ body: fromYear(year), version: version + 1 })
    .where(and(eq(years.id, year.id), eq(years.version, version)))
  return done.rowsAffected === 1
}

/** Classes by id, in the order of the school's list. */
export async function classesById(tx: Connection, ids: readonly ClassId[]): Promise<readonly ClassRecord[]> {
  if (ids.length === 0) return []
  return (
    await tx
      .select()
      .from(classes)
      .where(inArray(classes.id, [...new Set(ids)]))
      .orderBy(asc(classes.position), asc(classes.name))
  ).map(toClass)
}

/** One class, or null. */
export async function classById(tx: Connection, id: ClassId): Promise<ClassRecord | null> {
  return (await classesById(tx, [id]))[0] ?? null
}

/** The class with a joining code, or null. */
export async function classByJoinCode(tx: Connection, code: string): Promise<ClassRecord | null> {
  const [row] = await tx.select().from(classes).where(eq(classes.joinCode, code))
  return row ? toClass(row) : null
}

/** Classes a teacher teaches, but for those that are archived. */
export async function classesTaughtBy(tx: Connection, userId: UserId): Promise<readonly ClassRecord[]> {
  const rows = await tx
    .select({ class: classes })
    .from(classTeachers)
    .innerJoin(classes, eq(classes.id, classTeachers.classId))
    .where(and(eq(classTeachers.userId, userId), isNull(classes.archivedAt)))
    .orderBy(asc(classes.position), asc(classes.name))
  return rows.map((r) => toClass(r.class))
}

/** Every class of a school that is not archived. */
export async function classesOfSchool(tx: Connection, schoolId: SchoolId): Promise<readonly ClassRecord[]> {
  return (
    await tx
      .select()
      .from(classes)
      .where(and(eq(classes.schoolId, schoolId), isNull(classes.archivedAt)))
      .orderBy(asc(classes.position), asc(classes.name))
  ).map(toClass)
}

/** Classes on which a plan is laid. */
export async function classesWithPlan(tx: Connection, planId: PlanId): Promise<readonly ClassRecord[]> {
  return (
    await tx.select().from(classes).where(eq(classes.planId, planId)).orderBy(asc(classes.position))
  ).map(toClass)
}

/** Adds a class. */
export async function addClass(tx: Connection, record: ClassRecord): Promise<void> {
  await tx.insert(classes).values(fromClass(record))
}

/** Replaces a class as it stood at `record.version`; false when somebody changed it meanwhile. */
export async function saveClass(tx: Connection, record: ClassRecord): Promise<boolean> {
  const row = fromClass({ ...record, version: record.version + 1 })
  const done = await tx
    .update(classes)
    .set(row)
    .where(and(eq(classes.id, record.id), eq(classes.version, record.version)))
  return done.rowsAffected === 1
}

/** Sets by which code, and whether, learners may join a class. */
export async function saveJoining(
  tx: Connection,
  id: ClassId,
  joining: { readonly joinCode: string; readonly joinOpen: boolean },
): Promise<void> {
  await tx.update(classes).set(joining).where(eq(classes.id, id))
}
