import { askedFor, shortOf } from '../attempts'
import type { Drawable } from '../attempts'
import type { Reached } from '../audience'
import type { Ground, Window, WindowSpan } from '../availability'
import type { ClassId, Instant, IsoDay, LessonId, Minutes, PieceId, ResourceId, UserId } from '../base'
import { rulesOf } from './pieces'
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
  /** All who are in it. */
  readonly learnerIds: readonly UserId[]
  /** What it has besides, or will have. */
  readonly others: readonly OtherWork[]
}

/** Other work of a class, published or waiting. */
export interface OtherWork {
  readonly title: string
  readonly window: Window | null
  readonly minutes: Minutes
  readonly isTest: boolean
}

/** What is known of a piece's items. */
export interface PieceAtLastLook {
  readonly isTest: boolean
  readonly minutes: Minutes
  readonly items: readonly Drawable[]
}

/** From so many pieces on a teacher may not have meant to hand out each on its own. */
export const MANY_PIECES = 8
/** More minutes of work that is due on one day are too much for most. */
const FULL_DAY: Minutes = 90

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
  /** The bank has fewer items than a draw asks for: tries are that much shorter. */
  | {
      readonly code: 'drawn-short'
      readonly pieceId: PieceId
      readonly asked: number
      readonly has: number
    }
  /** Nearly all of a class have it, and these are not among the exceptions. */
  | { readonly code: 'left-out'; readonly classId: ClassId; readonly learnerIds: readonly UserId[] }
  /** A test is open meanwhile that could not be begun before this is finished. */
  | { readonly code: 'blocks-test'; readonly classId: ClassId; readonly title: string }
  | {
      readonly code: 'two-tests'
      readonly classId: ClassId
      readonly on: IsoDay
      readonly title: string
    }
  | {
      readonly code: 'full-day'
      readonly classId: ClassId
      readonly on: IsoDay
      readonly minutes: Minutes
      readonly titles: readonly string[]
    }
  /** With it, these learners carry more in that week than the limits, all their classes together. */
  | {
      readonly code: 'heavy-week'
      readonly classId: ClassId
      readonly mondayOn: IsoDay
      readonly learnerIds: readonly UserId[]
      /** A day in another week on which less is due; null: none is near. */
      readonly better: IsoDay | null
    }
  /** They have as many pieces of its category as their class lets them have at once: it comes when they have room. */
  | {
      readonly code: 'waits'
      readonly classId: ClassId
      readonly category: string
      readonly most: number
      readonly learnerIds: readonly UserId[]
    }
  /** Its window has ended while they waited for it. */
  | { readonly code: 'waited-in-vain'; readonly classId: ClassId; readonly learnerIds: readonly UserId[] }
  /** Each learner gets so many pieces on their own. */
  | { readonly code: 'many-pieces'; readonly pieces: number; readonly minutes: Minutes }

/** The last look at work before it goes out, class by class: what is legal and yet seldom meant. */
export function lastLook(
  draft: Draft,
  classes: readonly ClassAtLastLook[],
  reached: readonly Reached[],
  pieces: ReadonlyMap<PieceId, PieceAtLastLook>,
  now: Instant,
): Caution[] {
  const lessons = anchoredLessons(draft)
  const ofClasses = classes.flatMap((of) => [
    ...ofWindow(of, now),
    ...lessons.filter((id) => of.covered.has(id)).map((lessonId) => coveredIn(of.classId, lessonId)),
    ...draft.pieces.flatMap(({ resourceId }) => givenBefore(of, resourceId)),
    ...leftOut(of, draft, reached),
    ...beside(of, draft, [...pieces.values()]),
  ])
  return [...ofClasses, ...severalIn(reached), ...ofPieces(draft, pieces)]
}

function severalIn(reached: readonly Reached[]): readonly Caution[] {
  const learnerIds = reached.filter((r) => r.byClass && r.classIds.length > 1).map((r) => r.learnerId)
  return learnerIds.length === 0 ? [] : [{ code: 'in-several', learnerIds }]
}

/** A few of a class who have it neither by name nor group, and are no exceptions either, were rather forgotten. */
function leftOut({ classId, learnerIds }: ClassAtLastLook, draft: Draft, reached: readonly Reached[]) {
  const has = new Set(reached.map((r) => r.learnerId))
  const except = new Set(draft.exceptIds)
  const without = learnerIds.filter((id) => !has.has(id) && !except.has(id))
  const isFew = without.length > 0 && without.length * 4 <= learnerIds.length
  return isFew ? [{ code: 'left-out' as const, classId, learnerIds: without }] : []
}

/** What the class has besides, seen together with this. */
function beside(of: ClassAtLastLook, draft: Draft, pieces: readonly PieceAtLastLook[]): readonly Caution[] {
  const { classId, window, others, ground } = of
  if (window === null) return []
  const found: Caution[] = []
  if (draft.isFirst) {
    const meanwhile = others.find((o) => o.isTest && o.window !== null && overlap(window, o.window))
    if (meanwhile) found.push({ code: 'blocks-test', classId, title: meanwhile.title })
  }
  if (window.due === null) return found
  const dayOf = (at: Instant) => ground.zone.local((at - 1) as Instant).on
  const on = dayOf(window.due)
  const sameDay = others.filter(
    (o) => o.window !== null && o.window.due !== null && dayOf(o.window.due) === on,
  )
  const test = pieces.some((p) => p.isTest) ? sameDay.find((o) => o.isTest) : undefined
  if (test) found.push({ code: 'two-tests', classId, on, title: test.title })
  const minutes = [...pieces, ...sameDay].reduce((sum, p) => sum + p.minutes, 0)
  if (sameDay.length > 0 && minutes > FULL_DAY)
    found.push({ code: 'full-day', classId, on, minutes, titles: sameDay.map((o) => o.title) })
  return found
}

function overlap(a: Window, b: Window): boolean {
  const from = (w: Window) => w.opens ?? w.listed ?? Number.NEGATIVE_INFINITY
  const until = (w: Window) => w.closes ?? w.due ?? Number.POSITIVE_INFINITY
  return from(a) < until(b) && from(b) < until(a)
}

function ofPieces(draft: Draft, pieces: ReadonlyMap<PieceId, PieceAtLastLook>): readonly Caution[] {
  const short = draft.pieces.flatMap((piece): readonly Caution[] => {
    const { items: choice } = rulesOf(draft, piece)
    const items = pieces.get(piece.id)?.items ?? []
    if (choice.kind === 'all' || items.length === 0) return []
    const asked = choice.kind === 'drawn' ? askedFor(choice.shares) : choice.most
    const has =
      choice.kind === 'drawn' ? asked - shortOf(items, choice.shares) : Math.min(asked, items.length)
    return has < asked ? [{ code: 'drawn-short', pieceId: piece.id, asked, has }] : []
  })
  const minutes = [...pieces.values()].reduce((sum, p) => sum + p.minutes, 0)
  const count = draft.pieces.length
  return count < MANY_PIECES ? short : [...short, { code: 'many-pieces', pieces: count, minutes }]
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
