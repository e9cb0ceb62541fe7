import { asId, groupBy, ok, refuse } from '#core/base'
import type { BookId, ComputeRefusal, LessonId, PlanId, Result, StandingId, UnitId } from '#core/base'
import { canEditPlan, canSeePlan } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import type { ColumnsChosen, FormatRefusal, OutlineReading, PlanTableReading } from '#core/formats'
import type { Book } from '#core/library'
import { checkPlan } from '#core/pacing'
import type { PacingRefusal, Plan, PlanLesson } from '#core/pacing'
import { ontoLessons, readyWork } from '#core/standing'
import type { StandingPiece } from '#core/standing'
import {
  addPlan,
  booksFor,
  cardsOfBooks,
  plansById,
  saveStanding,
  standingOf,
  userById,
  yearsOf,
} from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classesInView } from '../ground/classAccess'

/** Dry run of an outline. */
export async function readOutline(
  deps: Deps,
  actor: Teacher,
  input: { readonly text: string; readonly columns?: ColumnsChosen },
): Promise<Result<OutlineReading, AccessRefusal | FormatRefusal | ComputeRefusal>> {
  const read = await deps.heavy.run('outline', input.text, input.columns ?? null)
  return read.ok ? read.value : read
}

/** Dry run of a plan table. */
export async function readPlanTable(
  deps: Deps,
  actor: Teacher,
  input: { readonly text: string; readonly columns?: ColumnsChosen },
): Promise<Result<PlanTableReading, AccessRefusal | FormatRefusal | ComputeRefusal>> {
  const read = await deps.heavy.run('planTable', input.text, input.columns ?? null)
  return read.ok ? read.value : read
}

/** A plan of the actor's school, with the classes of theirs that follow it and the year of these. */
export async function showPlan(deps: Deps, actor: Teacher, planId: PlanId) {
  const tx = deps.store.read
  const known = (await plansById(tx, [planId])).get(planId)
  if (!known || !canSeePlan(actor, known)) return refuse({ code: 'access/not-found' as const, what: 'plan' })
  const classes = (await classesInView(tx, actor)).filter((c) => c.planId === planId)
  const years = await yearsOf(tx, actor.schoolId)
  const year = years.find((y) => y.year.id === classes[0]?.yearId) ?? years[0] ?? null
  return ok({
    plan: known.plan,
    mayEdit: canEditPlan(actor, known),
    owner: (await userById(tx, known.ownerId))?.name ?? '',
    year: year?.year ?? null,
    classes: classes.map((c) => ({ id: c.id, name: c.name })),
  })
}

/** Takes a plan of the school as one's own, to reshape it; lessons get ids of their own. */
export async function copyPlan(
  deps: Deps,
  actor: Teacher,
  planId: PlanId,
): Promise<Result<{ readonly planId: PlanId }, AccessRefusal | PacingRefusal>> {
  const known = (await plansById(deps.store.read, [planId])).get(planId)
  if (!known || !canSeePlan(actor, known)) return refuse({ code: 'access/not-found', what: 'plan' })
  const { plan } = known
  const units = new Map(plan.units.map((u) => [u.id, asId<UnitId>(deps.ids.newId())]))
  const ids = new Map(plan.lessons.map((l) => [l.id, asId<LessonId>(deps.ids.newId())]))
  const lessons = plan.lessons.map((l) => ({
    ...l,
    id: ids.get(l.id) as LessonId,
    unitId: units.get(l.unitId) as UnitId,
  }))
  return keepPlan(
    deps,
    actor,
    {
      ...plan,
      id: asId<PlanId>(deps.ids.newId()),
      title: `Copy of ${plan.title}`.slice(0, 80),
      units: plan.units.map((u) => ({ ...u, id: units.get(u.id) as UnitId })),
      lessons,
    },
    known.bookId,
    (await standingOf(deps.store.read, [planId]))
      .filter((s) => !s.isGone)
      .flatMap(({ piece }) => ontoLessons(piece, ids) ?? []),
  )
}

/**
 * Makes a plan from an outline; refused with the line numbers while rows are bad. Lengths may shrink to half
 * and grow to double.
 */
export async function makePlan(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly title: string
    readonly course: string
    readonly text: string
    readonly columns?: ColumnsChosen
    /** Leaves bad rows out. */
    readonly skipBad?: boolean
  },
): Promise<
  Result<
    { readonly planId: PlanId },
    AccessRefusal | FormatRefusal | AudienceRefusal | PacingRefusal | ComputeRefusal
  >
