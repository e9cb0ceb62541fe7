import { ok, refuse } from '#core/base'
import type { ClassId, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { learnersOf, setGrades } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { standsOtherwise } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'

export type Graded = Result<{ readonly learners: number }, AccessRefusal | AudienceRefusal>

/**
 * Puts learners of a class into a grade, or into none that is known. Groups by grade follow; work that was published
 * to them keeps those who were in it then. Refused where a colleague gave one of them another grade since it was
 * `seen`.
 */
export async function gradeLearners(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly learnerIds: readonly UserId[]
    readonly grade: number | null
    /** The grades that were shown, in the order of the learners; absent: as they stand. */
    readonly seen?: readonly (number | null)[]
  },
): Promise<Graded> {
  return writing(deps.store, async (tx): Promise<Graded> => {
    const found = await classFor(tx, actor, input.classId, 'run')
    if (!found.ok) return found
    const learners = (await learnersOf(tx, [input.classId])).get(input.classId) ?? []
    const graded = new Map(learners.map((l) => [l.id, l.grade]))
    const ids = [...new Set(input.learnerIds)]
    const stranger = ids.find((id) => !graded.has(id))
    if (stranger) return refuse({ code: 'audience/not-in-class', field: 'learnerIds', id: stranger })
    const isOther = (id: UserId, at: number) => {
      const stands = graded.get(id) ?? null
      return stands !== (input.seen?.[at] ?? null) && stands !== input.grade
    }
    if (input.seen && input.learnerIds.some(isOther)) return standsOtherwise()
    await setGrades(tx, ids, input.grade)
    return ok({ learners: ids.length })
  })
}
