import type { LessonId, PieceId } from '../base'
import type { VersionChoice } from '../versions'
import type { Draft } from '../work'

/** As many pieces of standing work as one plan may carry. */
export const MOST_STANDING = 600

/** What of standing work becomes the class's own when it is laid. */
export type StandingSetting = Pick<
  Draft,
  'pieces' | 'title' | 'note' | 'about' | 'isFirst' | 'inTurn' | 'window' | 'rules'
>

/** Work that belongs to a lesson of a plan, for whatever class the plan is laid on. */
export interface StandingPiece extends StandingSetting {
  readonly lessonId: LessonId
  /** What is given of a piece instead of what each learner's trail says; absent: the trail decides. */
  readonly versions?: Readonly<Record<PieceId, VersionChoice>>
}

export const STANDING_FIELDS = [
  'pieces',
  'title',
  'note',
  'about',
  'isFirst',
  'inTurn',
  'window',
  'rules',
] as const satisfies readonly (keyof StandingSetting)[]
export type StandingField = (typeof STANDING_FIELDS)[number]

/** How a class stands to a piece of its plan's standing work. */
export type Offer =
  /** It has it as the plan has it, or has answered. */
  | { readonly kind: 'settled' }
  /** It does not have it yet. */
  | { readonly kind: 'new' }
  /** The plan was changed since; `keeps` names what the class made its own, which stays. */
  | {
      readonly kind: 'changed'
      readonly fields: readonly StandingField[]
      readonly keeps: readonly StandingField[]
    }
  /** The plan no longer has it. */
  | { readonly kind: 'gone' }
