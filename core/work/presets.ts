import type { AttemptRules } from '../attempts'
import type { ClassId, PresetId } from '../base'
import type { ResourceKind } from '../library'

/** As many as one teacher may keep. */
export const MOST_PRESETS = 60

/** Attempt rules under a teacher's own name for them; work of such a class or kind begins with them. */
export interface Preset {
  readonly id: PresetId
  readonly name: string
  readonly rules: AttemptRules
  /** Null, together with `kind`: chosen by hand only. */
  readonly classId: ClassId | null
  readonly kind: ResourceKind | null
}

/**
 * The rules with which work begins: those for this class and kind before those for the class, and these before those
 * for the kind; null: none of the presets is for it.
 */
export function presetFor(
  presets: readonly Preset[],
  of: { readonly classId: ClassId | null; readonly kind: ResourceKind },
): Preset | null {
  const fit = presets.filter(
    (p) =>
      (p.classId !== null || p.kind !== null) &&
      (p.classId === null || p.classId === of.classId) &&
      (p.kind === null || p.kind === of.kind),
  )
  const exact = (p: Preset) => (p.classId === null ? 0 : 2) + (p.kind === null ? 0 : 1)
  return fit.reduce<Preset | null>((best, p) => (best === null || exact(p) > exact(best) ? p : best), null)
}
