import { asId, ok, refuse } from '#core/base'
import type { PresetId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { faultInRules } from '#core/attempts'
import type { AttemptRefusal } from '#core/attempts'
import { MOST_PRESETS } from '#core/work'
import type { Preset, WorkRefusal } from '#core/work'
import { dropPreset as dropOne, presetsOf, savePreset } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'

/** A teacher's own presets of attempt rules, by name. */
export async function listPresets(
  deps: Deps,
  actor: Teacher,
): Promise<Result<{ readonly presets: readonly Preset[] }, AccessRefusal>> {
  return ok({ presets: await presetsOf(deps.store.read, actor.userId) })
}

export type PresetKept = Result<{ readonly presetId: PresetId }, AccessRefusal | AttemptRefusal | WorkRefusal>

/** Keeps attempt rules under a name; under a name that is there already, in place of what it stood for. */
export async function keepPreset(deps: Deps, actor: Teacher, input: Omit<Preset, 'id'>): Promise<PresetKept> {
  return writing(deps.store, async (tx): Promise<PresetKept> => {
    const fault = faultInRules(input.rules)
    if (fault) return refuse({ code: 'attempts/bad-rules', field: fault })
    if (input.classId !== null) {
      const found = await classFor(tx, actor, input.classId, 'run')
      if (!found.ok) return found
    }
    const own = await presetsOf(tx, actor.userId)
    const known = own.find((p) => p.name.toLowerCase() === input.name.toLowerCase())
    if (!known && own.length >= MOST_PRESETS)
      return refuse({ code: 'work/too-many-presets', field: 'name', most: MOST_PRESETS })
    const id = known?.id ?? asId<PresetId>(deps.ids.newId())
    await savePreset(tx, actor.userId, { ...input, id })
    return ok({ presetId: id })
  })
}

/** Takes an own preset away; work that began with it keeps its rules. */
export async function dropPreset(
  deps: Deps,
  actor: Teacher,
  presetId: PresetId,
): Promise<Result<{ readonly done: true }, AccessRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<{ readonly done: true }, AccessRefusal>> => {
    const isGone = await dropOne(tx, actor.userId, presetId)
    return isGone ? ok({ done: true }) : refuse({ code: 'access/not-found', what: 'preset' })
  })
}
