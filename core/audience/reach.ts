import type { ClassId, UserId } from '../base'
import type { Reached, Roster, Target } from './types'

/**
 * The learners that targets reach, each once, in roster order, without the excepted ones. A learner reached
 * through a class keeps that class's dates; one reached only by group or name keeps those of their own classes in
 * the roster.
 * @param has whether somebody of a class that is named has it: one who came too late may not.
 */
export function reach(
  targets: readonly Target[],
  roster: Roster,
  exceptIds: ReadonlySet<UserId> = new Set(),
  has: (classId: ClassId, learnerId: UserId) => boolean = () => true,
): Reached[] {
  const found = new Map<
    UserId,
    { target: ClassId[]; groups: Reached['groupIds'][number][]; byName: boolean }
  >()
  const note = (learnerId: UserId) => {
    const known = found.get(learnerId)
    if (known || exceptIds.has(learnerId)) return known
    const fresh = { target: [], groups: [], byName: false }
    found.set(learnerId, fresh)
    return fresh
  }
  for (const target of targets) {
    if (target.kind === 'class')
      for (const id of roster.classes.get(target.classId) ?? []) {
        if (has(target.classId, id)) note(id)?.target.push(target.classId)
      }
    else if (target.kind === 'group')
      for (const id of roster.groups.get(target.groupId) ?? []) note(id)?.groups.push(target.groupId)
    else {
      const known = note(target.learnerId)
      if (known) known.byName = true
    }
  }
  const homes = homesOf(
    roster,
    new Set([...found].filter(([, how]) => how.target.length === 0).map(([id]) => id)),
  )
  return [...found].map(([learnerId, how]) => {
    const byClass = how.target.length > 0
    return {
      learnerId,
      // in an order of their own: it never matters in which classes are named
      classIds: [...distinct(byClass ? how.target : (homes.get(learnerId) ?? []))].sort(),
      groupIds: distinct(how.groups),
      byClass,
      byName: how.byName,
    }
  })
}

function distinct<T>(values: readonly T[]): readonly T[] {
  return values.length < 2 ? values : [...new Set(values)]
}

function homesOf(roster: Roster, wanted: ReadonlySet<UserId>): Map<UserId, ClassId[]> {
  const homes = new Map<UserId, ClassId[]>()
  if (wanted.size === 0) return homes
  for (const [classId, learners] of roster.classes) {
    for (const id of learners) {
      if (!wanted.has(id)) continue
      const known = homes.get(id)
      if (known) known.push(classId)
      else homes.set(id, [classId])
    }
  }
  return homes
}

/** Learners per class and in all; a learner counts in the first class that sets their dates. */
export function headCounts(reached: readonly Reached[]): {
  readonly all: number
  readonly byClass: ReadonlyMap<ClassId, number>
} {
  const byClass = new Map<ClassId, number>()
  for (const { classIds } of reached) {
    const home = classIds[0]
    if (home) byClass.set(home, (byClass.get(home) ?? 0) + 1)
  }
  return { all: reached.length, byClass }
}