> {
  const read = await deps.heavy.run('outline', input.text, input.columns ?? null)
  if (!read.ok) return read
  const outline = read.value
  if (!outline.ok) return outline
  if (outline.value.bad.length > 0 && input.skipBad !== true)
    return refuse({ code: 'audience/bad-rows', field: 'text', lines: outline.value.bad.map((b) => b.line) })
  const titles = [...new Set(outline.value.lessons.map((l) => l.unit))]
  const units = titles.map((title, i) => ({
    id: asId<UnitId>(deps.ids.newId()),
    number: String(i + 1),
    title,
    partId: null,
  }))
  const counts = new Map<string, number>()
  const lessons = outline.value.lessons.map((l): PlanLesson => {
    const unit = titles.indexOf(l.unit)
    const number = (counts.get(l.unit) ?? 0) + 1
    counts.set(l.unit, number)
    return {
      id: asId<LessonId>(deps.ids.newId()),
      unitId: units[unit]?.id as UnitId,
      number: `${unit + 1}.${number}`,
      title: l.title,
      kind: l.kind,
      weight: l.weight,
      fixed: null,
      notAfterBreak: false,
      bookLessonId: null,
      length: l.length.unit === 'meetings' ? lengthAround(l.length.typical) : minutesAround(l.length.typical),
    }
  })
  return keepPlan(
    deps,
    actor,
    {
      id: asId<PlanId>(deps.ids.newId()),
      title: input.title,
      course: input.course,
      parts: [],
      units,
      lessons,
    },
    null,
  )
}

function lengthAround(typical: number): PlanLesson['length'] {
  return {
    unit: 'meetings',
    min: Math.max(0.5, Math.ceil(typical) / 2),
    typical,
    max: Math.min(40, typical * 2),
  }
}

function minutesAround(typical: number): PlanLesson['length'] {
  return { unit: 'minutes', min: Math.max(5, Math.ceil(typical / 2)), typical, max: typical * 2 }
}

/** Takes a textbook's ready plan with its typical lengths. */
export async function adoptBook(
  deps: Deps,
  actor: Teacher,
  bookId: BookId,
): Promise<Result<{ readonly planId: PlanId }, AccessRefusal | PacingRefusal>> {
  const book = (await booksFor(deps.store.read, actor.schoolId)).find((b) => b.id === bookId)
  if (!book) return refuse({ code: 'access/not-found', what: 'textbook' })
  const plan = readyPlan(deps, book)
  return keepPlan(deps, actor, plan, bookId, await readyStanding(deps, book, plan))
}

/** The work that a textbook's lessons usually set, for the plan's lessons that draw on them. */
async function readyStanding(deps: Deps, book: Book, { lessons }: Plan): Promise<readonly StandingPiece[]> {
  const cards = groupBy(await cardsOfBooks(deps.store.read, [book.id]), (c) => c.bookLessonId)
  return lessons.flatMap((lesson, i) => {
    const pieces = (cards.get(lesson.bookLessonId) ?? []).map(({ id, ...card }) => ({
      ...card,
      resourceId: id,
    }))
    return readyWork(lesson.id, pieces, { isFirst: i === 0, isLast: i === lessons.length - 1 })
  })
}

function readyPlan(deps: Deps, book: Book): Plan {
  const units = book.units.map((u) => ({
    id: asId<UnitId>(deps.ids.newId()),
    number: u.number,
    title: u.title,
    partId: null,
  }))
  const lessons = book.units.flatMap((u, i) =>
    u.lessons.map((l): PlanLesson => ({
      id: asId<LessonId>(deps.ids.newId()),
      unitId: units[i]?.id as UnitId,
      number: l.number,
      title: l.title,
      kind: l.kind,
      fixed: null,
      notAfterBreak: l.kind === 'test',
      bookLessonId: l.id,
      weight: l.kind === 'project' ? 'useful' : l.kind === 'review' ? 'optional' : 'core',
      length:
        l.kind === 'test'
          ? { ...lengthAround(l.typicalMeetings), min: l.typicalMeetings }
          : lengthAround(l.typicalMeetings),
    })),
  )
  return {
    id: asId<PlanId>(deps.ids.newId()),
    title: `${book.title}: ready plan`,
    course: book.course,
    parts: [],
    units,
    lessons,
  }
}

async function keepPlan(
  deps: Deps,
  actor: Teacher,
  plan: Plan,
  bookId: BookId | null,
  standing: readonly StandingPiece[] = [],
): Promise<Result<{ readonly planId: PlanId }, PacingRefusal>> {
  const checked = checkPlan(plan)
  if (!checked.ok) return checked
  const records = standing.map((piece, position) => ({
    id: asId<StandingId>(`${plan.id}-${position + 1}`),
    planId: plan.id,
    position,
    version: 0,
    isGone: false,
    piece,
  }))
  await deps.store.write(async (tx) => {
    await addPlan(tx, { plan, schoolId: actor.schoolId, ownerId: actor.userId, bookId, version: 1 })
    await saveStanding(tx, records)
  })
  return ok({ planId: plan.id })
}
