import type { Drawable } from '../attempts'
import type { Reached } from '../audience'
import type { Ground, Window, WindowSpan } from '../availability'
import type { ClassId, Instant, IsoDay, LessonId, Minutes, PieceId, ResourceId, UserId } from '../base'
import type { HeavyWeek, Queued } from '../load'
import type { Draft } from '../work'

/** All that the last look looks at: gathered by the use-case, judged here alone. */
export interface LastLookFacts {
  readonly draft: Draft
  readonly classes: readonly ClassAtLastLook[]
  readonly reached: readonly Reached[]
  readonly pieces: ReadonlyMap<PieceId, PieceAtLastLook>
  readonly now: Instant
  /** Since when the work is published; now while it is not. What has no opening opens then. */
  readonly from: Instant
}

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
  /** Weeks that this work makes too much for some. */
  readonly heavyWeeks: readonly HeavyWeek[]
  /** Who has to wait for it. */
  readonly waiting: readonly WaitsInClass[]
}

/** Other work of a class, published or waiting. */
export interface OtherWork {
  readonly title: string
  /** As it counts since it was published, or would be if it were now. */
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

/** A learner who has as many pieces of a category as their class lets them have at once. */
export interface WaitsInClass extends Pick<Queued, 'learnerId' | 'until'> {
  readonly category: string
  /** The class's ceiling. */
  readonly most: number
}
