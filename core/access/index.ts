/** Who may do what: one predicate per act, over plain facts. Anything not allowed here is denied. */
export { DOORS, counted, givenBack } from './doors'
export type { DoorCount, DoorRule } from './doors'
export {
  canAssignTo,
  canEditPlan,
  canEditYear,
  canRunClass,
  canSeeClass,
  canSeePlan,
  canSeeResource,
  canSeeWork,
  canSetTrails,
  canWriteResource,
  isTeacher,
} from './predicates'
export type { AccessRefusal } from './refusals'
export { ROLES } from './types'
export type { Actor, ClassFacts, PlanFacts, ResourceFacts, Role, WorkFacts } from './types'
