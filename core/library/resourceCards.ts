import type { ItemKind } from './kinds'
import type { ResourceKind } from './types'

/** Whether pieces of a kind have items: they need some, may have some, or have none. */
export type ItemsOfKind = 'needed' | 'possible' | 'none'

/** Which ready rules suit a kind: those of a test, a check, practice, or a text that a person scores. */
export type RulesLike = 'test' | 'check' | 'practice' | 'text'

/** All that sets one kind of piece apart; what no card says is the same for all of them. */
interface ResourceCard {
  readonly items: ItemsOfKind
  /** With which kind of question one begins to write. */
  readonly firstItem: ItemKind
  /** Made to be answered and to score itself. */
  readonly isScored: boolean
  /** Tries are counted; of other kinds there are as many as one likes. */
  readonly hasCountedTries: boolean
  /** A further try goes on with what was given before. */
  readonly isRevised: boolean
  /** Every learner fills in an own copy, which can be handed in again. */
  readonly isOwnCopy: boolean
  readonly rulesLike: RulesLike
  /** An address belongs to it: a page, or a film, which may be a file instead. */
  readonly link: 'page' | 'film' | null
  readonly needsFile: boolean
  /** Learners may hand in files. */
  readonly takesFiles: boolean
  /** Words belong to it: to be learnt, or expected in a text. */
  readonly words: 'learnt' | 'expected' | null
  /** What comes back is looked at by criteria. */
  readonly hasCriteria: boolean
  /** Learners may take it by themselves along a practice route; checks and tests stay for set work. */
  readonly isForPractice: boolean
  /** A lesson of a textbook usually sets it. */
  readonly isUsual: boolean
  /** Where it usually stands to its lesson. */
  readonly when: 'before' | 'in' | 'after'
  /** Its result is kept beside others' as a measure: load counts tests of a day, standards count what was assessed. */
  readonly measures: 'test' | 'check' | null
  /** Shows how something is done; it is helped with where that help is allowed. */
  readonly isExample: boolean
  /** Has to be printed, or laid out, before a meeting. */
  readonly isPrepared: boolean
}

/** Something to be read or watched, done by the learner's word. */
const TO_READ: ResourceCard = {
  items: 'possible',
  firstItem: 'single',
  isScored: false,
  hasCountedTries: false,
  isRevised: false,
  isOwnCopy: false,
  rulesLike: 'practice',
  link: null,
  needsFile: false,
  takesFiles: false,
  words: null,
  hasCriteria: false,
  isForPractice: true,
  isUsual: false,
  when: 'after',
  measures: null,
  isExample: false,
  isPrepared: false,
}
/** Questions that score themselves. */
const TO_ANSWER: ResourceCard = { ...TO_READ, items: 'needed', isScored: true, hasCountedTries: true }

const CARDS: Record<ResourceKind, ResourceCard> = {
  reading: { ...TO_READ, isUsual: true, when: 'before' },
  video: { ...TO_READ, link: 'film' },
  'worked-example': { ...TO_READ, items: 'none', isExample: true },
  'practice-set': TO_ANSWER,
  check: { ...TO_ANSWER, rulesLike: 'check', isForPractice: false, isUsual: true, measures: 'check' },
  test: {
    ...TO_ANSWER,
    rulesLike: 'test',
    isForPractice: false,
    isUsual: true,
    when: 'in',
    measures: 'test',
  },
  'writing-task': {
    ...TO_READ,
    items: 'needed',
    firstItem: 'extended',
    hasCountedTries: true,
    isRevised: true,
    rulesLike: 'text',
    takesFiles: true,
    words: 'expected',
    hasCriteria: true,
    isForPractice: false,
    isUsual: true,
  },
  'word-list': { ...TO_READ, words: 'learnt' },
  'read-aloud': TO_READ,
  page: {
    ...TO_READ,
    items: 'needed',
    firstItem: 'extended',
    isRevised: true,
    isOwnCopy: true,
    takesFiles: true,
    isForPractice: false,
    isPrepared: true,
  },
  // made and handed in: scored by its criteria like a text, where they are worth points
  project: {
    ...TO_READ,
    firstItem: 'extended',
    hasCountedTries: true,
    isRevised: true,
    rulesLike: 'text',
    takesFiles: true,
    hasCriteria: true,
    isForPractice: false,
  },
  link: { ...TO_READ, items: 'none', link: 'page' },
  file: { ...TO_READ, items: 'none', needsFile: true, isForPractice: false },
}

/** What sets a kind of piece apart. */
export function cardOfKind(kind: ResourceKind): ResourceCard {
  return CARDS[kind]
}

/** Kinds of which something holds, such as for a question to the database. */
export function kindsThat(holds: (card: ResourceCard) => boolean): readonly ResourceKind[] {
  return (Object.keys(CARDS) as ResourceKind[]).filter((kind) => holds(CARDS[kind]))
}

/**
 * Whether rules of tries, time and what is shown have anything to hold on to in a piece: it has something to be
 * answered, written or filled in, whatever its kind. What has nothing of it is done by the learner's word.
 */
export function hasRules({ itemCount }: { readonly itemCount: number }): boolean {
  return itemCount > 0
}
