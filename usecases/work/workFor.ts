import { ok, refuse } from '#core/base'
import type { AssignmentId, ClassId, Result } from '#core/base'
import { canSeeWork } from '#core/access'
import type { AccessRefusal, Actor } from '#core/access'
import { namedClasses } from '#core/work'
import type { Assignment } from '#core/work'
import { assignmentById, learnerWorkOf, teachersOf } from '#db/repositories'
import type { Connection } from '#db/repositories'

/** An assignment the actor may change; what they may not see is not found. */
export async function workFor(
  tx: Connection,
  actor: Actor,
  id: AssignmentId,
): Promise<Result<Assignment, AccessRefusal>> {
  const found = await assignmentById(tx, id)
  const classIds = found ? await classesReached(tx, found) : []
  const classTeacherIds = [...(await teachersOf(tx, classIds)).values()].flat()
  if (!found || !canSeeWork(actor, { ...found, classTeacherIds }))
    return refuse({ code: 'access/not-found', what: 'assignment' })
  return ok(found)
}

/** The same, as it stood at `version`; refused when somebody changed it meanwhile. */
export async function workAt(
  tx: Connection,
  actor: Actor,
  of: { readonly assignmentId: AssignmentId; readonly version: number },
): Promise<Result<Assignment, AccessRefusal>> {
  const found = await workFor(tx, actor, of.assignmentId)
  if (!found.ok || found.value.version === of.version) return found
  const now = found.value.version
  return refuse({ code: 'access/changed-meanwhile', field: 'version', seen: of.version, now })
}

/** Classes an assignment names or has learners in. */
async function classesReached(tx: Connection, assignment: Assignment): Promise<ClassId[]> {
  const rows = await learnerWorkOf(tx, [assignment.id])
  return [...new Set([...namedClasses(assignment), ...rows.map((r) => r.classId)])]
}
