import { groupBy, ok } from '#core/base'
import type { ResourceId } from '#core/base'
import type { Teacher } from '#core/access'
import { lessonAt } from '#core/pacing'
import { lastGivenBy } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { groundsOf } from '../ground/classGrounds'
import { ownClasses } from '../ground/ownClasses'

/** So many pieces that were given last are told. */
const MOST_GIVEN = 6

/** Where a teacher's classes are in their textbooks. */
export interface LessonNow {
  readonly bookLessonId: string
  readonly number: string
  readonly title: string
  /** The classes that are at it, by their short names. */
  readonly classes: readonly string[]
}

/** With what somebody likely goes on: the lessons their classes are at, and the pieces they gave last. */
export async function showShelfNow(deps: Pick<Deps, 'store' | 'clock'>, actor: Teacher) {
  const tx = deps.store.read
  const now = deps.clock.now()
  const records = await ownClasses(tx, actor)
  const grounds = await groundsOf(tx, records)
  const at = records.flatMap(({ id, shortName }) => {
    const { plan, layout, calendar } = grounds.get(id) ?? {}
    const here = layout && calendar ? lessonAt(layout, calendar.meetings, now) : null
    const lesson = plan?.lessons.find((l) => l.id === here)
    return lesson?.bookLessonId ? [{ ...lesson, bookLessonId: lesson.bookLessonId, shortName }] : []
  })
  const lessons = [...groupBy(at, (l) => l.bookLessonId)].flatMap(
    ([bookLessonId, list]): readonly LessonNow[] => {
      const [first] = list
      return first
        ? [{ bookLessonId, number: first.number, title: first.title, classes: list.map((l) => l.shortName) }]
        : []
    },
  )
  const given: readonly ResourceId[] = await lastGivenBy(tx, actor.userId, MOST_GIVEN)
  return ok({ lessons, given })
}
