import { groupBy } from '#core/base'
import type { AssignmentId, ClassId, UserId } from '#core/base'
import { pieceName } from '#core/attempts'
import type { NamedPiece } from '#core/attempts'
import { tryThatCounts } from '#core/evidence'
import type { DatedTry } from '#core/evidence'
import { rulesOf } from '#core/work'
import type { Assignment } from '#core/work'
import {
  assignmentsById,
  formName,
  piecesIn,
  publishedIdsOf,
  resourcesById,
  scoresOf,
  termsInClass,
  triesOfLearners,
} from '#db/repositories'
import type { Connection, OwnTerms } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { settleOverdue } from '../settling/settleOverdue'

/** A try that counts, and of which piece it is. */
export interface TryInClass extends DatedTry, NamedPiece {}

/** Published work of a class, with what it gives to whom. */
export interface WorkInClass {
  readonly works: ReadonlyMap<AssignmentId, Assignment>
  readonly rows: readonly OwnTerms[]
}

/** All of it. */
export async function workIn(tx: Connection, classId: ClassId): Promise<WorkInClass> {
  const ids = await publishedIdsOf(tx, classId)
  const works = new Map((await assignmentsById(tx, ids)).map((w) => [w.id, w]))
  return { works, rows: await termsInClass(tx, classId, ids) }
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
  const triesOf = groupBy(await triesOfLearners(tx, inClass, ids), (t) => `${pieceName(t)} ${t.learnerId}`)
  const given = new Map(
    [...works.values()].flatMap((work) =>
      work.pieces.map((piece) => {
        const of = { assignmentId: work.id, pieceId: piece.id }
        const form = forms.get(formName(piece))
        return [pieceName(of), { kept: rulesOf(work, piece).kept, form }] as const
      }),
    ),
  )
  const standing = theirs.flatMap((row) => {
    const name = pieceName(row)
    const piece = given.get(name)
    if (!piece) return []
    const instead = row.version?.instead
    const form = instead ? others.get(instead.resourceId)?.resource : piece.form
    const counts = tryThatCounts(triesOf.get(`${name} ${row.learnerId}`) ?? [], piece.kept)
    return counts && form ? [{ counts, items: form.items }] : []
  })
  const scores = await scoresOf(
    tx,
    standing.map((s) => s.counts.id),
  )
  return standing.flatMap(({ counts, items }) => {
    const { id, assignmentId, pieceId, learnerId, submittedAt } = counts
    const score = scores.get(id)
    return score && submittedAt !== null
      ? [{ assignmentId, pieceId, learnerId, score, items, at: submittedAt }]
      : []
  })
}
