import { ok, refuse } from '../base'
import type { ClassId, Instant, Result } from '../base'
import { asDefaults, resolveFields } from '../audience'
import type { Because, Kinder, Layer, Reached, ResolvedFields } from '../audience'
import type { AvailabilityRefusal } from './refusals'
import type { Ground } from './resolveMoment'
import { completed, mended, resolveGiven, resolveWindow, withExtraDays } from './resolveWindow'
import { WINDOW_FIELDS } from './types'
import type { Accommodation, Window, WindowField, WindowSpec } from './types'

export const LIMIT_FIELDS = ['maxAttempts', 'timeLimitMinutes'] as const
/** Limits that a target may change for its learners. null: unlimited. */
export interface Limits {
  readonly maxAttempts: number | null
  readonly timeLimitMinutes: number | null
}
export type LearnerTerms = Window & Limits

/** What one target changes; keys that are absent change nothing. */
export interface Overrides {
  readonly window?: Partial<WindowSpec>
  readonly maxAttempts?: number | null
  readonly timeLimitMinutes?: number | null
}

/** An assignment's own values, and what its targets change. */
export interface Terms {
  readonly window: WindowSpec
  readonly limits: Limits
  readonly overrides: {
    readonly classes: ReadonlyMap<string, Overrides>
    readonly groups: ReadonlyMap<string, Overrides>
    readonly learners: ReadonlyMap<string, Overrides>
  }
}

export interface Resolved {
  readonly terms: LearnerTerms
  readonly classId: ClassId
  readonly because: readonly Because<LearnerTerms>[]
}

const sooner = (a: Instant | null, b: Instant | null) =>
  a === b ? 0 : (b ?? Number.NEGATIVE_INFINITY) - (a ?? Number.NEGATIVE_INFINITY)
const later = (a: number | null, b: number | null) =>
  a === b ? 0 : (a ?? Number.POSITIVE_INFINITY) - (b ?? Number.POSITIVE_INFINITY)
/**
 * Kinder means listed and open earlier, due and closed later, more attempts, longer time; absent limits are
 * kindest.
 */
export const KINDER: Kinder<LearnerTerms> = {
  listed: sooner,
  opens: sooner,
  due: later,
  closes: later,
  putAway: later,
  maxAttempts: later,
  timeLimitMinutes: later,
}

/**
 * Resolves one reached learner after another; what classes, groups and learners change is resolved once for
 * each class.
 */
export type Resolver = (
  reached: Reached,
  accommodation: Accommodation,
) => Result<Resolved, AvailabilityRefusal>

/**
 * Each reached learner's window and limits, resolved on the ground of their class, with the reason for each
 * field.
 * Accommodations come last: extra days, attempts, time × factor. Refused when a window cannot be resolved or
 * ends before it begins.
 */
export function resolverFor(terms: Terms, grounds: ReadonlyMap<ClassId, Ground>): Resolver {
  const below = once((classIds: string) => ofClasses(classIds.split(' ') as ClassId[], terms, grounds))
  const at = once((home: ClassId) => {
    const ground = grounds.get(home) as Ground
    return {
      ofGroup: once((id: string) => personalLayer('group', id, terms.overrides.groups, ground)),
      ofLearner: once((id: string) => personalLayer('learner', id, terms.overrides.learners, ground)),
    }
  })
  return (reached, accommodation) => {
    const homes = reached.classIds.filter((id) => grounds.has(id))
    const [home] = homes
    if (!home) return refuse({ code: 'availability/no-layout', field: 'opens' })
    const shared = below(homes.join(' '))
    if (!shared.ok) return shared
    const layers: Layer<LearnerTerms>[] = []
    for (const layer of personal(reached, terms, at(home))) {
      if (!layer.ok) return layer
      layers.push(layer.value)
    }
    const { fields, because } = resolveFields(shared.value, layers, KINDER)
    const { listed, opens, due, closes, putAway } = mended(completed(fields))
    if (due !== null && opens !== null && due <= opens)
      return refuse({ code: 'availability/out-of-order', field: 'due', before: 'opens' })
    const { maxAttempts, timeLimitMinutes } = fields
    return ok(
      accommodated(
        {
          terms: { listed, opens, due, closes, putAway, maxAttempts, timeLimitMinutes },
          classId: home,
          because,
        },
        accommodation,
        grounds.get(home) as Ground,
      ),
    )
  }
}

