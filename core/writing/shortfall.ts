import { countWords, paragraphsIn } from './figuresOf'

/** How long a text shall be; 0: nothing is said of it. */
interface LeastLength {
  readonly leastWords: number
  readonly leastParagraphs: number
}

/** What a text has, and what it shall have at least. */
export interface Shortfall {
  readonly of: 'words' | 'paragraphs'
  readonly has: number
  readonly least: number
}

/** Below this share of what it shall have at least, a text is far too short. */
const FAR_BELOW = 0.5

/** How far too short a text is, by its words or else by its paragraphs; null: it is not, or nothing is said. */
export function shortfallOf(text: string, { leastWords, leastParagraphs }: LeastLength): Shortfall | null {
  const words = countWords(text)
  if (words < leastWords * FAR_BELOW) return { of: 'words', has: words, least: leastWords }
  const paragraphs = paragraphsIn(text)
  const isShort = paragraphs < leastParagraphs * FAR_BELOW
  return isShort ? { of: 'paragraphs', has: paragraphs, least: leastParagraphs } : null
}
