import { groupBy, ok } from '#core/base'
import type { AssignmentId, ClassId, Instant, PieceId, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import type { LearnerTerms } from '#core/availability'
import { changesAfter, concerns, inOrder, notThere, whyOf } from '#core/work'
import type { Assignment, LearnerWork, LensLearner, NotThere, Why, WorkPiece } from '#core/work'
import {
  assignmentIdsNear,
  assignmentsById,
  formName,
  groupsOf,
  learnerWorkIn,
  piecesIn,
  queueOfLearners,
} from '#db/repositories'
import type { Connection, GroupRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { pieceAt } from '../learning/myPiece'
import { listAt, zoneFor } from '../learning/myWork'
import { lensOn } from './lensOn'
import type { OnLearner } from './lensOn'

/** So many changes are told ahead. */
const MOST_CHANGES = 12

/** One piece that has to do with a learner, whether they see it or not. */
export interface LensRow {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly title: string
  /** Of an assignment with several pieces; else null. */
  readonly pieceTitle: string | null
  readonly classId: ClassId | null
  /** Null where nothing is resolved for them. */
  readonly terms: LearnerTerms | null
  readonly why: readonly Why[]
  readonly notThere: NotThere | null
}

/**
 * What a learner sees at an instant, past or to come, with what set every date and why other work is not there. Dates
 * and rosters are those of today; what they had done is as of the instant. `at` null: now.
 */
export async function showLens(
  deps: Deps,
  actor: Teacher,
  of: { readonly learnerId: UserId; readonly at: Instant | null },
) {
  const tx = deps.store.read
  const now = deps.clock.now()
  const at = of.at ?? now
  const found = await lensOn(tx, actor, { learnerId: of.learnerId, at })
  if (!found.ok) return found
  const { person, classes, hidden, look } = found.value
  const groups = await groupsOf(
    tx,
    classes.map((c) => c.id),
  )
  const rows = await rowsFor(tx, found.value, groups, at)
  const resolved = rows.flatMap(({ title, pieceTitle, terms, notThere: why }) =>
    terms !== null && (why === null || why.code === 'not-listed')
      ? [{ title: pieceTitle ?? title, terms }]
      : [],
  )
  return ok({
    learner: { id: person.id, name: person.name },
    classes: classes.map(({ id, name }) => ({ id, name })),
    groups: groups.map(({ id, name }) => ({ id, name })),
    hiddenClasses: hidden,
    at,
    now,
    zone: await zoneFor(tx, person.id),
    ...(await listAt(tx, look)),
    rows,
    changes: changesAfter(resolved, at, MOST_CHANGES),
  })
}

/** One piece as the learner sees it then; read only. What they do not see is not found. */
export async function showLensPiece(
  deps: Deps,
  actor: Teacher,
  of: {
    readonly learnerId: UserId
    readonly assignmentId: AssignmentId
    readonly pieceId: PieceId | null
    readonly at: Instant | null
  },
) {
  const tx = deps.store.read
  const found = await lensOn(tx, actor, { learnerId: of.learnerId, at: of.at ?? deps.clock.now() })
  return found.ok ? pieceAt(tx, found.value.look, of) : found
}

async function rowsFor(
  tx: Connection,
  { person, classes, joinedAt, startsAt }: OnLearner,
  groups: readonly GroupRecord[],
  at: Instant,
): Promise<readonly LensRow[]> {
  const classIds = classes.map((c) => c.id)
  const groupIds = groups.filter((g) => g.learnerIds.includes(person.id)).map((g) => g.id)
  const queued = new Set((await queueOfLearners(tx, [person.id])).map((q) => q.assignmentId))
  const learner: LensLearner = { id: person.id, classIds, groupIds, joinedAt, startsAt, queued }
  const near = await assignmentsById(tx, await assignmentIdsNear(tx, classIds))
  const theirs = await learnerWorkIn(tx, person.id, classIds)
  const rowsOf = groupBy(theirs, (r) => r.assignmentId)
  const concerned = near.filter((w) => rowsOf.has(w.id) || concerns(w, learner))
  const forms = await piecesIn(
    tx,
    concerned.filter((w) => w.pieces.length > 1).flatMap((w) => w.pieces),
  )
  return concerned.flatMap((work) => {
    const has = rowsOf.get(work.id)
    // to whom some of it is given, what is for others says nothing
    const pieces = inOrder(work.pieces).filter((p) => !has || (p.onlyIds?.includes(person.id) ?? true))
    return pieces.map((piece) => {
      const own = has?.find((r) => r.pieceId === piece.id) ?? null
      const pieceTitle = work.pieces.length > 1 ? (forms.get(formName(piece))?.title ?? '') : null
      return rowOf(work, { piece, pieceTitle }, learner, own, at)
    })
  })
}

function rowOf(
  work: Assignment,
  { piece, pieceTitle }: { readonly piece: WorkPiece; readonly pieceTitle: string | null },
  learner: LensLearner,
  own: LearnerWork | null,
  at: Instant,
): LensRow {
  return {
    assignmentId: work.id,
    pieceId: piece.id,
    pieceTitle,
    title: work.title,
    classId: own?.classId ?? null,
    terms: own?.terms ?? null,
    why: own ? whyOf(own.because) : [],
    notThere: notThere(work, piece, learner, own, at),
  }
}
