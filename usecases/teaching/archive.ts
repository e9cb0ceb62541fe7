import { canArchiveClass, canEditPlan, canEditYear } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import {
  deleteForGood,
  groupsById,
  isInUse,
  plansById,
  setArchived,
  teachersOf,
  yearsById,
} from '#db/repositories'
import type { Archivable, Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'

export type Gone = Result<{ readonly done: 'deleted' | 'archived' }, AccessRefusal>

/**
 * Takes away a year, class, plan or group: for good while nothing hangs on it; else it leaves the lists, with
 * everything kept, and can be brought back.
 */
export async function takeAway(deps: Deps, actor: Teacher, thing: Archivable): Promise<Gone> {
  return writing(deps.store, async (tx): Promise<Gone> => {
    const may = await mayTakeAway(tx, actor, thing)
    if (!may.ok) return may
    if (await isInUse(tx, thing)) {
      await setArchived(tx, thing, { at: deps.clock.now(), by: actor.userId })
      return ok({ done: 'archived' })
    }
    await deleteForGood(tx, thing)
    return ok({ done: 'deleted' })
  })
}

export type Back = Result<{ readonly done: true }, AccessRefusal>

/** Brings back what was archived. */
export async function bringBack(deps: Deps, actor: Teacher, thing: Archivable): Promise<Back> {
  return writing(deps.store, async (tx): Promise<Back> => {
    const may = await mayTakeAway(tx, actor, thing)
    if (!may.ok) return may
    await setArchived(tx, thing, null)
    return ok({ done: true })
  })
}

async function mayTakeAway(
  tx: Connection,
  actor: Teacher,
  thing: Archivable,
): Promise<Result<unknown, AccessRefusal>> {
  switch (thing.kind) {
    case 'class': {
      const found = await classFor(tx, actor, thing.id, 'run')
      if (!found.ok) return found
      const teacherIds = (await teachersOf(tx, [thing.id])).get(thing.id) ?? []
      const may = canArchiveClass(actor, { schoolId: found.value.schoolId, teacherIds })
      return may ? found : refuse({ code: 'access/denied' })
    }
    case 'group': {
      const [group] = await groupsById(tx, [thing.id])
      if (!group) return notFound('group')
      const room = await classFor(tx, actor, group.classId, 'run')
      return room.ok || room.error.code === 'access/denied' ? room : notFound('group')
    }
    case 'year': {
      const year = (await yearsById(tx, [thing.id])).get(thing.id)
      if (!year || year.schoolId !== actor.schoolId) return notFound('year')
      return canEditYear(actor, year.schoolId) ? ok(true) : refuse({ code: 'access/denied' })
    }
    case 'plan': {
      const plan = (await plansById(tx, [thing.id])).get(thing.id)
      if (!plan || plan.schoolId !== actor.schoolId) return notFound('plan')
      return canEditPlan(actor, plan) ? ok(true) : refuse({ code: 'access/denied' })
    }
  }
}

function notFound(what: string): Result<never, AccessRefusal> {
  return refuse({ code: 'access/not-found', what })
}
