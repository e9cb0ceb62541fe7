import { addDays, mondayOf, ok } from '#core/base'
import type { IsoDay } from '#core/base'
import type { Teacher } from '#core/access'
import { zoneOf } from '#core/calendar'
import { anchoredLessons, classWindow, namedClasses } from '#core/work'
import type { Assignment } from '#core/work'
import { sumsOf, weekOf, weekToPrepare } from '#core/week'
import type { WeekClass } from '#core/week'
import { assignmentIdsTouching, assignmentsById, kindsOf, learnersOf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { groundsOf } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'
import { ownClasses } from '../ground/ownClasses'

/**
 * A week of the actor's own classes: the one that holds `on`; without one the week that has to be ready.
 */
export async function showWeek(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Teacher,
  input: { readonly on: IsoDay | null },
) {
  const tx = deps.store.read
  const records = await ownClasses(tx, actor)
  const grounds = [...(await groundsOf(tx, records)).values()]
  const now = deps.clock.now()
  const zone = grounds[0]?.ground.zone ?? zoneOf('UTC')
  const mondayOn = input.on ? mondayOf(input.on) : weekToPrepare(zone.local(now))
  const learners = await learnersOf(
    tx,
    records.map((r) => r.id),
  )
  const works = await worksOf(tx, grounds)
  const weeks = grounds.map((ground) =>
    weekOf(weekClass(ground, works, mondayOn), mondayOn, {
      dayOf: (at) => ground.ground.zone.local(at).on,
      now,
    }),
  )
  const [first] = grounds
  return ok({
    mondayOn,
    zone: first?.year.zone ?? 'UTC',
    now,
    sums: sumsOf(weeks),
    closures: (first?.year.notes ?? [])
      .filter((n) => n.classIds.length === 0 && n.fromOn <= addDays(mondayOn, 6) && n.throughOn >= mondayOn)
      .map(({ name, fromOn, throughOn, kind }) => ({ name, fromOn, throughOn, kind })),
    classes: grounds.map(({ record, plan }, i) => ({
      classId: record.id,
      name: record.name,
      shortName: record.shortName,
      learners: learners.get(record.id)?.length ?? 0,
      hasPlan: plan !== null,
      days: weeks[i] ?? [],
    })),
  })
}

interface Works {
  readonly list: readonly Assignment[]
  readonly kinds: Awaited<ReturnType<typeof kindsOf>>
}

async function worksOf(tx: Connection, grounds: readonly ClassGround[]): Promise<Works> {
  const ids = await assignmentIdsTouching(
    tx,
    grounds.map((g) => g.record.id),
  )
  const list = (await assignmentsById(tx, ids)).filter((a) => a.state !== 'withdrawn')
  return { list, kinds: await kindsOf(tx, ids) }
}

function weekClass(
  { record, plan, calendar, layout, ground }: ClassGround,
  { list, kinds }: Works,
  mondayOn: IsoDay,
): WeekClass {
  const isIn = ({ on }: { readonly on: IsoDay }) => on >= mondayOn && on <= addDays(mondayOn, 6)
  return {
    classId: record.id,
    meetings: calendar.meetings
      .filter(isIn)
      .map(({ index, on, startsAt, minutes, label }) => ({ index, on, startsAt, minutes, label })),
    lost: calendar.lost.filter(isIn).map(({ on, because }) => ({ on, because })),
    lessons: (layout?.placements ?? []).flatMap(({ lessonId }) => {
      const lesson = plan?.lessons.find((l) => l.id === lessonId) ?? record.pacing.added[lessonId]
      const extent = ground.extents?.get(lessonId)
      return lesson && extent
        ? [{ id: lessonId, number: lesson.number, title: lesson.title, kind: lesson.kind, ...extent }]
        : []
    }),
    works: list
      .filter((a) => namedClasses(a).includes(record.id))
      .map((a) => ({
        assignmentId: a.id,
        title: a.title,
        isHeld: a.state === 'held' || a.notFor.includes(record.id),
        window: classWindow(a, record.id, ground),
        lessonIds: anchoredLessons(a),
        kinds: kinds.get(a.id) ?? [],
      })),
  }
}
