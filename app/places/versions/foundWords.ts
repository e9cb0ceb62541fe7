/** Where words stand in a text: the place of their first letter, and how many letters they take there. */
export interface FoundWords {
  readonly at: number
  readonly length: number
}

/**
 * The next place behind `after` at which the words stand, and from the beginning again if there is none; null where
 * they stand nowhere. Small and capital letters, and how words are set apart, make no difference.
 */
export function findWords(text: string, words: string, after = -1): FoundWords | null {
  const parts = words.trim().split(/\s+/).filter(Boolean)
  if (parts.length === 0) return null
  const pattern = new RegExp(
    parts.map((part) => part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('\\s+'),
    'gi',
  )
  const places = Array.from(text.matchAll(pattern), (found) => ({ at: found.index, length: found[0].length }))
  return places.find((place) => place.at > after) ?? places[0] ?? null
}

/** The stretch of an element's text from one letter on. */
export function rangeOf(element: HTMLElement, { at, length }: FoundWords): Range {
  const range = document.createRange()
  const texts = document.createTreeWalker(element, NodeFilter.SHOW_TEXT)
  let passed = 0
  let hasStart = false
  for (let node = texts.nextNode(); node; node = texts.nextNode()) {
    const size = node.textContent?.length ?? 0
    if (!hasStart && at < passed + size) {
      range.setStart(node, at - passed)
      hasStart = true
    }
    if (hasStart && at + length <= passed + size) {
      range.setEnd(node, at + length - passed)
      break
    }
    passed += size
  }
  return range
}
