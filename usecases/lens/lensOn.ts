import { ok, refuse } from '#core/base'
import type { ClassId, Instant, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { classesOfLearner, learnersOf } from '#db/repositories'
import type { ClassRecord, Connection, Person } from '#db/repositories'
import type { Look } from '../learning/myWork'
import { classesInView } from '../ground/classAccess'

/** A learner seen through the lens: their screens, as far as they are about classes that the actor may see. */
export interface OnLearner {
  readonly person: Person
  /** Of the learner's classes, those in view. */
  readonly classes: readonly ClassRecord[]
  /** How many classes of theirs are not. */
  readonly hidden: number
  readonly look: Look
  /** When they joined each of the classes in view. */
  readonly joinedAt: ReadonlyMap<ClassId, Instant>
  /** Their start lines there. */
  readonly startsAt: ReadonlyMap<ClassId, Instant>
}

/** A learner of one of the actor's classes, as of an instant; everybody else is not found. */
export async function lensOn(
  tx: Connection,
  actor: Teacher,
  of: { readonly learnerId: UserId; readonly at: Instant },
): Promise<Result<OnLearner, AccessRefusal>> {
  const theirs = await classesOfLearner(tx, of.learnerId)
  const classes = (await classesInView(tx, actor)).filter((c) => theirs.includes(c.id))
  const ids = new Set<ClassId>(classes.map((c) => c.id))
  const rosters = await learnersOf(tx, [...ids])
  const person = [...rosters.values()].flat().find((p) => p.id === of.learnerId)
  if (!person) return refuse({ code: 'access/not-found', what: 'learner' })
  const shows: Look['shows'] = (w) => ids.has(w.classId) && (w.publishedAt === null || w.publishedAt <= of.at)
  const own = [...rosters].flatMap(([classId, list]) =>
    list.filter((p) => p.id === of.learnerId).map((p) => ({ classId, ...p })),
  )
  const joinedAt = new Map(own.map((p) => [p.classId, p.joinedAt]))
  const startsAt = new Map(own.map((p) => [p.classId, p.startsAt]))
  return ok({
    person,
    classes,
    hidden: theirs.length - classes.length,
    look: { ...of, shows },
    joinedAt,
    startsAt,
  })
}
