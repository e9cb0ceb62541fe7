import { ok, refuse, same } from '#core/base'
import { canSeeResource } from '#core/access'
import type { LayerCommand } from '#core/versions'
import { dropLayer, layersOf, resourceById, saveLayer } from '#db/repositories'
import { touching } from '../ground/stepping'
import type { StepIn, Stepped, SteppingOf } from '../ground/stepping'
import { refreshGiving } from '../settling/refreshWork'

async function stepLayer({ tx, deps, actor, way }: StepIn, command: LayerCommand): Promise<Stepped> {
  const { resourceId, trailId, title } = command
  const record = await resourceById(tx, resourceId)
  if (!record || !canSeeResource(actor, record)) return refuse({ code: 'access/not-found', what: 'piece' })
  const [from, to] = way === 'undo' ? [command.to, command.from] : [command.from, command.to]
  const stands = (await layersOf(tx, actor.schoolId, [resourceId])).find((l) => l.trailId === trailId)
  if (!same(stands?.layer ?? null, from)) return refuse({ code: 'work/changed-since', field: 'state', title })
  const { schoolId, userId: changedBy } = actor
  const of = { resourceId, trailId, schoolId }
  if (to === null) await dropLayer(tx, of)
  else await saveLayer(tx, { ...of, layer: to, version: stands?.version ?? 0, changedBy })
  await refreshGiving(tx, resourceId, deps.clock.now())
  return ok(touching([]))
}

/** A version that was laid, changed or taken off is put back as it was. */
export const layerStepping: SteppingOf<LayerCommand> = { layer: stepLayer }
