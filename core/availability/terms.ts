import type { Kinder } from '../audience'
import type { Instant, PieceId } from '../base'
import type { Window, WindowSpec } from './types'

export const LIMIT_FIELDS = ['maxAttempts', 'timeLimitMinutes'] as const
/** Limits that a target may change for its learners. null: unlimited. */
export interface Limits {
  readonly maxAttempts: number | null
  readonly timeLimitMinutes: number | null
}
export type LearnerTerms = Window & Limits

/** What one target changes; keys that are absent change nothing. */
export interface Overrides {
  readonly window?: Partial<WindowSpec>
  readonly maxAttempts?: number | null
  readonly timeLimitMinutes?: number | null
  /** Tries added to whatever limit comes out, by piece; for single learners. */
  readonly moreTries?: Readonly<Record<PieceId, number>>
}

/** What a target changes, with other moments of its own; without any it no longer has some. */
export function withWindow({ window: _, ...others }: Overrides, window: Partial<WindowSpec>): Overrides {
  return Object.keys(window).length === 0 ? others : { ...others, window }
}

/**
 * The values of one piece of an assignment, and what its targets change. What the piece itself says stands over
 * the class's, since it belongs to the work; groups and persons stand over both.
 */
export interface Terms {
  readonly window: WindowSpec
  /** What the piece itself says. */
  readonly own: Partial<WindowSpec>
  readonly limits: Limits
  readonly overrides: {
    readonly classes: ReadonlyMap<string, Overrides>
    readonly groups: ReadonlyMap<string, Overrides>
    readonly learners: ReadonlyMap<string, Overrides>
  }
}

const sooner = (a: Instant | null, b: Instant | null) =>
  a === b ? 0 : (b ?? Number.NEGATIVE_INFINITY) - (a ?? Number.NEGATIVE_INFINITY)
const later = (a: number | null, b: number | null) =>
  a === b ? 0 : (a ?? Number.POSITIVE_INFINITY) - (b ?? Number.POSITIVE_INFINITY)
/**
 * Kinder means listed and open earlier, due and closed later, more attempts, longer time; absent limits are
 * kindest.
 */
export const KINDER: Kinder<LearnerTerms> = {
  listed: sooner,
  opens: sooner,
  due: later,
  closes: later,
  putAway: later,
  maxAttempts: later,
  timeLimitMinutes: later,
}
