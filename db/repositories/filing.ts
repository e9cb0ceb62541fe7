import { eq, inArray } from 'drizzle-orm'
import type { ClassId } from '#core/base'
import { NO_FILING } from '#core/filing'
import type { Filing } from '#core/filing'
import { filingBody } from '../rows/bodies'
import { classFiling } from '../schema/classWork'
import type { Connection } from './store'

/** A class's headings and categories; `version` 0: it never had any. */
export interface FilingRecord {
  readonly classId: ClassId
  readonly version: number
  readonly filing: Filing
}

/** One class's headings and categories. */
export async function filingOf(tx: Connection, classId: ClassId): Promise<FilingRecord> {
  const [found] = await filingsOf(tx, [classId])
  return found ?? { classId, version: 0, filing: NO_FILING }
}

/** Those of several classes; a class that never had any is absent. */
export async function filingsOf(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly FilingRecord[]> {
  if (classIds.length === 0) return []
  const rows = await tx
    .select()
    .from(classFiling)
    .where(inArray(classFiling.classId, [...new Set(classIds)]))
  return rows.map(({ classId, version, body }) => ({ classId, version, filing: filingBody.read(body) }))
}

/** Keeps them in place of what they were; the version is the next. */
export async function saveFiling(tx: Connection, { classId, version, filing }: FilingRecord): Promise<void> {
  const row = { classId, version: version + 1, body: filingBody.print(filing) }
  await tx.insert(classFiling).values(row).onConflictDoUpdate({ target: classFiling.classId, set: row })
}

/** Forgets them, before the class goes. */
export async function dropFiling(tx: Connection, classId: ClassId): Promise<void> {
  await tx.delete(classFiling).where(eq(classFiling.classId, classId))
}
