import { placesOf } from './figuresOf'

/** A stretch of a text, and whether it is a word that was expected. */
export interface TextPart {
  readonly text: string
  readonly isExpected: boolean
}

/** A text in parts, in order: put together they are the text again. */
export function partsOf(text: string, expected: readonly string[]): readonly TextPart[] {
  const places = expected.flatMap((word) => placesOf(text, word)).sort((a, b) => a[0] - b[0] || b[1] - a[1])
  const parts: TextPart[] = []
  let at = 0
  for (const [start, end] of places) {
    // within one that was found already
    if (start < at) continue
    if (start > at) parts.push({ text: text.slice(at, start), isExpected: false })
    parts.push({ text: text.slice(start, end), isExpected: true })
    at = end
  }
  return at < text.length ? [...parts, { text: text.slice(at), isExpected: false }] : parts
}
