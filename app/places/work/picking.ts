import { keyOf } from '#core/audience'
import type { ClassId, GroupId, UserId } from '#core/base'
import type { Recipients } from '#shared/contracts/work'
import { sayList } from '~/shared/words/lists'
import type { DraftInWork } from './draft'
import { hasOwn, targetOf } from './draft'

/** A learner as somebody who chooses sees them. */
export interface PickedLearner {
  readonly id: UserId
  readonly name: string
  readonly classId: ClassId
  readonly grade: number | null
}

/** The grades that somebody is in, from the lowest. */
export function gradesIn({ classes }: Pick<Recipients, 'classes'>): readonly number[] {
  const grades = new Set(classes.flatMap((c) => c.learners.flatMap((l) => l.grade ?? [])))
  return [...grades].sort((a, b) => a - b)
}

/** Targets by their names, such as `class 8a`. */
export function pickedKeys(draft: Pick<DraftInWork, 'targets'>): ReadonlySet<string> {
  return new Set(draft.targets.map((t) => keyOf(t.target)))
}

/** Everybody who is chosen, each once, without who is excepted. */
export function pickedLearners(
  { targets, exceptIds }: Pick<DraftInWork, 'targets' | 'exceptIds'>,
  { classes, groups }: Recipients,
): ReadonlySet<UserId> {
  const all = targets.flatMap(({ target: t }): readonly UserId[] => {
    if (t.kind === 'learner') return [t.learnerId]
    if (t.kind === 'group') return groups.find((g) => g.id === t.groupId)?.learnerIds ?? []
    return (classes.find((c) => c.id === t.classId)?.learners ?? []).map((l) => l.id)
  })
  const except = new Set(exceptIds)
  return new Set(all.filter((id) => !except.has(id)))
}

/** Classes that have it, also one that nobody is in yet, and those of learners who do. */
export function classesMeant(draft: Pick<DraftInWork, 'targets' | 'exceptIds'>, recipients: Recipients) {
  const chosen = pickedLearners(draft, recipients)
  const keys = pickedKeys(draft)
  return recipients.classes
    .filter((c) => keys.has(`class ${c.id}`) || c.learners.some((l) => chosen.has(l.id)))
    .map((c) => c.id)
}

/** A class, group or learner taken in, or out again. */
export function toggled(draft: DraftInWork, key: string): DraftInWork {
  const { targets } = draft
  const isIn = targets.some((t) => keyOf(t.target) === key)
  return {
    ...draft,
    targets: isIn
      ? targets.filter((t) => keyOf(t.target) !== key)
      : [...targets, { target: targetOf(key), overrides: {} }],
  }
}

/** Whether a learner has it: with their class and not excepted, or by name. */
export function isPicked(draft: DraftInWork, { id, classId }: PickedLearner): boolean {
  const keys = pickedKeys(draft)
  if (draft.exceptIds.includes(id)) return false
  return keys.has(`class ${classId}`) || keys.has(`learner ${id}`)
}

/** A learner taken in or out: of a class that has it, they are excepted; else they are named. */
export function withLearner(draft: DraftInWork, learner: PickedLearner, isIn: boolean): DraftInWork {
  if (isPicked(draft, learner) === isIn) return draft
  const { id, classId } = learner
  const key = `learner ${id}`
  const without = { ...draft, exceptIds: draft.exceptIds.filter((e) => e !== id) }
  if (isIn) return isPicked(without, learner) ? without : toggled(without, key)
  const unnamed = pickedKeys(without).has(key) ? toggled(without, key) : without
  return pickedKeys(unnamed).has(`class ${classId}`)
    ? { ...unnamed, exceptIds: [...unnamed.exceptIds, id] }
    : unnamed
}

/** A group as it is called, with the classes in which it stands. */
export function nameOfGroup(
  { name, classIds }: Pick<Recipients['groups'][number], 'name' | 'classIds'>,
  classes: readonly { readonly id: ClassId; readonly name: string }[],
): string {
  return `${name}, ${namesOf(classIds, classes)}`
}

/** Classes by their names. */
export function namesOf(
  classIds: readonly ClassId[],
  classes: readonly { readonly id: ClassId; readonly name: string }[],
): string {
  return sayList(classIds.flatMap((id) => classes.find((c) => c.id === id)?.name ?? []))
}

/** Learners who are named one by one, with their classes: such as could become a group. Null: fewer than two. */
export function namedLearners(
  draft: DraftInWork,
  classes: Recipients['classes'],
): { readonly classIds: readonly ClassId[]; readonly learners: readonly UserId[] } | null {
  const keys = pickedKeys(draft)
  const isNamed = (l: { readonly id: UserId }) => keys.has(`learner ${l.id}`)
  const meant = classes.filter((c) => c.learners.some(isNamed))
  const learners = new Set(meant.flatMap((c) => c.learners.filter(isNamed).map((l) => l.id)))
  return learners.size > 1 ? { classIds: meant.map((c) => c.id), learners: [...learners] } : null
}

/** Learners who were named now come as a group; what each had of their own stays. */
export function asGroup(draft: DraftInWork, groupId: GroupId, learners: readonly UserId[]): DraftInWork {
  const plain = new Set(learners.map((id) => `learner ${id}`))
  const kept = draft.targets.filter((t) => !plain.has(keyOf(t.target)) || hasOwn(t))
  return { ...draft, targets: [...kept, { target: { kind: 'group', groupId }, overrides: {} }] }
}
