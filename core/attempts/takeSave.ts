import type { ItemId, PageId } from '../base'
import type { Answer } from '../library'

/** An answer as it stands on the server. */
export interface KeptAnswer {
  readonly itemId: ItemId
  readonly answer: Answer
  /** How often it was written; 1 for the first time. */
  readonly revision: number
  /** The page that wrote it last, and which of that page's changes it was. */
  readonly writer: PageId
  readonly edit: number
  /** Given for good: it was looked at, and no longer changes. */
  readonly isFinal: boolean
}

/** A change of an answer on its way to the server. */
export interface AnswerChange {
  readonly itemId: ItemId
  readonly answer: Answer
  /** The revision it was made from; 0 where no answer stood. */
  readonly from: number
  /** The page it was made on, and a count of that page's changes: an older one that arrives late is known. */
  readonly writer: PageId
  readonly edit: number
}

/** `written`: it stands now. `known`: it stood already. `stale`: something newer stands and stays. */
export type Taken = 'written' | 'known' | 'stale'

/**
 * Whether a change may replace what stands. It may when it was made from that very revision, or when the same
 * page wrote last and the change is a later one of it: then nobody else's answer is overwritten. What was given for
 * good stays.
 */
export function takeSave(standing: KeptAnswer | null, change: AnswerChange, isSame: boolean): Taken {
  if (standing === null) return 'written'
  if (isSame) return 'known'
  if (standing.isFinal) return 'stale'
  const isOwn = standing.writer === change.writer
  if (isOwn) return change.edit > standing.edit ? 'written' : 'known'
  return change.from === standing.revision ? 'written' : 'stale'
}
