import { asId, ok, refuse } from '#core/base'
import type { BookId, ClassId, LessonId, PlanId, Result, UnitId } from '#core/base'
import { canSeePlan, isTeacher } from '#core/access'
import type { AccessRefusal, Actor } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { parseOutline } from '#core/formats'
import type { FormatRefusal, OutlineReading } from '#core/formats'
import type { Book } from '#core/library'
import { checkPlan } from '#core/pacing'
import type { PacingRefusal, Plan, PlanLesson } from '#core/pacing'
import { addPlan, bookById, dropJournalOf, plansById, saveClass } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { classFor } from '../teaching/classAccess'
import { refreshWork } from '../work/refreshWork'
import { groundsOf } from './grounds'
import type { ClassGround } from './grounds'

/** Dry run of an outline. */
export async function readOutline(_deps: Deps, actor: Actor, text: string): Promise<Result<OutlineReading, AccessRefusal | FormatRefusal>> {
  return isTeacher(actor) ? parseOutline(text) : refuse({ code: 'access/denied' })
}

/** Makes a plan from an outline; refused with the line numbers while rows are bad. Lengths may shrink to half and grow to double. */
export async function makePlan(deps: Deps, actor: Actor, input: { readonly title: string, readonly course: string, readonly text: string }): Promise<Result<{ readonly planId: PlanId }, AccessRefusal | FormatRefusal | AudienceRefusal | PacingRefusal>> {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' })
  const outline = parseOutline(input.text)
  if (!outline.ok) return outline
  if (outline.value.bad.length > 0) return refuse({ code: 'audience/bad-rows', field: 'text', lines: outline.value.bad.map(b => b.line) })
  const titles = [...new Set(outline.value.lessons.map(l => l.unit))]
  const units = titles.map((title, i) => ({ id: asId<UnitId>(deps.ids.newId()), number: String(i + 1), title }))
  const counts = new Map<string, number>()
  const lessons = outline.value.lessons.map((l): PlanLesson => {
    const unit = titles.indexOf(l.unit)
    const number = (counts.get(l.unit) ?? 0) + 1
    counts.set(l.unit, number)
    return { id: asId<LessonId>(deps.ids.newId()), unitId: units[unit]?.id as UnitId, number: `${unit + 1}.${number}`, title: l.title, kind: 'lesson', weight: 'core', bookLessonId: null, length: lengthAround(l.meetings) }
  })
  return keepPlan(deps, actor, { id: asId<PlanId>(deps.ids.newId()), title: input.title, course: input.course, units, lessons }, null)
}

function lengthAround(typical: number): PlanLesson['length'] {
  return { unit: 'meetings', min: Math.max(0.5, Math.ceil(typical) / 2), typical, max: Math.min(40, typical * 2) }
}

/** Takes a textbook's ready plan with its typical lengths. */
export async function adoptBook(deps: Deps, actor: Actor, bookId: BookId): Promise<Result<{ readonly planId: PlanId }, AccessRefusal | PacingRefusal>> {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' })
  const book = await bookById(deps.store.read, bookId)
  if (!book) return refuse({ code: 'access/not-found', what: 'textbook' })
  return keepPlan(deps, actor, readyPlan(deps, book), bookId)
}

function readyPlan(deps: Deps, book: Book): Plan {
  const units = book.units.map(u => ({ id: asId<UnitId>(deps.ids.newId()), number: u.number, title: u.title }))
  const lessons = book.units.flatMap((u, i) => u.lessons.map((l): PlanLesson => ({
    id: asId<LessonId>(deps.ids.newId()), unitId: units[i]?.id as UnitId, number: l.number, title: l.title, kind: l.kind, bookLessonId: l.id,
    weight: l.kind === 'project' ? 'useful' : l.kind === 'review' ? 'optional' : 'core', length: lengthAround(l.typicalMeetings),
  })))
  return { id: asId<PlanId>(deps.ids.newId()), title: `${book.title}: ready plan`, course: book.course, units, lessons }
}

async function keepPlan(deps: Deps, actor: Actor, plan: Plan, bookId: BookId | null): Promise<Result<{ readonly planId: PlanId }, PacingRefusal>> {
  const checked = checkPlan(plan)
  if (!checked.ok) return checked
  await deps.store.write(tx => addPlan(tx, { plan, schoolId: actor.schoolId, ownerId: actor.userId, bookId, version: 1 }))
  return ok({ planId: plan.id })
}

/** Lays a plan onto classes the actor teaches. What does not fit is listed for the class with least room. */
export async function layPlan(deps: Deps, actor: Actor, input: { readonly planId: PlanId, readonly classIds: readonly ClassId[] }) {
  return writing(deps.store, async (tx) => {
    const known = (await plansById(tx, [input.planId])).get(input.planId)
    if (!known || !canSeePlan(actor, known)) return refuse({ code: 'access/not-found' as const, what: 'plan' })
    const laid = []
    for (const classId of new Set(input.classIds)) {
      const found = await classFor(tx, actor, classId, 'run')
      if (!found.ok) return found
      const record = found.value
      if (record.planId !== input.planId) {
        // lengths belong to the lessons of the plan that goes; lost meetings stay
        const next = { ...record, planId: input.planId, pacing: { ...record.pacing, lengths: {} } }
        await saveClass(tx, next)
        await dropJournalOf(tx, classId)
        laid.push({ ...next, version: next.version + 1 })
      }
      else laid.push(record)
    }
    const grounds = [...(await groundsOf(tx, laid)).values()]
    await refreshWork(tx, laid.map(r => r.id))
    return ok({ classes: laid.length, ...fitOf(grounds) })
  })
}

/** Placed, left over and not placed, of the class with least room. */
function fitOf(grounds: readonly ClassGround[]) {
  const fits = grounds.map(({ plan, layout }) => ({
    placed: layout?.placements.filter(p => p.placed).length ?? 0,
    slackHalves: layout?.slackHalves ?? 0,
    notPlaced: (layout?.placements ?? []).flatMap((p) => {
      const lesson = plan?.lessons.find(l => l.id === p.lessonId)
      return p.placed || !lesson ? [] : [{ lessonId: p.lessonId, number: lesson.number, title: lesson.title, needHalves: p.halves, freeHalves: p.because.why === 'year-full' ? p.because.freeHalves : null }]
    }),
  }))
  return fits.sort((a, b) => b.notPlaced.length - a.notPlaced.length || a.slackHalves - b.slackHalves)[0] ?? { placed: 0, slackHalves: 0, notPlaced: [] }
}
