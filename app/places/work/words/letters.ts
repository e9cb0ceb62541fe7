import type { NoticeKind } from '#core/work'

/** What a letter says of one piece of work. */
export const LETTER_WORDS: Record<NoticeKind, string> = {
  new: 'New',
  moved: 'The dates have changed',
  'more-time': 'You have more time',
  'more-tries': 'You have another try',
  'taken-back': 'Taken back',
}
