import { ok, refuse } from '#core/base'
import type { ClassId, Instant, IsoDay, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import { schoolDays, zoneOf } from '#core/calendar'
import type { SchoolYear, Zone } from '#core/calendar'
import { USUAL_LIMITS, cautionsIn, daysToDo, loadOf, weeksOver } from '#core/load'
import type { Spread } from '#core/load'
import { learnersOf, piecesToDo, yearsById } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classFor } from '../ground/classAccess'
import { asLoadPiece } from './loadPieces'

/**
 * What each learner of a class carries in the weeks of the school year, in all of their classes, with what is over the
 * limits. Other teachers' work counts, too; which it is, is told by `showLoadOf`.
 */
export async function showLoad(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Teacher,
  input: { readonly classId: ClassId; readonly spread: Spread },
) {
  const found = await classInYear(deps.store.read, actor, input.classId)
  if (!found.ok) return found
  const { name, year, learners } = found.value
  const { load } = await loadIn(deps.store.read, found.value, learners, input.spread)
  const over = weeksOver(load, USUAL_LIMITS)
  return ok({
    classId: input.classId,
    name,
    zone: year.zone,
    weeks: load.weeks,
    learners: load.learners.map(({ weeks, pieces }, i) => {
      const { id, name } = learners[i]!
      const { asWhole = [], inDays = [] } = over.get(id) ?? {}
      return { id, name, minutes: weeks.map(Math.round), pieces, heavyWeeks: asWhole, heavyDays: inDays }
    }),
    limits: USUAL_LIMITS,
    now: deps.clock.now(),
  })
}

/** Weeks in which learners of a class carry more than the limits, with how many they are, in order. */
export async function showHeavyWeeks(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  { classId }: { readonly classId: ClassId },
) {
  const found = await classInYear(deps.store.read, actor, classId)
  if (!found.ok) return found
  const { load } = await loadIn(deps.store.read, found.value, found.value.learners, 'window')
  const learnersIn = new Array<number>(load.weeks.length).fill(0)
  for (const { asWhole, inDays } of weeksOver(load, USUAL_LIMITS).values())
    for (const place of new Set([...asWhole, ...inDays])) learnersIn[place] = (learnersIn[place] ?? 0) + 1
  const weeks = load.weeks.map((mondayOn, place) => ({ mondayOn, learners: learnersIn[place] ?? 0 }))
  return ok({ weeks: weeks.filter((w) => w.learners > 0) })
}

/** What one learner of a class has to do in the school year, day by day and piece by piece, of all their classes. */
export async function showLoadOf(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  input: { readonly classId: ClassId; readonly learnerId: UserId; readonly spread: Spread },
) {
  const tx = deps.store.read
  const found = await classInYear(tx, actor, input.classId)
  if (!found.ok) return found
  const { zone, learners } = found.value
  const learner = learners.find((l) => l.id === input.learnerId)
  if (!learner) return refuse({ code: 'access/not-found' as const, what: 'learner' })
  const { pieces, load } = await loadIn(tx, found.value, [learner], input.spread)
  return ok({
    load,
    heavyDays: cautionsIn(load, USUAL_LIMITS).flatMap((c) => (c.kind === 'minutes-in-day' ? [c.on] : [])),
    pieces: pieces.map((p) => ({
      title: p.title,
      className: p.className,
      kind: p.kind,
      minutes: p.minutes,
      ...daysToDo(p, zone),
    })),
  })
}

async function loadIn(
  tx: Connection,
  { year, zone }: { readonly year: SchoolYear; readonly zone: Zone },
  learners: readonly { readonly id: UserId }[],
  spread: Spread,
) {
  const ids = learners.map((l) => l.id)
  const pieces = await piecesToDo(tx, ids, yearIn(year, zone))
  const loadPieces = pieces.map((p) => asLoadPiece(p, zone))
  return { pieces, load: loadOf(loadPieces, openDays(year), ids, spread) }
}

/** A class that the actor may see, with its year and its learners. */
async function classInYear(tx: Connection, actor: Teacher, classId: ClassId) {
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const { name, yearId } = found.value
  const year = (await yearsById(tx, [yearId])).get(yearId)?.year
  if (!year) return refuse({ code: 'access/not-found' as const, what: 'year' })
  const learners = (await learnersOf(tx, [classId])).get(classId) ?? []
  return ok({ name, year, zone: zoneOf(year.zone), learners })
}

function openDays(year: SchoolYear): readonly IsoDay[] {
  return schoolDays(year).flatMap((d) => (d.closedBy === null ? [d.on] : []))
}

function yearIn(year: SchoolYear, zone: Zone): { readonly from: Instant; readonly until: Instant } {
  return { from: zone.at(year.firstOn, 0), until: zone.at(year.lastOn, 24 * 60) }
}
