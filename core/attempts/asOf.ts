import type { Instant } from '../base'
import { endingOf } from './attempt'
import type { TryInShort, TryTerms } from './types'

/**
 * Tries as they stood, or will stand, at an instant: later ones are not there, one that was handed in later goes on,
 * and one that time will end by then is over, without a score.
 */
export function triesAsOf<T extends TryInShort>(
  tries: readonly T[],
  terms: TryTerms | null,
  at: Instant,
): readonly T[] {
  return tries
    .filter((t) => t.startedAt <= at)
    .map((t) => {
      if (t.submittedAt !== null && t.submittedAt > at)
        return { ...t, submittedAt: null, endedBy: null, score: null }
      const end = terms === null ? null : endingOf(t, terms, at)
      return end === null ? t : { ...t, submittedAt: end.at, endedBy: end.endedBy }
    })
}
