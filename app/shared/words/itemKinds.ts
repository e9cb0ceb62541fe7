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
        help: 'Several parted by a semicolon; case and extra spaces do not count',
      },
    },
  },
}