/** One learner alone; for many of one assignment make a resolver. */
export function resolveFor(
  reached: Reached,
  terms: Terms,
  grounds: ReadonlyMap<ClassId, Ground>,
  accommodation: Accommodation,
): Result<Resolved, AvailabilityRefusal> {
  return resolverFor(terms, grounds)(reached, accommodation)
}

type LayerResult = Result<Layer<LearnerTerms>, AvailabilityRefusal>

/** The same answer for the same key, worked out the first time. */
function once<K extends string, T>(work: (key: K) => T): (key: K) => T {
  const known = new Map<K, T>()
  return (key) => {
    const ready = known.get(key)
    if (ready !== undefined) return ready
    const made = work(key)
    known.set(key, made)
    return made
  }
}

/** What a learner's groups and they themselves change. */
function personal(
  { groupIds, learnerId }: Reached,
  { overrides }: Terms,
  {
    ofGroup,
    ofLearner,
  }: { readonly ofGroup: (id: string) => LayerResult; readonly ofLearner: (id: string) => LayerResult },
): LayerResult[] {
  const found: LayerResult[] = []
  for (const id of groupIds) if (overrides.groups.has(id)) found.push(ofGroup(id))
  if (overrides.learners.has(learnerId)) found.push(ofLearner(learnerId))
  return found
}

/** What a learner of these classes has before groups and persons change anything. */
function ofClasses(
  classIds: readonly ClassId[],
  terms: Terms,
  grounds: ReadonlyMap<ClassId, Ground>,
): Result<ResolvedFields<LearnerTerms>, AvailabilityRefusal> {
  const layers: Layer<LearnerTerms>[] = []
  for (const id of classIds) {
    const layer = classLayer(id, terms, grounds.get(id) as Ground)
    if (!layer.ok) return layer
    layers.push(layer.value)
  }
  const { maxAttempts, timeLimitMinutes } = terms.limits
  return ok(
    resolveFields(
      asDefaults<LearnerTerms>({
        listed: null,
        opens: null,
        due: null,
        closes: null,
        putAway: null,
        maxAttempts,
        timeLimitMinutes,
      }),
      layers,
      KINDER,
    ),
  )
}

function classLayer(classId: ClassId, terms: Terms, ground: Ground): LayerResult {
  const over = terms.overrides.classes.get(classId) ?? {}
  const window = resolveWindow({ ...terms.window, ...over.window }, ground)
  if (!window.ok) return window
  const passedOn = new Set<keyof LearnerTerms>(
    WINDOW_FIELDS.filter((field) => over.window === undefined || !(field in over.window)),
  )
  return ok({ level: 'class', sourceId: classId, fields: fieldsOf(window.value, over), passedOn })
}

/** What a group or learner changes, on the ground of one class. */
function personalLayer(
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

function accommodated(resolved: Resolved, by: Accommodation, ground: Ground): Resolved {
  if (by.extraDays === 0 && by.extraAttempts === 0 && by.timeFactor === 1) return resolved
  const { terms } = resolved
  const window = withExtraDays(terms, by.extraDays, ground.zone)
  const changed: (WindowField | keyof Limits)[] = []
  if (by.extraDays > 0 && terms.due !== null) changed.push('due')
  if (by.extraDays > 0 && terms.closes !== null) changed.push('closes')
  if (by.extraAttempts > 0 && terms.maxAttempts !== null) changed.push('maxAttempts')
  if (by.timeFactor !== 1 && terms.timeLimitMinutes !== null) changed.push('timeLimitMinutes')
  return {
    ...resolved,
    terms: {
      ...window,
      maxAttempts: terms.maxAttempts === null ? null : terms.maxAttempts + by.extraAttempts,
      timeLimitMinutes: terms.timeLimitMinutes === null ? null : terms.timeLimitMinutes * by.timeFactor,
    },
    because: resolved.because.map((b) =>
      changed.includes(b.field) ? { ...b, level: 'accommodation' as const, sourceId: null } : b,
    ),
  }
}
