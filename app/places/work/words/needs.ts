import type { Need } from '#core/work'

/** The parts of the list of work, and what stands in each. */
export const NEED_WORDS: Record<Need, { word: string; about: string }> = {
  'to-publish': { word: 'To publish', about: 'Complete, waiting for you' },
  late: { word: 'Late work still comes in', about: 'Past due somewhere, not yet closed' },
  open: { word: 'Open', about: 'Learners can work on it' },
  'coming-up': { word: 'Coming up', about: 'Opens by itself' },
  done: { word: 'Closed', about: 'Over in every class' },
  withdrawn: { word: 'Withdrawn', about: 'Taken back; results kept' },
}
