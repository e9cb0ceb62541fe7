import { and, asc, eq, inArray, isNull, or, sql } from 'drizzle-orm'
import type { SchoolId } from '#core/base'
import type { Standard } from '#core/library'
import { toStandard } from '../rows/standardRows'
import { frameworks, standards } from '../schema/standards'
import type { Connection } from './store'

/** Where standards come from; `schoolId` null: open to all. */
export interface Framework {
  readonly id: string
  readonly schoolId: SchoolId | null
  readonly title: string
  /** Its identifier outside. */
  readonly outsideId: string | null
  /** Who wrote it; null: it was made here. */
  readonly creator: string | null
}

const openTo = (schoolId: SchoolId) => or(isNull(standards.schoolId), eq(standards.schoolId, schoolId))

/** Adds standards at the end of those that are there; `outsideIds` by code. */
export async function addStandards(
  tx: Connection,
  list: readonly Standard[],
  of: {
    readonly schoolId: SchoolId | null
    readonly frameworkId: string | null
    readonly outsideIds?: ReadonlyMap<string, string>
  },
): Promise<void> {
  const [last] = await tx.select({ at: sql<number>`coalesce(max(position), 0)` }).from(standards)
  for (const [i, { requires, ...standard }] of list.entries())
    await tx.insert(standards).values({
      ...standard,
      id: of.schoolId === null ? standard.code : `${of.schoolId}/${standard.code}`,
      schoolId: of.schoolId,
      frameworkId: of.frameworkId,
      requires: JSON.stringify(requires),
      position: (last?.at ?? 0) + i + 1,
      outsideId: of.outsideIds?.get(standard.code) ?? null,
    })
}

/** All standards open to a school, in order. */
export async function standardsFor(tx: Connection, schoolId: SchoolId): Promise<readonly Standard[]> {
  const rows = await tx.select().from(standards).where(openTo(schoolId)).orderBy(asc(standards.position))
  return rows.map(toStandard)
}

/** Standards open to a school by code, in order; codes that are not there are left out. */
export async function standardsByCode(
  tx: Connection,
  schoolId: SchoolId,
  codes: readonly string[],
): Promise<readonly Standard[]> {
  if (codes.length === 0) return []
  const rows = await tx
    .select()
    .from(standards)
    .where(and(openTo(schoolId), inArray(standards.code, [...new Set(codes)])))
    .orderBy(asc(standards.position))
  return rows.map(toStandard)
}

/** Frameworks open to a school. */
export async function frameworksFor(tx: Connection, schoolId: SchoolId): Promise<readonly Framework[]> {
  return tx
    .select()
    .from(frameworks)
    .where(or(isNull(frameworks.schoolId), eq(frameworks.schoolId, schoolId)))
    .orderBy(asc(frameworks.title))
}

/** Adds a framework. */
export async function addFramework(tx: Connection, framework: Framework): Promise<void> {
  await tx.insert(frameworks).values(framework)
}

/** A framework's standards in order, with their identifiers outside. */
export async function standardsOf(
  tx: Connection,
  frameworkId: string,
): Promise<readonly { readonly standard: Standard; readonly outsideId: string | null }[]> {
  const rows = await tx
    .select()
    .from(standards)
    .where(eq(standards.frameworkId, frameworkId))
    .orderBy(asc(standards.position))
  return rows.map((row) => ({ standard: toStandard(row), outsideId: row.outsideId }))
}

/** Takes a framework away with its standards; what named them goes on naming their codes. */
export async function dropFramework(tx: Connection, id: string): Promise<void> {
  await tx.delete(standards).where(eq(standards.frameworkId, id))
  await tx.delete(frameworks).where(eq(frameworks.id, id))
}
