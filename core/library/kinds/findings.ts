/** What is worth a second look in a question that can be answered and scored. */
export type ItemFinding =
  /** The question itself is empty. */
  | { readonly code: 'no-stem' }
  /** Nothing is said to who was wrong. */
  | { readonly code: 'no-feedback' }
  | { readonly code: 'no-standard' }
  /** Only one number is right, though it is no whole one: who rounds is wrong. */
  | { readonly code: 'exact-fraction'; readonly value: number }
  /** What is right is longer than everything else, which tells it. */
  | { readonly code: 'right-is-longest' }
  /** Every option is right. */
  | { readonly code: 'all-right' }
  /** The question names a right answer. */
  | { readonly code: 'stem-tells-answer'; readonly word: string }
  /** A person scores it without being told what earns the points. */
  | { readonly code: 'no-guide' }

/** So much longer than the longest wrong option a right one has to be to stand out. */
const STANDS_OUT = 1.6

/** Whether what is right is longer than everything else. */
export function tellsByLength(
  options: readonly { readonly id: string; readonly text: string }[],
  right: readonly string[],
): boolean {
  const longest = (isRight: boolean) =>
    Math.max(0, ...options.filter((o) => right.includes(o.id) === isRight).map((o) => o.text.length))
  return longest(false) > 0 && longest(true) > 30 && longest(true) > STANDS_OUT * longest(false)
}

/** Whether a text names one of the words. */
export function tellsWord(text: string, words: readonly string[]): readonly ItemFinding[] {
  const plain = ` ${text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')} `
  const word = words.find((w) => w.trim().length > 3 && plain.includes(` ${w.trim().toLowerCase()} `))
  return word === undefined ? [] : [{ code: 'stem-tells-answer', word }]
}
