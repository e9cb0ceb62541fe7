import { refuse, ok } from '#core/base'
import type { ClassId, Result, UserId } from '#core/base'
import { canRunClass, canSeeClass, seesWholeSchool } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { classById, classesOfSchool, classesTaughtBy, learnersOf, teachersOf } from '#db/repositories'
import type { ClassRecord, Connection, Person } from '#db/repositories'

/** A class that the actor may change ('run') or look at ('see'). What one may not see is not found. */
export async function classFor(
  tx: Connection,
  actor: Teacher,
  classId: ClassId,
  act: 'run' | 'see',
): Promise<Result<ClassRecord, AccessRefusal>> {
  const record = await classById(tx, classId)
  if (!record) return refuse({ code: 'access/not-found', what: 'class' })
  const facts = {
    schoolId: record.schoolId,
    teacherIds: (await teachersOf(tx, [classId])).get(classId) ?? [],
  }
  if (!canSeeClass(actor, facts)) return refuse({ code: 'access/not-found', what: 'class' })
  if (act === 'run' && !canRunClass(actor, facts)) return refuse({ code: 'access/denied' })
  return ok(record)
}

/** Classes a teacher works with: their own; for a lead every class of the school. */
export async function classesInView(tx: Connection, actor: Teacher): Promise<readonly ClassRecord[]> {
  return seesWholeSchool(actor) ? classesOfSchool(tx, actor.schoolId) : classesTaughtBy(tx, actor.userId)
}

/** A learner of a class that the actor runs. */
export async function learnerFor(
  tx: Connection,
  actor: Teacher,
  of: { readonly classId: ClassId; readonly learnerId: UserId },
): Promise<Result<Person, AccessRefusal | AudienceRefusal>> {
  const found = await classFor(tx, actor, of.classId, 'run')
  if (!found.ok) return found
  const learner = (await learnersOf(tx, [of.classId])).get(of.classId)?.find((l) => l.id === of.learnerId)
  return learner
    ? ok(learner)
    : refuse({ code: 'audience/not-in-class', field: 'learnerIds', id: of.learnerId })
}
