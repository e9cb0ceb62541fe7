import { groupBy } from '../base'
import { isOver } from '../load'
import { anchoredLessons } from '../work'
import type { Caution } from './caution'
import type { ClassAtLastLook, LastLookFacts } from './facts'

/** Lessons on which it hangs that the class has covered already. */
export function covered(
  { classId, covered: done }: ClassAtLastLook,
  { draft }: LastLookFacts,
): readonly Caution[] {
  const past = anchoredLessons(draft).filter((id) => done.has(id))
  return past.map((lessonId) => ({ code: 'covered', classId, lessonId }))
}

/** Pieces that the class was given before. */
export function givenBefore({ classId, had }: ClassAtLastLook, { draft }: LastLookFacts): readonly Caution[] {
  return draft.pieces.flatMap(({ resourceId }): readonly Caution[] => {
    const title = had.get(resourceId)
    return title === undefined ? [] : [{ code: 'already-given', classId, resourceId, title }]
  })
}

/** A few of a class who have it neither by name nor group, and are no exceptions either, were rather forgotten. */
export function leftOut(
  { classId, learnerIds }: ClassAtLastLook,
  { draft, reached }: LastLookFacts,
): readonly Caution[] {
  const has = new Set(reached.map((r) => r.learnerId))
  const except = new Set(draft.exceptIds)
  const without = learnerIds.filter((id) => !has.has(id) && !except.has(id))
  const isFew = without.length > 0 && without.length * 4 <= learnerIds.length
  return isFew ? [{ code: 'left-out', classId, learnerIds: without }] : []
}

/** Weeks that it makes too much for some of the class. */
export function inHeavyWeeks({ classId, heavyWeeks }: ClassAtLastLook): readonly Caution[] {
  return heavyWeeks.map((week) => ({ code: 'heavy-week', classId, ...week }))
}

/** Who has to wait for it, and for whom it is over before it came. */
export function waitingFor(
  { classId, waiting }: ClassAtLastLook,
  { now }: LastLookFacts,
): readonly Caution[] {
  return [...groupBy(waiting, (w) => w.category).values()].flatMap((list): readonly Caution[] => {
    const [first] = list
    if (!first) return []
    const { category, most } = first
    const inVain = list.filter((w) => isOver(w, now)).map((w) => w.learnerId)
    const learnerIds = list.filter((w) => !isOver(w, now)).map((w) => w.learnerId)
    return [
      ...(learnerIds.length > 0 ? [{ code: 'waits' as const, classId, category, most, learnerIds }] : []),
      ...(inVain.length > 0 ? [{ code: 'waited-in-vain' as const, classId, learnerIds: inVain }] : []),
    ]
  })
}
