import type { SchoolId } from '../base'
import type { Actor, ClassFacts, PlanFacts, ResourceFacts, WorkFacts } from './types'
import { isTeacher } from './whoFor'

/** Change a class: only those who teach it. */
export function canRunClass(actor: Actor, of: ClassFacts): boolean {
  return isTeacher(actor) && actor.schoolId === of.schoolId && of.teacherIds.includes(actor.userId)
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
