import { ok } from '#core/base'
import type { ClassId } from '#core/base'
import { canEditPlan, canEditYear, canRunClass } from '#core/access'
import type { Teacher } from '#core/access'
import {
  assignmentIdsTouching,
  assignmentsById,
  learnersOf,
  plansById,
  teachersOf,
  undoable,
  yearsOf,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classesInView } from '../ground/classAccess'
import { sayAct } from '#core/journal'
import { anchoredLessons, classWindow, namedClasses } from '#core/work'
import { groundsOf } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'

/** Everything from which the desk computes its layouts, of the latest year that has classes in view. */
export async function showDesk(deps: Deps, actor: Teacher) {
  const tx = deps.store.read
  const years = await yearsOf(tx, actor.schoolId)
  const all = await classesInView(tx, actor)
  const year = years.find((y) => all.some((c) => c.yearId === y.year.id)) ?? years[0] ?? null
  const records = all.filter((c) => c.yearId === year?.year.id)
  const ids = records.map((r) => r.id)
  const plans = [
    ...(
      await plansById(
        tx,
        records.flatMap((r) => r.planId ?? []),
      )
    ).values(),
  ]
  const learners = await learnersOf(tx, ids)
  const teachers = await teachersOf(tx, ids)
  return ok({
    year: year?.year ?? null,
    plans: plans.map((p) => p.plan),
    myPlanIds: plans.filter((p) => canEditPlan(actor, p)).map((p) => p.plan.id),
    mayEditYear: canEditYear(actor, actor.schoolId),
    classes: records.map(({ id, name, shortName, course, planId, version, pattern, pacing, schoolId }) => ({
      id,
      name,
      shortName,
      course,
      planId,
      version,
      pattern,
      pacing,
      learners: learners.get(id)?.length ?? 0,
      mayChange: canRunClass(actor, { schoolId, teacherIds: teachers.get(id) ?? [] }),
    })),
    work: await deskWork(tx, await groundsOf(tx, records)),
    steps: await steps(tx, actor),
    now: deps.clock.now(),
  })
}

/** Work of classes with the moments each class has it. */
export async function deskWork(tx: Connection, grounds: ReadonlyMap<ClassId, ClassGround>) {
  const records = (await assignmentsById(tx, await assignmentIdsTouching(tx, [...grounds.keys()]))).filter(
    (r) => r.state !== 'withdrawn',
  )
  const out = []
  for (const record of records) {
    for (const classId of namedClasses(record).filter((id) => grounds.has(id))) {
      const window = classWindow(record, classId, grounds.get(classId)?.ground)
      out.push({
        assignmentId: record.id,
        classId,
        title: record.title,
        state: record.notFor.includes(classId) ? ('held' as const) : record.state,
        opensAt: window?.opens ?? null,
        dueAt: window?.due ?? null,
        lessonIds: anchoredLessons(record),
      })
    }
  }
  return out
}

/** What the actor's undo and redo would do. */
export async function steps(tx: Connection, actor: Teacher) {
  const { undo, redo } = await undoable(tx, actor.userId)
  return { undo: undo ? sayAct(undo.command) : null, redo: redo ? sayAct(redo.command) : null }
}
