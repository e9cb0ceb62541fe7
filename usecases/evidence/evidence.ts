import { ok, refuse } from '#core/base'
import type { AssignmentId, ClassId } from '#core/base'
import type { Actor } from '#core/access'
import { grid, itemFigures, standingTry } from '#core/evidence'
import {
  answersOf,
  assignmentsById,
  attemptsOf,
  learnerWorkOf,
  learnersOf,
  publishedIdsOf,
  resourceById,
  yearsById,
} from '#db/repositories'
import type { Deps } from '../deps'
import { settleOverdue } from '../learning/settleOverdue'
import { classFor, classesInView } from '../teaching/classAccess'
import { workFor } from '../work/workFor'

/** A class's learners × work, oldest due first, with kept scores, late marks and tries. */
export async function showGrid(deps: Deps, actor: Actor, classId: ClassId) {
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
  const rows = (await learnerWorkOf(tx, ids)).filter((r) => r.classId === classId && inClass.has(r.learnerId))
  const tries = (await attemptsOf(tx, ids)).filter((t) => inClass.has(t.learnerId))
  const cells = grid(
    {
      learnerIds: learners.map((l) => l.id),
      works: records.map((r) => ({ assignmentId: r.id, kept: r.rules.kept })),
      attempts: tries,
      terms: rows.map((r) => ({
        assignmentId: r.assignmentId,
        learnerId: r.learnerId,
        dueAt: r.terms.due,
        closesAt: r.terms.closes,
        opensAt: r.terms.opens,
      })),
    },
    now,
  )
  const columns = records
    .map((r) => {
      const own = rows.filter((row) => row.assignmentId === r.id)
      const ratios = cells
        .filter((c) => c.assignmentId === r.id && c.ratio !== null)
        .map((c) => c.ratio as number)
      const usual = commonest(own.map((row) => row.terms.due))
      return {
        assignmentId: r.id,
        title: r.title,
        dueAt: usual,
        opensAt: commonest(own.map((row) => row.terms.opens)),
        handedIn: ratios.length,
        reached: own.length,
        mean: ratios.length === 0 ? null : ratios.reduce((a, b) => a + b, 0) / ratios.length,
      }
    })
    .sort((a, b) => (a.dueAt ?? a.opensAt ?? Infinity) - (b.dueAt ?? b.opensAt ?? Infinity))
  return ok({
    classId,
    name: found.value.name,
    zone: year?.zone ?? 'UTC',
    learners: learners.map(({ id, name }) => ({ id, name })),
    columns,
    cells,
    now,
  })
}

function commonest<T>(values: readonly T[]): T | null {
  const counts = new Map<T, number>()
  for (const v of values) counts.set(v, (counts.get(v) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null
}

/**
 * Items of an assignment, hardest first, over each learner's standing try; for one class or for all the actor
 * may see.
 */
export async function showItems(
  deps: Deps,
  actor: Actor,
  input: { readonly assignmentId: AssignmentId; readonly classId: ClassId | null },
) {
  const tx = deps.store.read
  const found = await workFor(tx, actor, input.assignmentId)
  if (!found.ok) return found
  const { assignment: record } = found.value
  const ofClass = input.classId === null ? null : await classFor(tx, actor, input.classId, 'see')
  if (ofClass && !ofClass.ok) return ofClass
  const piece = await resourceById(tx, record.resourceId)
  if (!piece) return refuse({ code: 'access/not-found' as const, what: 'piece' })
  // the tries of other teachers' classes are not the actor's to see, though the work may go to them, too
  const seen = input.classId === null ? (await classesInView(tx, actor)).map((c) => c.id) : [input.classId]
  const classIds = new Set<ClassId>(seen)
  await settleOverdue(deps, { assignmentIds: [record.id] })
  const learners = new Set(
    (await learnerWorkOf(tx, [record.id])).filter((r) => classIds.has(r.classId)).map((r) => r.learnerId),
  )
  const tries = await attemptsOf(tx, [record.id])
  const standing = [...learners].flatMap(
    (id) =>
      standingTry(
        tries.filter((t) => t.learnerId === id),
        record.rules.kept,
      ) ?? [],
  )
  const answers = await answersOf(
    tx,
    standing.map((t) => t.id),
  )
  return ok({
    assignmentId: record.id,
    title: record.title,
    className: ofClass?.value.name ?? null,
    tries: standing.length,
    figures: itemFigures(piece.resource.items, [...answers.values()]),
    items: piece.resource.items,
  })
}
