interface Named {
  readonly name: string
}

/**
 * Who of the learners is meant by a name, as it is written in lists and names of files: in any order of its words, with
 * or without accents, commas and lines. Null when nobody is, or when it might be several.
 */
export function learnerNamed<L extends Named>(name: string, learners: readonly L[]): L | null {
  const wanted = wordsOf(name)
  if (wanted.length === 0) return null
  const whole = learners.filter((l) => wordsOf(l.name).join(' ') === wanted.join(' '))
  // a name beside other words, such as those of the task
  const among = learners.filter((l) => wordsOf(l.name).every((word) => wanted.includes(word)))
  const found = whole.length > 0 ? whole : among
  return found.length === 1 ? (found[0] ?? null) : null
}

/** The words of a name, folded and in one order. */
function wordsOf(name: string): readonly string[] {
  const folded = name.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()
  return (folded.match(/[\p{L}\p{N}]+/gu) ?? []).sort()
}
