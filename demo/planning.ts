import { asId, mustBeOk } from '#core/base'
import type { ClassId, IsoDay, LessonId, PlanId } from '#core/base'
import type { Teacher } from '#core/access'
import { blank, planCommand, recordLesson, sequenceOf } from '#core/pacing'
import type { Happened, Plan, PlanLesson } from '#core/pacing'
import { classById, plansById } from '#db/repositories'
import type { ClassRecord } from '#db/repositories'
import { doCommand } from '#usecases/pacing/doCommand'
import type { Deps } from '#usecases/ground/deps'
import { groundsOf } from '#usecases/ground/classGrounds'
import type { ClassGround } from '#usecases/ground/classGrounds'
import type { Demo } from './demo'
import { OWN_FIXED, PLANNING, SECTIONS, SHAPING, TIGHTENED, TOOK } from './scenario'

const planWith = async (deps: Deps, planId: PlanId) =>
  (await plansById(deps.store.read, [planId])).get(planId)?.plan as Plan

/** Weights, a catch-up buffer and the fixed test, as the teacher wants them before the year begins. */
export async function shapePlan(deps: Deps, teacher: Teacher, course: string, planId: PlanId): Promise<void> {
  const plan = await planWith(deps, planId)
  const shape = SHAPING[course]
  if (!shape) return
  const lessons = plan.lessons.map((l): PlanLesson => ({
    ...l,
    weight: shape.useful.includes(l.number)
      ? 'useful'
      : shape.optional.includes(l.number)
        ? 'optional'
        : l.weight,
    fixed: shape.fixed.find((f) => f.lesson === l.number)?.fixed ?? l.fixed,
  }))
  const at = lessons.findIndex((l) => l.number === shape.buffer.after)
  const before = lessons[at] as PlanLesson
  lessons.splice(at + 1, 0, {
    ...blank(asId<LessonId>(deps.ids.newId()), before.unitId),
    number: shape.buffer.number,
    title: shape.buffer.title,
    kind: 'buffer',
    weight: 'optional',
    length: { unit: 'meetings', min: 0.5, typical: 1, max: 2 },
  })
  const command = planCommand(plan, { ...plan, lessons })
  if (command) mustBeOk(await doCommand(deps, teacher, command), `shape ${course}`)
}

/** The test dates that single sections have of their own. */
export async function fixTests(
  deps: Deps,
  teacher: Teacher,
  classes: ReadonlyMap<string, ClassId>,
  plans: ReadonlyMap<string, PlanId>,
): Promise<void> {
  for (const { section, lesson, fixed } of OWN_FIXED) {
    const course = SECTIONS.find((s) => s.key === section)?.course ?? ''
    const lessonId = (await planWith(deps, plans.get(course) as PlanId)).lessons.find(
      (l) => l.number === lesson,
    )?.id as LessonId
    mustBeOk(
      await doCommand(deps, teacher, {
        kind: 'lesson',
        classId: classes.get(section) as ClassId,
        lessonId,
        part: 'fixed',
        from: null,
        to: fixed,
      }),
      `fix ${section}`,
    )
  }
}

/** Meetings that are announced as lost on a day, and lessons given up. */
export async function changePlans({ deps, teacher, classes, lessons }: Demo, on: IsoDay): Promise<void> {
  for (const { section, lesson, halves } of TIGHTENED.filter((l) => l.on === on)) {
    const of = {
      classId: classes.get(section) as ClassId,
      lessonId: lessons.get(lesson) as LessonId,
      from: null,
    }
    mustBeOk(
      await doCommand(
        deps,
        teacher,
        halves === null
          ? { kind: 'lesson', ...of, part: 'left', to: 'let-go' }
          : { kind: 'length', ...of, to: halves },
      ),
      `tighten ${lesson}`,
    )
  }
  for (const { section, lose, why } of PLANNING.filter((p) => p.on === on)) {
    const startMinute = SECTIONS.find((s) => s.key === section)?.pattern[0]?.startMinute ?? 0
    mustBeOk(
      await doCommand(deps, teacher, {
        kind: 'meeting',
        classId: classes.get(section) as ClassId,
        on: lose as IsoDay,
        startMinute,
        from: null,
        to: { kind: 'cancel', on: lose as IsoDay, startMinute, why },
      }),
      `lose ${lose}`,
    )
  }
}

/** The teacher writes down what was covered by the end of a school day, section by section. */
export async function recordDay({ deps, teacher, classes }: Demo): Promise<void> {
  for (const [section, classId] of classes) {
    for (let more = true; more;) more = await recordNext(deps, teacher, section, classId)
  }
}

/**
 * Records the section's next lesson once its laid-out meetings are over: finished, or carried over where it
 * takes longer.
 */
async function recordNext(deps: Deps, teacher: Teacher, section: string, classId: ClassId): Promise<boolean> {
  const record = (await classById(deps.store.read, classId)) as ClassRecord
  const { plan, layout, calendar } = (await groundsOf(deps.store.read, [record])).get(classId) as ClassGround
  if (!plan || !layout) return false
  const now = deps.clock.now()
  const next = layout.placements.find((p) => record.pacing.records[p.lessonId]?.outcome !== 'covered')
  if (!next?.placed) return false
  const sequence = sequenceOf(plan, record.pacing)
  const wanted = TOOK[section]?.[sequence.find((l) => l.id === next.lessonId)?.number ?? '']
  const isOver = (meeting: number | undefined) => (calendar.meetings[meeting ?? 0]?.endsAt ?? Infinity) <= now
  const last = next.slots[next.slots.length - 1]
  const isUnderWay = record.pacing.records[next.lessonId] !== undefined
  const short = wanted !== undefined && wanted < next.halves
  const end = short ? next.slots[Math.ceil(wanted / 2) - 1] : last
  if (!isOver(end?.meeting)) return false
  const happened: Happened =
    isUnderWay || wanted === undefined
      ? { as: 'covered' }
      : short
        ? { as: 'took', halves: wanted }
        : { as: 'carried-over', moreHalves: wanted - next.halves }
  mustBeOk(
    await doCommand(
      deps,
      teacher,
      mustBeOk(
        recordLesson(
          { classId, sequence, pacing: record.pacing, layout, meetings: calendar.meetings },
          next.lessonId,
          happened,
          now,
        ),
        `record ${section}`,
      ),
    ),
    `record ${section}`,
  )
  return true
}
