import type { AssignmentId, ClassId, StandingId } from '#core/base'
import type { Plan } from '#core/pacing'
import { offerOf } from '#core/standing'
import type { Offer } from '#core/standing'
import type { Assignment } from '#core/work'
import { assignmentsById, laidIn } from '#db/repositories'
import type { Connection, LaidRecord, StandingRecord } from '#db/repositories'

/** How a class stands to one piece of its plan's standing work. */
export interface ClassHas {
  readonly standingId: StandingId
  readonly classId: ClassId
  /** Its own copy; null: it has none. */
  readonly assignmentId: AssignmentId | null
  readonly state: Assignment['state'] | null
  readonly offer: Offer
  /** The class has said that it leaves this as it is. */
  readonly isRefused: boolean
}

/** What classes have of standing work, with the records that say so. */
export interface Having {
  readonly has: readonly ClassHas[]
  readonly laid: ReadonlyMap<string, LaidRecord>
  readonly works: ReadonlyMap<AssignmentId, Assignment>
}

/** A piece in a class, as `Having.laid` names it. */
export function laidName(of: { readonly standingId: StandingId; readonly classId: ClassId }): string {
  return `${of.standingId} ${of.classId}`
}

/**
 * What each class has of each piece, and what the plan offers it. What is new is offered only to a class on which
 * standing work of the same unit was laid before: nobody else has asked for it.
 */
export async function havingOf(
  tx: Connection,
  plan: Pick<Plan, 'lessons'>,
  standing: readonly StandingRecord[],
  classIds: readonly ClassId[],
): Promise<Having> {
  const ids = new Set(standing.map((s) => s.id))
  const records = (await laidIn(tx, classIds)).filter((r) => ids.has(r.standingId))
  const laid = new Map(records.map((r) => [laidName(r), r]))
  const workIds = records.flatMap((r) => r.assignmentId ?? [])
  const works = new Map((await assignmentsById(tx, workIds)).map((a) => [a.id, a]))
  const unitOf = new Map(
    standing.map((s) => [s.id, plan.lessons.find((l) => l.id === s.piece.lessonId)?.unitId]),
  )
  const asked = new Set(records.map((r) => `${r.classId} ${unitOf.get(r.standingId)}`))
  const has = classIds.flatMap((classId) =>
    standing.flatMap((record): ClassHas[] => {
      const known = laid.get(laidName({ standingId: record.id, classId }))
      const work = known?.assignmentId ? works.get(known.assignmentId) : undefined
      if (record.isGone && !work) return []
      const isThere = work !== undefined && work.state !== 'withdrawn'
      const next = record.isGone ? null : record.piece
      const own = known?.base ? { base: known.base, copy: isThere ? work : null } : null
      const offer = offerOf(next, own)
      return [
        {
          standingId: record.id,
          classId,
          assignmentId: isThere ? work.id : null,
          state: isThere ? work.state : null,
          offer:
            offer.kind === 'new' && !asked.has(`${classId} ${unitOf.get(record.id)}`)
              ? { kind: 'settled' }
              : offer,
          isRefused: known !== undefined && known.refused >= record.version,
        },
      ]
    }),
  )
  return { has, laid, works }
}
