import { ok, refuse } from '#core/base'
import type { AssignmentId, ClassId, Result } from '#core/base'
import { canAssignTo, canSeeWork } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { reachOnWork, namedClasses } from '#core/work'
import type { Assignment, WorkReach } from '#core/work'
import { assignmentById, classesOfGroup, groupsById, learnerWorkOf, teachersOf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { changedMeanwhile } from '../ground/changedMeanwhile'

/** An assignment, the classes it goes to, and how far the actor reaches on it. */
export interface WorkInReach {
  readonly assignment: Assignment
  readonly goesTo: readonly ClassId[]
  readonly reach: WorkReach
}

/** An assignment the actor may change, as far as they may; what they may not see is not found. */
export async function workFor(
  tx: Connection,
  actor: Teacher,
  id: AssignmentId,
): Promise<Result<WorkInReach, AccessRefusal>> {
  const assignment = await assignmentById(tx, id)
  if (!assignment) return refuse({ code: 'access/not-found', what: 'assignment' })
  const { schoolId, authorId } = assignment
  const goesTo = await classesReached(tx, assignment)
  const teachers = await teachersOf(tx, goesTo)
  if (!canSeeWork(actor, { schoolId, authorId, classTeacherIds: [...teachers.values()].flat() }))
    return refuse({ code: 'access/not-found', what: 'assignment' })
  const taught = goesTo.filter((c) => canAssignTo(actor, { schoolId, teacherIds: teachers.get(c) ?? [] }))
  return ok({ assignment, goesTo, reach: reachOnWork(authorId === actor.userId, goesTo, new Set(taught)) })
}

/** The same, as it stood at `version`; refused when somebody changed it meanwhile. */
export async function workAt(
  tx: Connection,
  actor: Teacher,
  of: { readonly assignmentId: AssignmentId; readonly version: number },
): Promise<Result<WorkInReach, AccessRefusal>> {
  const found = await workFor(tx, actor, of.assignmentId)
  if (!found.ok || found.value.assignment.version === of.version) return found
  const now = found.value.assignment.version
  return changedMeanwhile(tx, actor, { seen: of.version, now, id: of.assignmentId })
}

/** Classes an assignment names, has learners in, or has groups of. */
async function classesReached(tx: Connection, assignment: Assignment): Promise<ClassId[]> {
  const rows = await learnerWorkOf(tx, [assignment.id])
  const named = assignment.targets.flatMap(({ target }) => (target.kind === 'group' ? [target.groupId] : []))
  const groups = await groupsById(tx, named)
  const ofGroups = groups.flatMap(classesOfGroup)
  return [...new Set([...namedClasses(assignment), ...ofGroups, ...rows.map((r) => r.classId)])]
}
