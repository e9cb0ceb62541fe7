import type { SchoolId, UserId } from '../base'
import type { Actor, ClassFacts, PlanFacts, ResourceFacts, WorkFacts } from './types'
import { isTeacher } from './whoFor'

/** Change a class: only those who teach it. */
export function canRunClass(actor: Actor, of: ClassFacts): boolean {
  return isTeacher(actor) && actor.schoolId === of.schoolId && of.teacherIds.includes(actor.userId)
}

/** Put a class into the archive, for everybody who teaches it: who made it, or the office where it teaches there. */
export function canArchiveClass(actor: Actor, of: ClassFacts): boolean {
  return canRunClass(actor, of) && (of.teacherIds[0] === actor.userId || actor.office)
}

/** Look at a class: those who teach it, and the department lead of the school. */
export function canSeeClass(actor: Actor, of: ClassFacts): boolean {
  return canRunClass(actor, of) || (seesWholeSchool(actor) && actor.schoolId === of.schoolId)
}

/** Looks at all classes of the school, not only at their own: the department lead. */
export function seesWholeSchool(actor: Actor): boolean {
  return actor.role === 'lead'
}

/** Give work to a class: only those who teach it. */
export function canAssignTo(actor: Actor, of: ClassFacts): boolean {
  return canRunClass(actor, of)
}

/** Change the school year: office of that school. */
export function canEditYear(actor: Actor, schoolId: SchoolId): boolean {
  return isTeacher(actor) && actor.office && actor.schoolId === schoolId
}

/** Name a school's trails, and say from which scores a step is suggested: the office, and the department lead. */
export function canSetTrails(actor: Actor): boolean {
  return isTeacher(actor) && (actor.office || seesWholeSchool(actor))
}

/** Read a plan, to adopt it: any teacher of the school. */
export function canSeePlan(actor: Actor, of: PlanFacts): boolean {
  return isTeacher(actor) && actor.schoolId === of.schoolId
}

/** Change a plan: its owner. */
export function canEditPlan(actor: Actor, of: PlanFacts): boolean {
  return canSeePlan(actor, of) && actor.userId === of.ownerId
}

/** Read a resource with its answers: any teacher, for textbooks; their own; those a colleague has shared. */
export function canSeeResource(actor: Actor, of: ResourceFacts): boolean {
  if (!isTeacher(actor)) return false
  if (of.schoolId === null) return true
  return of.schoolId === actor.schoolId && (of.isShared || of.ownerId === actor.userId)
}

/** Take a version off a piece: who changed it last, the piece's owner, the lead, and the office. */
export function canDropLayer(
  actor: Actor,
  of: { readonly ownerId: UserId | null; readonly changedBy: UserId },
): boolean {
  const isTheirs = of.changedBy === actor.userId || of.ownerId === actor.userId
  return isTeacher(actor) && (isTheirs || actor.office || seesWholeSchool(actor))
}

/** Change a resource: who wrote it. */
export function canWriteResource(actor: Actor, of: ResourceFacts): boolean {
  return canSeeResource(actor, of) && of.ownerId === actor.userId
}

/** Change or judge an assignment: its author, or a teacher of a class it goes to. */
export function canSeeWork(actor: Actor, of: WorkFacts): boolean {
  return (
    isTeacher(actor) &&
    actor.schoolId === of.schoolId &&
    (of.authorId === actor.userId || of.classTeacherIds.includes(actor.userId))
  )
}
