import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import type { ClassId } from '#core/base'
import { groupBy } from '#core/base'
import type { AssignmentTarget } from '#core/work'
import type { DeskClass } from '#shared/contracts/pacing'
import type { Recipients } from '#shared/contracts/work'
import type { DraftInWork } from './draft'
import { nameOfGroup } from './picking'

/** From so many learners on who have the same they share a row. */
const SHARED_FROM = 4

/** One row of who and when: a target, or learners who have the same of everything. */
export interface TargetRow {
  readonly key: string
  /** Their places among the draft's targets. */
  readonly at: readonly number[]
  readonly targets: readonly [AssignmentTarget, ...AssignmentTarget[]]
}

/**
 * Targets as rows: classes and groups each their own, and learners who are alike in one, where the first of them
 * stands.
 * @param isApart every learner has a row.
 */
export function targetRows(targets: readonly AssignmentTarget[], isApart: boolean): readonly TargetRow[] {
  const placed = targets.map((target, at) => ({ target, at }))
  const alike = groupBy(placed, ({ target, at }) => (isApart ? String(at) : likeness(target, at)))
  return [...alike.values()]
    .flatMap((list) => (list.length < SHARED_FROM ? list.map((one) => [one]) : [list]))
    .flatMap((list): readonly TargetRow[] => {
      const [first, ...more] = list.map((l) => l.target)
      return first ? [{ key: keyOf(first.target), at: list.map((l) => l.at), targets: [first, ...more] }] : []
    })
    .sort((a, b) => (a.at[0] ?? 0) - (b.at[0] ?? 0))
}

function likeness({ target, overrides, rules = {} }: AssignmentTarget, at: number): string {
  return target.kind === 'learner' ? JSON.stringify([overrides, rules]) : String(at)
}

/** A class that is offered beside those that are chosen. */
export type OfferedClass = Recipients['classes'][number]

/**
 * Classes to which it might go, too: those on the plan of the chosen ones, or of the lesson; all own classes where
 * there is no such plan. None where only groups or learners are meant.
 */
export function offeredClasses(
  { targets }: Pick<DraftInWork, 'targets'>,
  { classes }: Recipients,
  of: {
    readonly desk: readonly Pick<DeskClass, 'id' | 'planId'>[]
    /** The plan on which the lesson stands; null: there is no lesson. */
    readonly planId: DeskClass['planId']
  },
): readonly OfferedClass[] {
  const chosen = new Set<ClassId>(targets.flatMap(({ target: t }) => (t.kind === 'class' ? [t.classId] : [])))
  if (targets.length > 0 && chosen.size === 0) return []
  const planOf = new Map(of.desk.map((c) => [c.id, c.planId]))
  const plans = new Set(chosen.size > 0 ? [...chosen].map((id) => planOf.get(id)) : [of.planId])
  const others = classes.filter((c) => !chosen.has(c.id))
  const sharing = others.filter((c) => {
    const planId = planOf.get(c.id)
    return planId !== null && plans.has(planId)
  })
  return sharing.length > 0 || chosen.size > 0 ? sharing : others
}

/** A draft that goes to these, too. */
export function withTargets(draft: DraftInWork, targets: readonly Target[]): DraftInWork {
  const known = new Set(draft.targets.map((t) => keyOf(t.target)))
  const fresh = targets.filter((t) => !known.has(keyOf(t)))
  return { ...draft, targets: [...draft.targets, ...fresh.map((target) => ({ target, overrides: {} }))] }
}

/** Groups and learners of the chosen classes that have no row of their own yet. */
export function withoutRow(
  { targets, exceptIds }: Pick<DraftInWork, 'targets' | 'exceptIds'>,
  { classes, groups }: Recipients,
): readonly { readonly label: string; readonly value: string }[] {
  const known = new Set(targets.map((t) => keyOf(t.target)))
  return classes
    .filter((c) => known.has(`class ${c.id}`))
    .flatMap((c) => [
      ...groups
        .filter((g) => g.classIds.find((id) => known.has(`class ${id}`)) === c.id)
        .map((g) => ({ label: nameOfGroup(g, classes), value: `group ${g.id}` })),
      ...c.learners
        .filter((l) => !exceptIds.includes(l.id))
        .map((l) => ({ label: `${l.name}, ${c.name}`, value: `learner ${l.id}` })),
    ])
    .filter(({ value }) => !known.has(value))
}
