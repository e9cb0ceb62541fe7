import { resolveFields } from '../audience'
import type { Because, Reached } from '../audience'
import { ok, refuse } from '../base'
import type { ClassId, Result } from '../base'
import { ofClasses, personal, personalLayer, withCloses } from './layers'
import type { OnGround } from './layers'
import type { AvailabilityRefusal } from './refusals'
import type { Ground } from './resolveMoment'
import { checkOrder, completed, mended, withExtraDays } from './resolveWindow'
import { KINDER } from './terms'
import type { LearnerTerms, Limits, Terms } from './terms'
import type { Accommodation, WindowField } from './types'

export interface Resolved {
  readonly terms: LearnerTerms
  readonly classId: ClassId
  readonly because: readonly Because<LearnerTerms>[]
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
 * Each reached learner's window and limits, resolved on the ground of their classes, with the reason for each
 * field. A learner of several classes has each class's own value, and of these the kinder one, whatever the
 * order in which the classes are named; what a group or a person changes is resolved in each class alike.
 * A closing moment that nobody gives is filled in last, from the due date that came out. Accommodations come
 * after all: extra days, attempts, time × factor. Refused when a window cannot be resolved or ends before it
 * begins.
 */
export function resolverFor(terms: Terms, grounds: ReadonlyMap<ClassId, Ground>): Resolver {
  const below = once((classIds: string) => ofClasses(classIds.split(' ') as ClassId[], terms, grounds))
  const at = once((home: ClassId): OnGround => {
    const ground = grounds.get(home) as Ground
    return {
      group: once((id: string) => personalLayer('group', id, terms.overrides.groups, ground)),
      learner: once((id: string) => personalLayer('learner', id, terms.overrides.learners, ground)),
    }
  })
  return (reached, accommodation) => {
    const homes = inOneOrder(reached.classIds.filter((id) => grounds.has(id)))
    const [home] = homes
    if (!home) return refuse({ code: 'availability/no-layout', field: 'opens' })
    const shared = below(homes.join(' '))
    if (!shared.ok) return shared
    const own = personal(reached, terms, homes.map(at))
    if (!own.ok) return own
    const mixed = resolveFields(shared.value.resolved, own.value, KINDER)
    const resolved = withCloses(mixed, shared.value.layers, own.value)
    const window = checkOrder(mended(completed(resolved.fields)))
    if (!window.ok) return window
    const { listed, opens, due, closes, putAway } = window.value
    const { maxAttempts, timeLimitMinutes } = resolved.fields
    const { because } = resolved
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

/** Classes in an order of their own, so that it never matters in which they are named. */
function inOneOrder(classIds: readonly ClassId[]): readonly ClassId[] {
  return classIds.length < 2 ? classIds : [...classIds].sort()
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
