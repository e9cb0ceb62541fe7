import { commonest, groupBy, ok, refuse } from '#core/base'
import type { AssignmentId, ClassId, PieceId, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import { corrected, correctionsOf, pieceName } from '#core/attempts'
import { grid, itemFigures, tryThatCounts } from '#core/evidence'
import type { GridInput, GridTry } from '#core/evidence'
import { byCategory } from '#core/filing'
import {
  answersOf,
  assignmentsById,
  attemptsOf,
  draftsOf,
  filingOf,
  handedAt,
  learnerWorkOf,
  learnersOf,
  publishedIdsOf,
  formName,
  piecesIn,
  termsInClass,
  triesOfLearners,
  yearsById,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import { cardOfKind } from '#core/library'
import type { Resource } from '#core/library'
import { inOrder, rulesOf } from '#core/work'
import type { Assignment, WorkPiece } from '#core/work'
import type { Deps } from '../ground/deps'
import { settleOverdue } from '../settling/settleOverdue'
import { classFor, classesInView } from '../ground/classAccess'
import { workFor } from '../work/workFor'
import { draftedAt } from './toScore'

/** A class's learners × work, oldest due first, with kept scores, late marks and tries. */
export async function showGrid(deps: Deps, actor: Teacher, classId: ClassId) {
  const tx = deps.store.read
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const now = deps.clock.now()
  const year = (await yearsById(tx, [found.value.yearId])).get(found.value.yearId)?.year
  const learners = (await learnersOf(tx, [classId])).get(classId) ?? []
  const ids = await publishedIdsOf(tx, classId)
  await settleOverdue(deps, { assignmentIds: ids })
  const records = await assignmentsById(tx, ids)
  const inClass = new Set(learners.map((l) => l.id))
  const rows = (await termsInClass(tx, classId, ids)).filter((r) => inClass.has(r.learnerId))
  const tries = await triesOfLearners(tx, inClass, ids)
  const forms = await piecesIn(
    tx,
    records.flatMap((r) => r.pieces),
  )
  const works = records.flatMap((r) => inOrder(r.pieces).map((p) => workOf(r, p, forms, inClass)))
  const isDrafted = await draftedIn(tx, tries)
  const cells = grid(
    {
      isDrafted,
      learnerIds: learners.map((l) => l.id),
      works,
      attempts: tries,
      terms: rows.map((r) => ({
        assignmentId: r.assignmentId,
        pieceId: r.pieceId,
        learnerId: r.learnerId,
        dueAt: r.terms.due,
        closesAt: r.terms.closes,
        opensAt: r.terms.opens,
        passPercent: r.rules.passPercent,
        isParallel: r.version?.instead != null,
      })),
    },
    now,
  )
  const rowsOf = groupBy(rows, pieceName)
  const cellsOf = groupBy(cells, pieceName)
  const columns = works
    .map(({ kept: _, ...work }) => {
      const own = rowsOf.get(pieceName(work)) ?? []
      const ratios = (cellsOf.get(pieceName(work)) ?? []).flatMap((c) => c.ratio ?? [])
      const done = (cellsOf.get(pieceName(work)) ?? []).filter(
        (c) => c.state === 'handed-in' || c.ratio !== null,
      )
      return {
        ...work,
        dueAt: commonest(own.map((row) => row.terms.due)),
        opensAt: commonest(own.map((row) => row.terms.opens)),
        handedIn: done.length,
        reached: own.length,
        mean: ratios.length === 0 ? null : ratios.reduce((a, b) => a + b, 0) / ratios.length,
      }
    })
    .sort((a, b) => (a.dueAt ?? a.opensAt ?? Infinity) - (b.dueAt ?? b.opensAt ?? Infinity))
  const { categories } = (await filingOf(tx, classId)).filing
  const categoryOf = new Map(
    works.flatMap((w) => (w.isRecommended ? [] : [[pieceName(w), w.category] as const])),
  )
  const cellsBy = groupBy(cells, (c) => c.learnerId)
  return ok({
    classId,
    name: found.value.name,
    zone: year?.zone ?? 'UTC',
    learners: learners.map(({ id, name }) => ({ id, name })),
    columns,
    cells,
    categories,
    wholes: learners.map(({ id }) => {
      const scores = (cellsBy.get(id) ?? []).flatMap((c) => {
        const category = categoryOf.get(pieceName(c))
        return c.ratio === null || category === undefined ? [] : [{ category, ratio: c.ratio }]
      })
      return { learnerId: id, ...byCategory(scores, categories) }
    }),
    now,
  })
}

/** Whether an answer was scored by all criteria and is not released, of tries in which some wait. */
async function draftedIn(
  tx: Connection,
  tries: readonly GridTry[],
): Promise<NonNullable<GridInput['isDrafted']>> {
  const waiting = tries.filter((t) => t.waitingIds.length > 0)
  const drafts = await draftsOf(tx, [...new Set(waiting.map(draftedAt))])
  const whole = drafts.filter((d) => d.levels.every((level) => level !== null))
  const names = new Set(whole.map((d) => `${d.attemptId} ${d.itemId}`))
  return (attempt, itemId) => names.has(`${draftedAt(attempt)} ${itemId}`)
}

/** A piece of an assignment as a column. */
function workOf(
  record: Assignment,
  piece: WorkPiece,
  forms: ReadonlyMap<string, Resource>,
  inClass: ReadonlySet<UserId>,
) {
  const resource = forms.get(formName(piece))
  return {
    assignmentId: record.id,
    pieceId: piece.id,
    resourceId: piece.resourceId,
    title: record.title,
    pieceTitle: record.pieces.length > 1 ? (resource?.title ?? '') : null,
    isRead: resource?.items.length === 0,
    takesFiles: resource ? cardOfKind(resource.kind).takesFiles : false,
    excusedIds: record.exceptIds.filter((id) => inClass.has(id)),
    category: record.about.isRecommended ? '' : record.about.category,
    isRecommended: record.about.isRecommended,
    passPercent: rulesOf(record, piece).passPercent,
    kept: rulesOf(record, piece).kept,
  }
}

/**
 * Items of a piece of an assignment, hardest first, over each learner's standing try in the form that is given out
 * now; for one class or for all the actor may see. Without a name it is the first piece that has items.
 */
export async function showItems(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly assignmentId: AssignmentId
    readonly classId: ClassId | null
    readonly pieceId: PieceId | null
  },
) {
  const tx = deps.store.read
  const found = await workFor(tx, actor, input.assignmentId)
  if (!found.ok) return found
  const { assignment: record, reach } = found.value
  const ofClass = input.classId === null ? null : await classFor(tx, actor, input.classId, 'see')
  if (ofClass && !ofClass.ok) return ofClass
  const forms = await piecesIn(tx, record.pieces)
  const piece = record.pieces.find((p) =>
    input.pieceId === null ? (forms.get(formName(p))?.items.length ?? 0) > 0 : p.id === input.pieceId,
  )
  const resource = piece ? forms.get(formName(piece)) : null
  if (!piece || !resource) return refuse({ code: 'access/not-found' as const, what: 'piece' })
  // the tries of other teachers' classes are not the actor's to see, though the work may go to them, too
  const seen = input.classId === null ? (await classesInView(tx, actor)).map((c) => c.id) : [input.classId]
  const classIds = new Set<ClassId>(seen)
  await settleOverdue(deps, { assignmentIds: [record.id] })
  const rows = (await learnerWorkOf(tx, [record.id])).filter((r) => classIds.has(r.classId))
  const learners = new Set(rows.map((r) => r.learnerId))
  // who has another task in its place has answered other questions
  const others = new Set(
    rows.filter((r) => r.pieceId === piece.id && r.version?.instead).map((r) => r.learnerId),
  )
  const tries = (await attemptsOf(tx, [record.id])).filter(
    (t) => t.pieceId === piece.id && t.revision === piece.revision && !others.has(t.learnerId),
  )
  const corrections = correctionsOf(piece, piece.revision)
  const items = corrected(resource.items, corrections)
  const dropped = new Set(corrections.flatMap((c) => (c.kind === 'dropped' ? [c.itemId] : [])))
  const { kept } = rulesOf(record, piece)
  const standing = [...learners].flatMap(
    (id) =>
      tryThatCounts(
        tries.filter((t) => t.learnerId === id),
        kept,
      ) ?? [],
  )
  const answers = await answersOf(
    tx,
    standing.map((t) => t.id),
  )
  return ok({
    assignmentId: record.id,
    pieceId: piece.id,
    resourceId: piece.resourceId,
    title: record.title,
    pieceTitle: record.pieces.length > 1 ? resource.title : null,
    className: ofClass?.value.name ?? null,
    tries: standing.length,
    version: record.version,
    // who teaches some of its classes changes nothing for the others
    mayMend: reach === 'whole',
    corrections,
    figures: itemFigures(
      items.filter((i) => !dropped.has(i.id)),
      standing.map((t) => ({
        answers: answers.get(t.id) ?? new Map(),
        itemIds: t.itemIds,
        score: t.score,
      })),
    ),
    items,
    files: (await handedAt(tx, { assignmentId: record.id, pieceId: piece.id }))
      .filter((h) => learners.has(h.learnerId))
      .map(({ file, handedAt, learnerId, learnerName }) => ({ ...file, handedAt, learnerId, learnerName }))
      .sort((a, b) => a.learnerName.localeCompare(b.learnerName)),
  })
}
