import { wordsIn } from '#core/library'
import { paragraphsIn } from '#core/writing'
import type { Shortfall } from '#core/writing'
import { count } from '~/shared/words/numbers'

/** How long a text shall be; 0: nothing is said of it. */
export interface TextRange {
  readonly leastWords: number
  readonly mostWords: number
  readonly leastParagraphs: number
}

/** How long a text is, beside how long it shall be. */
export function sayLength(text: string, { leastWords, mostWords, leastParagraphs }: TextRange): string {
  const words = wordsIn(text)
  const paragraphs = paragraphsIn(text)
  const least = leastWords > 0 ? `at least ${leastWords}` : ''
  const most = mostWords > 0 ? `at most ${mostWords}` : ''
  const range = leastWords > 0 && mostWords > 0 ? `${leastWords} to ${mostWords}` : least || most
  const left = leastWords - words
  const over = mostWords > 0 ? words - mostWords : 0
  return [
    `${count(words, 'word')}${range ? ` of ${range}` : ''}`,
    ...(words > 0 && left > 0 ? [`${left} to go`] : []),
    ...(over > 0 ? [`${over} too many`] : []),
    ...(leastParagraphs > 0 ? [`${count(paragraphs, 'paragraph')} of at least ${leastParagraphs}`] : []),
  ].join(', ')
}

/** 'Question 2 has 12 words; it shall have at least 150.' */
export function sayShortfall(question: number, { of, has, least }: Shortfall): string {
  return `Question ${question} has ${count(has, of.slice(0, -1))}; it shall have at least ${least}.`
}
