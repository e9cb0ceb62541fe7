import type { ItemKind } from '#core/library'

/** What is said of a kind of item: its name for who writes one, what a learner is asked, and its fields. */
interface KindWords {
  readonly name: string
  readonly ask: string
  /** What stands where the answer goes, on paper. */
  readonly blank: string
  readonly fields: Readonly<Record<string, { readonly label: string; readonly help?: string }>>
}

export const ITEM_KIND_WORDS: Record<ItemKind, KindWords> = {
  single: { name: 'One right answer', ask: 'One is right', blank: '', fields: {} },
  multiple: { name: 'Several right answers', ask: 'Tick all that are right', blank: '', fields: {} },
  numeric: {
    name: 'A number',
    ask: 'A number',
    blank: 'Number',
    fields: {
      value: { label: 'Right number' },
      tolerance: { label: 'May differ by' },
      unit: { label: 'Unit' },
    },
  },
  text: {
    name: 'A short answer',
    ask: 'A word or two',
    blank: 'Short answer',
    fields: {
      accepted: {
        label: 'Accepted answers',
        help: 'Several parted by a semicolon; case and spaces do not count. For half of the points: collor (½)',
      },
    },
  },
  ordering: {
    name: 'Put in order',
    ask: 'Put these in order, first to last',
    blank: 'Order',
    fields: {
      options: { label: 'Steps', help: 'In their right order, one on each line; learners see them mixed' },
    },
  },
  matching: {
    name: 'Match pairs',
    ask: 'Give each its partner',
    blank: 'Partner',
    fields: {
      prompts: {
        label: 'Pairs',
        help: 'One pair on each line, as “left = right”; a line “= right” is one that belongs to nothing',
      },
    },
  },
  blanks: {
    name: 'Fill in blanks',
    ask: 'Fill in what is missing',
    blank: 'Missing words',
    fields: {
      passage: {
        label: 'Text',
        help:
          'Missing words in brackets, others that are right after a bar: It carries [energy | the energy]. ' +
          'A number: It is [15.7 ± 0.1] cm long.',
      },
    },
  },
  extended: {
    name: 'A longer text',
    ask: 'Write in sentences; your teacher scores it',
    blank: 'Text',
    fields: {
      leastWords: { label: 'Words at least', help: '0: as many as one likes' },
      mostWords: { label: 'Words at most', help: '0: no limit' },
      leastParagraphs: { label: 'Paragraphs at least', help: '0: as many as one likes' },
      guide: { label: 'What earns the points', help: 'For who scores it; learners do not see it' },
    },
  },
}
