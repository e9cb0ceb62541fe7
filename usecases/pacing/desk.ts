import { ok, refuse, weekdayOf } from '#core/base'
import type { ClassId, Result } from '#core/base'
import { canRunClass, isTeacher } from '#core/access'
import type { AccessRefusal, Actor } from '#core/access'
import { applyCommand, inverseOf } from '#core/pacing'
import type { PacingCommand, PacingRefusal } from '#core/pacing'
import { schoolDays } from '#core/calendar'
import type { SchoolYear } from '#core/calendar'
import { addToJournal, assignmentIdsTouching, assignmentsById, learnersOf, markJournal, plansById, saveClass, teachersOf, undoable, yearsOf } from '#db/repositories'
import type { ClassRecord, Connection, JournalEntry } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { classFor, classesInView } from '../teaching/classAccess'
import { anchoredLessons, namedClasses, worldLoader } from '../work/world'
import { classWindow } from '../work/previewWork'
import { refreshWork } from '../work/refreshWork'

/** Everything from which the desk computes its layouts, of the latest year that has classes in view. */
export async function showDesk(deps: Deps, actor: Actor) {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' as const })
  const tx = deps.store.read
  const years = await yearsOf(tx, actor.schoolId)
  const all = await classesInView(tx, actor)
  const year = years.find(y => all.some(c => c.yearId === y.year.id)) ?? years[0] ?? null
  const records = all.filter(c => c.yearId === year?.year.id)
  const ids = records.map(r => r.id)
  const plans = await plansById(tx, records.flatMap(r => r.planId ?? []))
  const learners = await learnersOf(tx, ids)
  const teachers = await teachersOf(tx, ids)
  return ok({
    year: year?.year ?? null,
    plans: [...plans.values()].map(p => p.plan),
    classes: records.map(({ id, name, shortName, course, planId, version, pattern, pacing, schoolId }) => ({
      id, name, shortName, course, planId, version, pattern, pacing, learners: learners.get(id)?.length ?? 0, mayChange: canRunClass(actor, { schoolId, teacherIds: teachers.get(id) ?? [] }),
    })),
    work: await deskWork(tx, ids),
    steps: await steps(tx, actor),
    now: deps.clock.now(),
  })
}

/** Work of classes with the moments each class has it. */
async function deskWork(tx: Connection, classIds: readonly ClassId[]) {
  const records = (await assignmentsById(tx, await assignmentIdsTouching(tx, classIds))).filter(r => r.state !== 'withdrawn')
  const load = worldLoader(tx)
  const out = []
  for (const record of records) {
    const world = await load(record.authorId, namedClasses(record))
    for (const classId of namedClasses(record).filter(id => classIds.includes(id))) {
      const window = classWindow(record, classId, world)
      out.push({ assignmentId: record.id, classId, title: record.title, state: record.state, opensAt: window?.opens ?? null, dueAt: window?.due ?? null, lessonIds: anchoredLessons(record) })
    }
  }
  return out
}

async function steps(tx: Connection, actor: Actor) {
  const { undo, redo } = await undoable(tx, actor.userId)
  return { undo: undo?.command ?? null, redo: redo?.command ?? null }
}

/** Performs one planning act on one class, re-lays it, moves its anchored work and writes the act down: one transaction. */
export async function doCommand(deps: Deps, actor: Actor, command: PacingCommand) {
  return writing(deps.store, async (tx) => {
    const done = await perform(tx, actor, command)
    if (!done.ok) return done
    await addToJournal(tx, { schoolId: actor.schoolId, classId: command.classId, actorId: actor.userId, at: deps.clock.now(), command })
    return ok(await replanned(tx, actor, done.value))
  })
}

/** Takes back the actor's last act; null when there is none. Refused when somebody changed the same thing since. */
export async function undo(deps: Deps, actor: Actor) {
  return step(deps, actor, 'undo')
}

/** Does the last undone act again; null when there is none. */
export async function redo(deps: Deps, actor: Actor) {
  return step(deps, actor, 'redo')
}

async function step(deps: Deps, actor: Actor, way: 'undo' | 'redo') {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' as const })
  return writing(deps.store, async (tx) => {
    const entry: JournalEntry | null = (await undoable(tx, actor.userId))[way]
    if (!entry) return ok(null)
    const done = await perform(tx, actor, way === 'undo' ? inverseOf(entry.command) : entry.command)
    if (!done.ok) return done
    await markJournal(tx, entry.seq, way === 'undo' ? 'undone' : 'done')
    return ok(await replanned(tx, actor, done.value))
  })
}

async function perform(tx: Connection, actor: Actor, command: PacingCommand): Promise<Result<ClassRecord, AccessRefusal | PacingRefusal>> {
  const found = await classFor(tx, actor, command.classId, 'run')
  if (!found.ok) return found
  const record = found.value
  const plan = record.planId === null ? null : (await plansById(tx, [record.planId])).get(record.planId)?.plan ?? null
  const year = (await yearsOf(tx, record.schoolId)).find(y => y.year.id === record.yearId)?.year
  if (!plan || !year) return refuse({ code: 'access/not-found', what: 'plan' })
  const next = applyCommand(record.pacing, command, { plan, hasMeeting: (on, start) => hasMeeting(year, record, on, start) })
  if (!next.ok) return next
  const changed = { ...record, pacing: next.value }
  if (!(await saveClass(tx, changed))) throw new Error('class changed inside its own transaction')
  return ok({ ...changed, version: record.version + 1 })
}

function hasMeeting(year: SchoolYear, record: ClassRecord, on: string, startMinute: number): boolean {
  const day = schoolDays(year).find(d => d.on === on)
  if (!day || day.closedBy !== null) return record.pacing.changes.some(c => c.kind === 'add' && c.on === on && c.startMinute === startMinute)
  return record.pattern.some(r => r.startMinute === startMinute && ('weekday' in r.day ? r.day.weekday === weekdayOf(day.on) : r.day.label === day.label))
}

async function replanned(tx: Connection, actor: Actor, record: ClassRecord) {
  const { moved, stuck } = await refreshWork(tx, [record.id])
  return { classId: record.id, version: record.version, pacing: record.pacing, work: await deskWork(tx, [record.id]), moved, stuck, steps: await steps(tx, actor) }
}
