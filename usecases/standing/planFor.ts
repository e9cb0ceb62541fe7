import { ok, refuse } from '#core/base'
import type { PlanId, Result } from '#core/base'
import { canEditPlan, canSeePlan } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { plansById } from '#db/repositories'
import type { Connection, PlanRecord } from '#db/repositories'

/** A plan that the actor may look at, or change. */
export async function planFor(
  tx: Connection,
  actor: Teacher,
  planId: PlanId,
  act: 'see' | 'edit',
): Promise<Result<PlanRecord, AccessRefusal>> {
  const record = (await plansById(tx, [planId])).get(planId)
  if (!record || record.isArchived || !canSeePlan(actor, record))
    return refuse({ code: 'access/not-found', what: 'plan' })
  if (act === 'edit' && !canEditPlan(actor, record)) return refuse({ code: 'access/denied' })
  return ok(record)
}
