const LISTS = new Intl.ListFormat('en-GB', { type: 'conjunction' })

/** 'a', 'a and b', 'a, b and c'. */
export function sayList(words: readonly string[]): string {
  return LISTS.format(words)
}
