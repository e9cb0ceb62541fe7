import type { Reached } from '../audience'
import type { Ground, Window, WindowSpan } from '../availability'
import type { ClassId, Instant, IsoDay, LessonId, PieceId, ResourceId, UserId } from '../base'
import { anchoredLessons } from './resolve'
import type { Draft } from './types'

/** What is known of one class to which work is about to go. */
export interface ClassAtLastLook {
  readonly classId: ClassId
  readonly window: Window | null
  /** Windows of the pieces that have moments of their own. */
  readonly pieces: readonly { readonly pieceId: PieceId; readonly window: Window | null }[]
  readonly span: WindowSpan | null
  readonly ground: Pick<Ground, 'zone' | 'meetings'>
  /** Last days of the school year's terms, in order. */
  readonly termEnds: readonly IsoDay[]
  readonly covered: ReadonlySet<LessonId>
  /** Pieces that the class was already given, with the title of the work. */
  readonly had: ReadonlyMap<ResourceId, string>
}

/** Something that may be meant, but is more often a mistake. Days are local; moments are minutes of a day. */
export type Caution =
  | { readonly code: 'due-in-past'; readonly classId: ClassId; readonly pieceId: PieceId | null }
  | { readonly code: 'opens-at-once'; readonly classId: ClassId }
  | { readonly code: 'tight'; readonly classId: ClassId; readonly meetings: number }
  | {
      readonly code: 'no-meeting-on-due-day'
      readonly classId: ClassId
      readonly on: IsoDay
      /** The end of the class's next meeting; null when there is none. */
      readonly next: { readonly on: IsoDay; readonly minuteOfDay: number } | null
    }
  | {
      readonly code: 'past-term'
      readonly classId: ClassId
      readonly on: IsoDay
      readonly termEndsOn: IsoDay
    }
  | { readonly code: 'covered'; readonly classId: ClassId; readonly lessonId: LessonId }
  | {
      readonly code: 'already-given'
      readonly classId: ClassId
      readonly resourceId: ResourceId
      readonly title: string
    }
  /** In several of the classes: they get it once, with the kinder of the dates. */
  | { readonly code: 'in-several'; readonly learnerIds: readonly UserId[] }

/** The last look at work before it goes out, class by class: what is legal and yet seldom meant. */
export function lastLook(
  draft: Draft,
  classes: readonly ClassAtLastLook[],
  reached: readonly Reached[],
  now: Instant,
): Caution[] {
  const lessons = anchoredLessons(draft)
  const ofClasses = classes.flatMap((of) => [
    ...ofWindow(of, now),
    ...lessons.filter((id) => of.covered.has(id)).map((lessonId) => coveredIn(of.classId, lessonId)),
    ...draft.pieces.flatMap(({ resourceId }) => givenBefore(of, resourceId)),
  ])
  const several = reached.filter((r) => r.byClass && r.classIds.length > 1).map((r) => r.learnerId)
  return several.length === 0 ? ofClasses : [...ofClasses, { code: 'in-several', learnerIds: several }]
}

const coveredIn = (classId: ClassId, lessonId: LessonId): Caution => ({ code: 'covered', classId, lessonId })

function givenBefore({ classId, had }: ClassAtLastLook, resourceId: ResourceId): readonly Caution[] {
  const title = had.get(resourceId)
  return title === undefined ? [] : [{ code: 'already-given', classId, resourceId, title }]
}

function ofWindow(of: ClassAtLastLook, now: Instant): readonly Caution[] {
  const { classId, window, pieces, span } = of
  const late = pieces.filter((p) => isPast(p.window?.due, now))
  const ofPieces = late.map(({ pieceId }): Caution => ({ code: 'due-in-past', classId, pieceId }))
  if (window === null) return ofPieces
  // nothing else matters once it is over
  if (isPast(window.due, now)) return [{ code: 'due-in-past', classId, pieceId: null }]
  const found: Caution[] = [...ofPieces]
  if (span?.tight) found.push({ code: 'tight', classId, meetings: span.meetings })
  if (isPast(window.opens, now)) found.push({ code: 'opens-at-once', classId })
  if (window.due !== null) found.push(...ofDueDay(of, window.due, window.opens ?? now))
  return found
}

const isPast = (at: Instant | null | undefined, now: Instant) => at !== null && at !== undefined && at <= now

function ofDueDay({ classId, ground, termEnds }: ClassAtLastLook, due: Instant, opens: Instant): Caution[] {
  // a due moment at 00:00 belongs to the day that just ended
  const dayOf = (at: Instant) => ground.zone.local(at).on
  const on = dayOf((due - 1) as Instant)
  const found: Caution[] = []
  if (!ground.meetings.some((m) => m.on === on)) {
    const meeting = ground.meetings.find((m) => m.on > on)
    const next = meeting ? { on: meeting.on, minuteOfDay: meeting.startMinute + meeting.minutes } : null
    found.push({ code: 'no-meeting-on-due-day', classId, on, next })
  }
  const termEndsOn = termEnds.find((end) => dayOf(opens) <= end)
  if (termEndsOn !== undefined && on > termEndsOn) found.push({ code: 'past-term', classId, on, termEndsOn })
  return found
}
