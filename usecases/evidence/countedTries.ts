import { groupBy } from '#core/base'
import type { AssignmentId, ClassId, UserId } from '#core/base'
import { pieceName } from '#core/attempts'
import type { NamedPiece } from '#core/attempts'
import { tryThatCounts } from '#core/evidence'
import type { DatedTry } from '#core/evidence'
import { rulesOf } from '#core/work'
import type { Assignment, LearnerWork } from '#core/work'
import {
  assignmentsById,
  attemptsOf,
  formName,
  learnerWorkOf,
  piecesIn,
  publishedIdsOf,
  resourcesById,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { settleOverdue } from '../settling/settleOverdue'

/** A try that counts, and of which piece it is. */
export interface TryInClass extends DatedTry, NamedPiece {}

/** Published work of a class, with what it gives to whom. */
export interface WorkInClass {
  readonly works: ReadonlyMap<AssignmentId, Assignment>
  readonly rows: readonly LearnerWork[]
}

/** All of it. */
export async function workIn(tx: Connection, classId: ClassId): Promise<WorkInClass> {
  const ids = await publishedIdsOf(tx, classId)
  const works = new Map((await assignmentsById(tx, ids)).map((w) => [w.id, w]))
  const rows = (await learnerWorkOf(tx, ids)).filter((r) => r.classId === classId)
  return { works, rows }
}

/** The tries that count of a class's learners in its work, with the items of what each was given. */
export async function countedTriesIn(
  deps: Deps,
  { works, rows }: WorkInClass,
  inClass: ReadonlySet<UserId>,
): Promise<readonly TryInClass[]> {
  const tx = deps.store.read
  const ids = [...works.keys()]
  await settleOverdue(deps, { assignmentIds: ids })
  const theirs = rows.filter((r) => inClass.has(r.learnerId))
  const forms = await piecesIn(
    tx,
    [...works.values()].flatMap((w) => w.pieces),
  )
  const others = await resourcesById(
    tx,
    theirs.flatMap((r) => r.version?.instead?.resourceId ?? []),
  )
  const triesOf = groupBy(await attemptsOf(tx, ids), (t) => `${pieceName(t)} ${t.learnerId}`)
  return theirs.flatMap((row) => {
    const record = works.get(row.assignmentId)
    const piece = record?.pieces.find((p) => p.id === row.pieceId)
    if (!record || !piece) return []
    const instead = row.version?.instead
    const given = instead ? others.get(instead.resourceId)?.resource : forms.get(formName(piece))
    const standing = tryThatCounts(
      triesOf.get(`${pieceName(row)} ${row.learnerId}`) ?? [],
      rulesOf(record, piece).kept,
    )
    if (!standing?.score || standing.submittedAt === null || !given) return []
    const { assignmentId, pieceId, learnerId } = row
    const { score, submittedAt } = standing
    return [{ assignmentId, pieceId, learnerId, score, items: given.items, at: submittedAt }]
  })
}
