import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import { canSetTrails } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { checkTrails, faultInThresholds } from '#core/versions'
import type { StepThresholds, Trail, VersionsRefusal } from '#core/versions'
import { saveTrailSettings, trailSettingsOf, trailUses } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { changedTo } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'

/** A school's trails with how much each is used, and from which scores steps are suggested. */
export async function showTrailSettings(deps: Pick<Deps, 'store'>, actor: Teacher) {
  const tx = deps.store.read
  const settings = await trailSettingsOf(tx, actor.schoolId)
  const uses = await trailUses(tx, actor.schoolId)
  const nobody = { learners: 0, versions: 0 }
  return ok({
    ...settings,
    trails: settings.trails.map((t) => ({ ...t, ...(uses.get(t.id) ?? nobody) })),
    maySet: canSetTrails(actor),
  })
}

type Set = Result<{ readonly version: number }, AccessRefusal | VersionsRefusal>

/** Names, orders, adds and takes away a school's trails, and sets its thresholds. A trail in use cannot go. */
export async function setTrailSettings(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly trails: readonly Trail[]
    readonly thresholds: StepThresholds
    readonly version: number
  },
): Promise<Set> {
  if (!canSetTrails(actor)) return refuse({ code: 'access/denied' })
  return writing(deps.store, async (tx): Promise<Set> => {
    const { version: now } = await trailSettingsOf(tx, actor.schoolId)
    if (now !== input.version) return changedTo({ seen: input.version, now }, null)
    const checked = checkTrails(input.trails, await trailUses(tx, actor.schoolId))
    if (!checked.ok) return checked
    const fault = faultInThresholds(input.thresholds)
    if (fault) return refuse({ code: 'versions/bad-thresholds', field: fault })
    await saveTrailSettings(tx, actor.schoolId, input)
    return ok({ version: now + 1 })
  })
}
