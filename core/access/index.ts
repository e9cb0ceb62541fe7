/** Who may do what: one predicate per act, over plain facts. Anything not allowed here is denied. */
export { DOORS, counted, givenBack } from './doors'
export type { DoorCount, DoorRule } from './doors'
export {
  canArchiveClass,
  canAssignTo,
  canDropLayer,
  canEditPlan,
  canEditYear,
  canRunClass,
  canSeeClass,
  seesWholeSchool,
  canSeePlan,
  canSeeResource,
  canSeeWork,
  canSetTrails,
  canWriteResource,
} from './predicates'
export type { AccessRefusal, ChangedBy } from './refusals'
export { ROLES } from './types'
export type { Actor, ClassFacts, Learner, PlanFacts, ResourceFacts, Role, Teacher, WorkFacts } from './types'
export { isFor, isTeacher } from './whoFor'
export type { ActorFor, WhoFor } from './whoFor'
