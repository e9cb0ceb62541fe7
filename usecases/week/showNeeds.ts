import { addDays, groupBy, ok } from '#core/base'
import type { ClassId, Instant, IsoDay, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import { schoolDays } from '#core/calendar'
import { USUAL_LIMITS, cautionsIn, loadOf } from '#core/load'
import { layRows } from '#core/series'
import { suggestStep, trailOf } from '#core/versions'
import {
  lateIn,
  learnersOf,
  piecesToDo,
  seriesOf,
  standingOf,
  trailSettingsOf,
  trailsIn,
  waitingIn,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { trailPaths } from '../evidence/trailPaths'
import { asLoadPiece } from '../load/loadPieces'
import { groundsOf } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'
import { daysFor } from '../series/showSeries'
import { havingOf } from '../standing/offers'
import { queuesIn } from '../settling/turnQueues'
import { ownClasses } from '../ground/ownClasses'

/**
 * Who and what needs the teacher, class by class: late and stuck learners, texts to score, what a plan offers, series
 * with rows that are not released, work that waits in queues, who carries too much in the week, and who has terms of
 * their own.
 */
export async function showNeeds(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Teacher,
  input: { readonly mondayOn: IsoDay },
) {
  const tx = deps.store.read
  const records = await ownClasses(tx, actor)
  const ids = records.map((r) => r.id)
  const grounds = await groundsOf(tx, records)
  const now = deps.clock.now()
  const learners = await learnersOf(tx, ids)
  const stuck = await stuckIn(tx, actor, learners, now)
  const offers = await offersIn(tx, grounds)
  const unreleased = await unreleasedIn(tx, grounds)
  const heavy = await heavyIn(tx, grounds, learners, input.mondayOn)
  return ok({
    late: await lateIn(tx, ids, now),
    toScore: await waitingIn(tx, ids),
    queued: await queuedIn(tx, ids, now),
    classes: records.map(({ id, name, planId }) => ({
      classId: id,
      name,
      planId,
      stuck: stuck.get(id) ?? [],
      offers: offers.get(id) ?? 0,
      unreleased: unreleased.get(id) ?? [],
      heavy: heavy.get(id) ?? [],
      ownTerms: (learners.get(id) ?? [])
        .filter(({ accommodation: a }) => a.timeFactor !== 1 || a.extraAttempts > 0 || a.extraDays > 0)
        .map((l) => l.name),
    })),
  })
}

/** Work that waits in queues of classes, each once a class. */
async function queuedIn(tx: Connection, ids: readonly ClassId[], now: Instant) {
  const queues = await queuesIn(tx, ids, now)
  const tooLate = new Set(queues.flatMap((q) => q.tooLate))
  const waiting = [...tooLate, ...queues.flatMap((q) => [...q.out, ...q.waits])]
  return [...groupBy(waiting, (q) => `${q.assignmentId} ${q.classId}`).values()].flatMap((list) => {
    const [first] = list
    if (!first) return []
    const { assignmentId, classId, title } = first
    const late = list.filter((q) => tooLate.has(q)).length
    return [{ assignmentId, classId, title, waits: list.length - late, tooLate: late }]
  })
}

type NamesIn = ReadonlyMap<ClassId, readonly string[]>

async function stuckIn(
  tx: Connection,
  actor: Teacher,
  learners: Awaited<ReturnType<typeof learnersOf>>,
  now: Instant,
): Promise<NamesIn> {
  const { trails, thresholds } = await trailSettingsOf(tx, actor.schoolId)
  const inClasses = await trailsIn(tx, [...learners.keys()])
  const out = new Map<ClassId, readonly string[]>()
  for (const [id, list] of learners) {
    const paths = await trailPaths(tx, id, now)
    const isStuck = (learnerId: UserId) => {
      const own = trailOf(trails, inClasses.get(id), learnerId)
      return suggestStep(paths.get(learnerId) ?? [], own, trails, thresholds).stuck !== null
    }
    const stuck = list.filter((l) => isStuck(l.id))
    out.set(
      id,
      stuck.map((l) => l.name),
    )
  }
  return out
}

/** How much a class's plan offers that nobody has answered. */
async function offersIn(
  tx: Connection,
  grounds: ReadonlyMap<ClassId, ClassGround>,
): Promise<ReadonlyMap<ClassId, number>> {
  const out = new Map<ClassId, number>()
  const plans = new Map([...grounds.values()].flatMap(({ plan }) => (plan ? [[plan.id, plan] as const] : [])))
  for (const plan of plans.values()) {
    const on = [...grounds.values()].filter((g) => g.plan?.id === plan.id).map((g) => g.record.id)
    const { has } = await havingOf(tx, plan, await standingOf(tx, [plan.id]), on)
    for (const one of has)
      if (one.offer.kind !== 'settled' && !one.isRefused)
        out.set(one.classId, (out.get(one.classId) ?? 0) + 1)
  }
  return out
}

/** Titles of series with rows that are not released for want of a day. */
async function unreleasedIn(tx: Connection, grounds: ReadonlyMap<ClassId, ClassGround>): Promise<NamesIn> {
  const out = new Map<ClassId, string[]>()
  for (const { series } of await seriesOf(tx, [...grounds.keys()])) {
    const ground = grounds.get(series.classId)
    if (!ground || layRows(series, daysFor(ground)).every((r) => r.days !== null)) continue
    out.set(series.classId, [...(out.get(series.classId) ?? []), series.title])
  }
  return out
}

/** Who carries more than the limits in the week, in all of their classes. */
async function heavyIn(
  tx: Connection,
  grounds: ReadonlyMap<ClassId, ClassGround>,
  learners: Awaited<ReturnType<typeof learnersOf>>,
  mondayOn: IsoDay,
): Promise<NamesIn> {
  const [first] = grounds.values()
  if (!first) return new Map()
  const { zone } = first.ground
  const within = { from: zone.at(mondayOn, 0), until: zone.at(addDays(mondayOn, 6), 24 * 60) }
  const everybody = [...new Map([...learners.values()].flat().map((l) => [l.id, l])).keys()]
  const pieces = await piecesToDo(tx, everybody, within)
  const open = schoolDays(first.year).flatMap((d) => (d.closedBy === null ? [d.on] : []))
  const load = loadOf(
    pieces.map((p) => asLoadPiece(p, zone)),
    open,
    everybody,
    'window',
  )
  const over = new Set(
    cautionsIn(load, USUAL_LIMITS)
      .filter((c) => c.on >= mondayOn && c.on <= addDays(mondayOn, 6))
      .map((c) => c.learnerId),
  )
  return new Map(
    [...learners].map(([id, list]) => [id, list.filter((l) => over.has(l.id)).map((l) => l.name)]),
  )
}
