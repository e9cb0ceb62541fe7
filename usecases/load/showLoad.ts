import { groupBy, mondayOf, ok, refuse } from '#core/base'
import type { ClassId, Instant, IsoDay, UserId } from '#core/base'
import type { Actor } from '#core/access'
import { schoolDays, zoneOf } from '#core/calendar'
import type { SchoolYear, Zone } from '#core/calendar'
import { USUAL_LIMITS, cautionsIn, loadOf } from '#core/load'
import type { LoadPiece, Spread } from '#core/load'
import { learnersOf, piecesToDo, yearsById } from '#db/repositories'
import type { Connection, PieceToDo } from '#db/repositories'
import type { Deps } from '../deps'
import { classFor } from '../teaching/classAccess'

/**
 * What each learner of a class carries over the school year, in all of their classes, with what is over the limits.
 * Other teachers' work counts, too; which it is, is told by `showLoadOf`.
 */
export async function showLoad(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Actor,
  input: { readonly classId: ClassId; readonly spread: Spread },
) {
  const tx = deps.store.read
  const found = await classInYear(tx, actor, input.classId)
  if (!found.ok) return found
  const { name, year, zone, learners } = found.value
  const ids = learners.map((l) => l.id)
  const pieces = await piecesToDo(tx, ids, yearIn(year, zone))
  const load = loadOf(
    pieces.map((p) => asLoadPiece(p, zone)),
    openDays(year),
    ids,
    input.spread,
  )
  return ok({
    classId: input.classId,
    name,
    zone: year.zone,
    learners: learners.map(({ id, name }) => ({ id, name })),
    load,
    limits: USUAL_LIMITS,
    cautions: cautionsIn(load, USUAL_LIMITS),
    now: deps.clock.now(),
  })
}

/** Weeks in which learners of a class carry more than the limits, with how many they are, in order. */
export async function showHeavyWeeks(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Actor,
  { classId }: { readonly classId: ClassId },
) {
  const shown = await showLoad(deps, actor, { classId, spread: 'window' })
  if (!shown.ok) return shown
  const byWeek = groupBy(shown.value.cautions, (c) => mondayOf(c.on))
  const weeks = [...byWeek].map(([mondayOn, cautions]) => ({
    mondayOn,
    learners: new Set(cautions.map((c) => c.learnerId)).size,
  }))
  return ok({ weeks: weeks.toSorted((a, b) => (a.mondayOn < b.mondayOn ? -1 : 1)) })
}

/** What one learner of a class has to do in a week, piece by piece, of all their classes. */
export async function showLoadOf(
  deps: Pick<Deps, 'store'>,
  actor: Actor,
  input: { readonly classId: ClassId; readonly learnerId: UserId },
) {
  const tx = deps.store.read
  const found = await classInYear(tx, actor, input.classId)
  if (!found.ok) return found
  const { year, zone, learners } = found.value
  const learner = learners.find((l) => l.id === input.learnerId)
  if (!learner) return refuse({ code: 'access/not-found' as const, what: 'learner' })
  const pieces = await piecesToDo(tx, [learner.id], yearIn(year, zone))
  return ok({
    name: learner.name,
    pieces: pieces.map((p) => ({
      title: p.title,
      className: p.className,
      kind: p.kind,
      minutes: p.minutes,
      ...daysOf(p, zone),
    })),
  })
}

/** A class that the actor may see, with its year and its learners. */
async function classInYear(tx: Connection, actor: Actor, classId: ClassId) {
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

/** A piece as the load is reckoned with it. */
export function asLoadPiece(piece: PieceToDo, zone: Zone): LoadPiece {
  const { learnerId, assignmentId, pieceId, minutes, kind } = piece
  return { learnerId, assignmentId, pieceId, minutes, isTest: kind === 'test', ...daysOf(piece, zone) }
}

/** The days on which a piece can be done: the first, and the last. */
export function daysOf(
  { from, until }: Pick<PieceToDo, 'from' | 'until'>,
  zone: Zone,
): Pick<LoadPiece, 'fromOn' | 'throughOn'> {
  // a moment at 00:00 belongs to the day that has just ended
  return { fromOn: zone.local(from).on, throughOn: zone.local((until - 1) as Instant).on }
}
