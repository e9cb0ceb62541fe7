import { STRONGEST_FIRST, asDefaults, resolveFields } from '../audience'
import type { Layer, Level, Reached, ResolvedFields } from '../audience'
import { ok } from '../base'
import type { ClassId, Instant, Result } from '../base'
import type { AvailabilityRefusal } from './refusals'
import type { Ground } from './resolveMoment'
import { checkOrder, completed, resolveGiven } from './resolveWindow'
import { KINDER, LIMIT_FIELDS } from './terms'
import type { LearnerTerms, Overrides, Terms } from './terms'
import { WINDOW_FIELDS } from './types'
import type { Window } from './types'

type LayerResult = Result<Layer<LearnerTerms>, AvailabilityRefusal>

/** What groups and persons change, on the ground of one class. */
export interface OnGround {
  readonly group: (id: string) => LayerResult
  readonly learner: (id: string) => LayerResult
}

/**
 * What a learner's groups and they themselves change, in each of their classes. Refused when something that
 * they change can stand in none of these.
 */
export function personal(
  { groupIds, learnerId }: Reached,
  { overrides }: Terms,
  classes: readonly OnGround[],
): Result<readonly Layer<LearnerTerms>[], AvailabilityRefusal> {
  const layers: Layer<LearnerTerms>[] = []
  for (const id of groupIds) {
    const fault = overrides.groups.has(id) ? addTo(layers, 'group', id, classes) : null
    if (fault) return fault
  }
  const fault = overrides.learners.has(learnerId) ? addTo(layers, 'learner', learnerId, classes) : null
  return fault ?? ok(layers)
}

/** Adds what stands in any of the classes; the first fault when it stands in none. */
function addTo(
  layers: Layer<LearnerTerms>[],
  level: 'group' | 'learner',
  id: string,
  classes: readonly OnGround[],
): Extract<LayerResult, { readonly ok: false }> | null {
  let fault: Extract<LayerResult, { readonly ok: false }> | null = null
  let stands = false
  for (const of of classes) {
    const layer = of[level](id)
    if (layer.ok) {
      layers.push(layer.value)
      stands = true
    } else fault ??= layer
  }
  return stands ? null : fault
}

type FieldsOfTerms = ResolvedFields<LearnerTerms>

/**
 * "No closing moment" means: when it is due. Where one layer says so and another of the same level names a
 * moment, the kinder of the two is known only with the due date that came out.
 */
export function withCloses(
  resolved: FieldsOfTerms,
  classLayers: readonly Layer<LearnerTerms>[],
  own: readonly Layer<LearnerTerms>[],
): FieldsOfTerms {
  const { due, closes } = resolved.fields
  if (closes !== null || due === null) return resolved
  const all = [...own, ...classLayers]
  const level = STRONGEST_FIRST.find((l) => all.some((layer) => layer.level === l && gives(layer)))
  let kinder: { readonly closes: Instant; readonly by: Layer<LearnerTerms> } | null = null
  for (const by of all.filter((layer) => layer.level === level)) {
    const at = by.fields.closes ?? due
    if (gives(by) && at > (kinder?.closes ?? due)) kinder = { closes: at, by }
  }
  if (kinder === null) return resolved
  const { by } = kinder
  return {
    fields: { ...resolved.fields, closes: kinder.closes },
    because: resolved.because.map((b) =>
      b.field === 'closes'
        ? {
            field: 'closes',
            level: by.passedOn?.get('closes') ?? by.level,
            sourceId: by.sourceId,
          }
        : b,
    ),
  }
}

function gives(layer: Layer<LearnerTerms>): boolean {
  return layer.fields.closes !== undefined
}

interface OfClasses {
  readonly resolved: FieldsOfTerms
  readonly layers: readonly Layer<LearnerTerms>[]
}

/** What a learner of these classes has before groups and persons change anything. */
export function ofClasses(
  classIds: readonly ClassId[],
  terms: Terms,
  grounds: ReadonlyMap<ClassId, Ground>,
): Result<OfClasses, AvailabilityRefusal> {
  const layers: Layer<LearnerTerms>[] = []
  for (const id of classIds) {
    const layer = classLayer(id, terms, grounds.get(id) as Ground, classIds.length > 1)
    if (!layer.ok) return layer
    layers.push(layer.value)
  }
  const { maxAttempts, timeLimitMinutes } = terms.limits
  const defaults = asDefaults<LearnerTerms>({
    listed: null,
    opens: null,
    due: null,
    closes: null,
    putAway: null,
    maxAttempts,
    timeLimitMinutes,
  })
  return ok({ resolved: resolveFields(defaults, layers, KINDER), layers })
}

/**
 * A class's own values: what the piece itself says, else what the class changes, else the assignment's, on its
 * ground.
 * @param isOneOfSeveral the limits are then among them, so that a class that changes nothing counts as well.
 */
function classLayer(classId: ClassId, terms: Terms, ground: Ground, isOneOfSeveral: boolean): LayerResult {
  const over = terms.overrides.classes.get(classId) ?? {}
  const given = resolveGiven({ ...terms.window, ...over.window, ...terms.own }, ground)
  if (!given.ok) return given
  const order = checkOrder(completed(given.value as Window))
  if (!order.ok) return order
  const passedOn = new Map<keyof LearnerTerms, Level>()
  for (const field of WINDOW_FIELDS) if (over.window?.[field] === undefined) passedOn.set(field, 'assignment')
  for (const field of LIMIT_FIELDS) if (over[field] === undefined) passedOn.set(field, 'assignment')
  for (const field of WINDOW_FIELDS) if (terms.own[field] !== undefined) passedOn.set(field, 'piece')
  const limits: Overrides = isOneOfSeveral
    ? {
        maxAttempts: over.maxAttempts === undefined ? terms.limits.maxAttempts : over.maxAttempts,
        timeLimitMinutes:
          over.timeLimitMinutes === undefined ? terms.limits.timeLimitMinutes : over.timeLimitMinutes,
      }
    : over
  return ok({ level: 'class', sourceId: classId, fields: fieldsOf(given.value, limits), passedOn })
}

/** What a group or learner changes, on the ground of one class. */
export function personalLayer(
  level: 'group' | 'learner',
  sourceId: string,
  overrides: ReadonlyMap<string, Overrides>,
  ground: Ground,
): LayerResult {
  const over = overrides.get(sourceId) ?? {}
  const given = resolveGiven(over.window ?? {}, ground)
  return given.ok ? ok({ level, sourceId, fields: fieldsOf(given.value, over) }) : given
}

/** A layer's values; what it does not set is absent. */
function fieldsOf(
  window: Partial<Window>,
  { maxAttempts, timeLimitMinutes }: Overrides,
): Partial<LearnerTerms> {
  return {
    ...window,
    ...(maxAttempts === undefined ? {} : { maxAttempts }),
    ...(timeLimitMinutes === undefined ? {} : { timeLimitMinutes }),
  }
}
