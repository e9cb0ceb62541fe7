import { READY_RULES, readyRulesFor } from '../attempts'
import type { Anchor, WindowSpec } from '../availability'
import type { LessonId, ResourceId } from '../base'
import { cardOfKind } from '../library'
import type { ResourceKind, ResourceRole } from '../library'
import { NO_ABOUT, plainPiece, rulesSuiting } from '../work'
import type { When } from '../work'
import type { StandingPiece } from './types'

/** A piece of a textbook's lesson. */
export interface LessonPiece {
  readonly resourceId: ResourceId
  readonly revision: number
  readonly title: string
  readonly kind: ResourceKind
  readonly role: ResourceRole
}

/**
 * What a lesson of a textbook usually sets: its core readings before class, a test in class, checks and texts
 * afterwards. A plan's first lesson has no meeting before it, its last none after it.
 */
export function readyWork(
  lessonId: LessonId,
  pieces: readonly LessonPiece[],
  { isFirst, isLast }: { readonly isFirst: boolean; readonly isLast: boolean },
): readonly StandingPiece[] {
  return pieces
    .filter((p) => p.role === 'core' && cardOfKind(p.kind).isUsual)
    .map((p) => standingOf(lessonId, p, usualWindow(lessonId, usualWhen(p.kind, isFirst), isLast)))
}

/** One piece as standing work of a lesson, under the ready rules of its kind. */
export function standingOf(
  lessonId: LessonId,
  { resourceId, revision, title, kind }: LessonPiece,
  { when, window }: { readonly when: When; readonly window: WindowSpec },
): StandingPiece {
  return {
    lessonId,
    pieces: [plainPiece({ resourceId, revision }, { when })],
    title,
    note: '',
    about: NO_ABOUT,
    isFirst: false,
    inTurn: false,
    window,
    rules: rulesSuiting(READY_RULES[readyRulesFor(kind)], kind),
  }
}

/** Where a kind of piece usually stands to its lesson; before a plan's first one there is no meeting. */
export function usualWhen(kind: ResourceKind, isFirst = false): When {
  const { when } = cardOfKind(kind)
  return when === 'before' && isFirst ? 'after' : when
}

/**
 * The moments that come with where a piece stands to its lesson. Before class: from the end of the meeting before to
 * the start of its first. In class: while its last meeting lasts. Afterwards: from the start of its last meeting to
 * the end of the next. Learners see it when it opens.
 */
export function usualWindow(
  lessonId: LessonId,
  when: When,
  isLast = false,
): { readonly when: When; readonly window: WindowSpec } {
  const at = (edge: Anchor['edge'], offset: number, moment: Anchor['at']): Anchor => ({
    kind: 'anchor',
    lessonId,
    edge,
    offset,
    step: 'meetings',
    at: moment,
  })
  const MOMENTS = {
    before: [at('first', -1, 'class-end'), at('first', 0, 'class-start')],
    in: [at('last', 0, 'class-start'), at('last', 0, 'class-end')],
    after: [at('last', 0, 'class-start'), isLast ? at('last', 0, 'end-of-day') : at('last', 1, 'class-end')],
  } as const
  const [opens, due] = MOMENTS[when]
  return { when, window: { listed: opens, opens, due, closes: null, putAway: null } }
}
