import { HELPS } from '../attempts'
import type { AttemptRules } from '../attempts'
import { keyOf, strongest } from '../audience'
import type { Reached, TargetLevel } from '../audience'
import { same } from '../base'
import type { AssignmentTarget, OwnRules, WorkBecause } from './types'

/** What of the rules is other for one learner, and because of what. */
export interface ResolvedRules {
  readonly rules: Partial<OwnRules>
  readonly because: readonly WorkBecause[]
}

type RulesOfTarget = (level: TargetLevel, id: string) => Partial<OwnRules>
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
  const by: RulesOfTarget = (level, id) => given.get(`${level} ${id}`) ?? {}
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
  one: Reached,
  base: AttemptRules,
  by: RulesOfTarget,
): ResolvedRules {
  const found = strongest(one, (level, id) => by(level, id)[field] as OwnRules[F] | undefined)
  if (found === null) return PLAIN
  const { level, given } = found
  const isSilentClass = level === 'class' && given.length < one.classIds.length
  const values = given.map((g) => g.value)
  const value = [...values, ...(isSilentClass ? [base[field]] : [])].reduce(KINDER[field])
  if (same(value, base[field])) return PLAIN
  const from = given.find((g) => same(g.value, value)) ?? given[0]
  const because = { field, level, sourceId: from.sourceId }
  return { rules: { [field]: value } as Partial<OwnRules>, because: [because] }
}
