import { ok, refuse } from '../base'
import type { ClassId, Instant, Result } from '../base'
import { resolveFields } from '../audience'
import type { Because, Kinder, Layer, Reached } from '../audience'
import type { AvailabilityRefusal } from './refusals'
import type { Ground } from './resolveMoment'
import { completed, mended, resolveGiven, resolveWindow, withExtraDays } from './resolveWindow'
import type { Accommodation, Window, WindowField, WindowSpec } from './types'

/** Limits that a target may change for its learners. null: unlimited. */
export interface Limits { readonly maxAttempts: number | null, readonly timeLimitMinutes: number | null }
export type LearnerTerms = Window & Limits

/** What one target changes; keys that are absent change nothing. */
export interface Overrides { readonly window?: Partial<WindowSpec>, readonly maxAttempts?: number | null, readonly timeLimitMinutes?: number | null }

/** An assignment's own values, and what its targets change. */
export interface Terms {
  readonly window: WindowSpec
  readonly limits: Limits
  readonly overrides: { readonly classes: ReadonlyMap<string, Overrides>, readonly groups: ReadonlyMap<string, Overrides>, readonly learners: ReadonlyMap<string, Overrides> }
}

export interface Resolved { readonly terms: LearnerTerms, readonly classId: ClassId, readonly because: readonly Because<LearnerTerms>[] }

const sooner = (a: Instant | null, b: Instant | null) => (a === b ? 0 : (b ?? Number.NEGATIVE_INFINITY) - (a ?? Number.NEGATIVE_INFINITY))
const later = (a: number | null, b: number | null) => (a === b ? 0 : (a ?? Number.POSITIVE_INFINITY) - (b ?? Number.POSITIVE_INFINITY))
/** Kinder means listed and open earlier, due and closed later, more attempts, longer time; absent limits are kindest. */
export const KINDER: Kinder<LearnerTerms> = {
  listed: sooner, opens: sooner, due: later, closes: later, putAway: later, maxAttempts: later, timeLimitMinutes: later,
}

/** Resolves one reached learner after another; what classes, groups and learners change is resolved once for each class. */
export type Resolver = (reached: Reached, accommodation: Accommodation) => Result<Resolved, AvailabilityRefusal>

/**
 * Each reached learner's window and limits, resolved on the ground of their class, with the reason for each field.
 * Accommodations come last: extra days, attempts, time × factor. Refused when a window cannot be resolved or ends before it begins.
 */
export function resolverFor(terms: Terms, grounds: ReadonlyMap<ClassId, Ground>): Resolver {
  const ofClass = once((classId: ClassId) => classLayer(classId, terms, grounds.get(classId) as Ground))
  const ofGroup = once((key: string) => personalLayer('group', key, terms.overrides.groups, grounds))
  const ofLearner = once((key: string) => personalLayer('learner', key, terms.overrides.learners, grounds))
  const nothing: LearnerTerms = { listed: null, opens: null, due: null, closes: null, putAway: null, ...terms.limits }
  return (reached, accommodation) => {
    let home: ClassId | null = null
    const found: LayerResult[] = []
    for (const id of reached.classIds) {
      if (!grounds.has(id)) continue
      home ??= id
      found.push(ofClass(id))
    }
    const ground = home && grounds.get(home)
    if (!home || !ground) return refuse({ code: 'availability/no-layout', field: 'opens' })
    for (const id of reached.groupIds) if (terms.overrides.groups.has(id)) found.push(ofGroup(`${home} ${id}`))
    if (terms.overrides.learners.has(reached.learnerId)) found.push(ofLearner(`${home} ${reached.learnerId}`))
    const layers: Layer<LearnerTerms>[] = []
    for (const layer of found) {
      if (!layer.ok) return layer
      layers.push(layer.value)
    }
    const { fields, because } = resolveFields(nothing, layers, KINDER)
    const window = mended(completed(fields))
    if (window.due !== null && window.opens !== null && window.due <= window.opens) return refuse({ code: 'availability/out-of-order', field: 'due', before: 'opens' })
    // a class layer holds the assignment's own moments too, resolved there: say whose value it was
    const said = because.map(b => (b.level === 'class' && !givenBy(terms.overrides.classes.get(b.sourceId ?? ''), b.field) ? { ...b, level: 'assignment' as const } : b))
    return ok(accommodated({ terms: { ...fields, ...window }, classId: home, because: said }, accommodation, ground))
  }
}

/** One learner alone; for many of one assignment make a resolver. */
export function resolveFor(reached: Reached, terms: Terms, grounds: ReadonlyMap<ClassId, Ground>, accommodation: Accommodation): Result<Resolved, AvailabilityRefusal> {
  return resolverFor(terms, grounds)(reached, accommodation)
}

type LayerResult = Result<Layer<LearnerTerms>, AvailabilityRefusal>

/** The same answer for the same key, worked out the first time. */
function once<K extends string>(work: (key: K) => LayerResult): (key: K) => LayerResult {
  const known = new Map<K, LayerResult>()
  return (key) => {
    const ready = known.get(key) ?? work(key)
    known.set(key, ready)
    return ready
  }
}

function classLayer(classId: ClassId, terms: Terms, ground: Ground): LayerResult {
  const over = terms.overrides.classes.get(classId) ?? {}
  const window = resolveWindow({ ...terms.window, ...over.window }, ground)
  return window.ok ? ok({ level: 'class', sourceId: classId, fields: { ...window.value, ...limitsOf(over) } }) : window
}

/** What a group or learner changes, on the ground of one class; `key` is 'class id'. */
function personalLayer(level: 'group' | 'learner', key: string, overrides: ReadonlyMap<string, Overrides>, grounds: ReadonlyMap<ClassId, Ground>): LayerResult {
  const [home, sourceId] = key.split(' ') as [ClassId, string]
  const over = overrides.get(sourceId) ?? {}
  const given = resolveGiven(over.window ?? {}, grounds.get(home) as Ground)
  return given.ok ? ok({ level, sourceId, fields: { ...given.value, ...limitsOf(over) } }) : given
}

function givenBy(over: Overrides | undefined, field: keyof LearnerTerms): boolean {
  return over !== undefined && (field in over || (over.window !== undefined && field in over.window))
}

function limitsOf(over: Overrides): Partial<Limits> {
  return { ...('maxAttempts' in over ? { maxAttempts: over.maxAttempts ?? null } : {}), ...('timeLimitMinutes' in over ? { timeLimitMinutes: over.timeLimitMinutes ?? null } : {}) }
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
    because: resolved.because.map(b => (changed.includes(b.field) ? { ...b, level: 'accommodation' as const, sourceId: null } : b)),
  }
}
