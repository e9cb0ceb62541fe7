import type { IsoDay } from '../base'
import type { Parts } from '../combining'
import type { Accommodation } from './types'

/** What holds of one learner in all work of a class. */
export interface OwnTerms extends Accommodation {
  /** Null: not said. */
  readonly grade: number | null
  /** Their start line: work that was over before is none of theirs. */
  readonly startsOn: IsoDay
}

/** Each by itself: two people may change two of them at once. */
export const OWN_TERMS_PARTS: Parts<OwnTerms> = {
  timeFactor: 'whole',
  extraAttempts: 'whole',
  extraDays: 'whole',
  grade: 'whole',
  startsOn: 'whole',
}
