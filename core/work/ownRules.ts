import { HELPS } from '../attempts'
import type { AttemptRules } from '../attempts'
import { keyOf } from '../audience'
import type { Reached, TargetLevel } from '../audience'
import { same } from '../base'
import type { AssignmentTarget, OwnRules, WorkBecause } from './types'

/** What of the rules is other for one learner, and because of what. */
export interface ResolvedRules {
  readonly rules: Partial<OwnRules>
  readonly because: readonly WorkBecause[]
}

interface Given<F extends keyof OwnRules> {
  readonly value: OwnRules[F]
  readonly sourceId: string | null
}
type GivenBy = (level: TargetLevel, id: string) => Partial<OwnRules>
type KinderOf = { readonly [F in keyof OwnRules]: (a: OwnRules[F], b: OwnRules[F]) => OwnRules[F] }

/** The kinder of two: less to wait, a lower mark or none, and whatever help either allows. */
const KINDER: KinderOf = {
  waitMinutes: (a, b) => Math.min(a, b),
  passPercent: (a, b) => (a === null || b === null ? null : Math.min(a, b)),
  help: (a, b) => HELPS.filter((h) => a.includes(h) || b.includes(h)),
}

/** Rules that a target may change for its learners; absent ones stay as they are for everybody. */
export const OWN_RULE_FIELDS = Object.keys(KINDER) as readonly (keyof OwnRules)[]

/**
 * Each learner's own rules for a piece: their own target over their groups over their classes over what the piece has;
 * among several of one level the kinder. A class that changes nothing counts with what everybody has.
 * `base` are the rules of the piece.
 */
export function ownRulesBy(
  targets: readonly AssignmentTarget[],
): (one: Reached, base: AttemptRules) => ResolvedRules {
  const given = new Map(targets.flatMap((t) => (t.rules ? [[keyOf(t.target), t.rules] as const] : [])))
  // mostly no target changes any, and then nobody is looked at
  if (given.size === 0) return () => PLAIN
  const by: GivenBy = (level, id) => given.get(`${level} ${id}`) ?? {}
  return (one, base) => {
    const found = OWN_RULE_FIELDS.map((field) => resolved(field, one, base, by))
    return {
      rules: Object.assign({}, ...found.map((f) => f.rules)) as Partial<OwnRules>,
      because: found.flatMap((f) => f.because),
    }
  }
}

const PLAIN: ResolvedRules = { rules: {}, because: [] }

function resolved<F extends keyof OwnRules>(
  field: F,
  { learnerId, groupIds, classIds }: Reached,
  base: AttemptRules,
  by: GivenBy,
): ResolvedRules {
  const atLevel = (level: TargetLevel, ids: readonly string[]) =>
    ids.flatMap((id) => asGiven(field, by(level, id), id))
  const personal = atLevel('learner', [learnerId])
  const ofGroups = atLevel('group', groupIds)
  const ofClasses = atLevel('class', classIds)
  const levels: readonly (readonly [TargetLevel, readonly Given<F>[]])[] = [
    ['learner', personal],
    ['group', ofGroups],
    [
      'class',
      ofClasses.length < classIds.length ? [...ofClasses, { value: base[field], sourceId: null }] : ofClasses,
    ],
  ]
  const [level, values] = levels.find(([, list]) => list.some((g) => g.sourceId !== null)) ?? []
  const [first, ...others] = values ?? []
  if (level === undefined || first === undefined) return PLAIN
  const value = others.reduce((a, g) => KINDER[field](a, g.value), first.value)
  if (same(value, base[field])) return PLAIN
  const from = values?.find((g) => g.sourceId !== null && same(g.value, value)) ?? first
  const because = { field, level, sourceId: from.sourceId }
  return { rules: { [field]: value } as Partial<OwnRules>, because: [because] }
}

function asGiven<F extends keyof OwnRules>(
  field: F,
  rules: Partial<OwnRules>,
  sourceId: string,
): readonly Given<F>[] {
  const value = rules[field] as OwnRules[F] | undefined
  return value === undefined ? [] : [{ value, sourceId }]
}
