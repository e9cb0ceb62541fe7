/** Figures of a text. `grade` is null for texts too short to say. */
export interface TextFigures {
  readonly words: number
  readonly sentences: number
  readonly paragraphs: number
  /** Words a sentence; 0 without any. */
  readonly sentenceLength: number
  /** Expected words that it uses, in any ending, as they were asked for. */
  readonly used: readonly string[]
  readonly missing: readonly string[]
  /** Reading grade by Flesch and Kincaid. */
  readonly grade: number | null
}

/** A reading grade of fewer words says nothing. */
const FEWEST_FOR_GRADE = 30

/**
 * Counts a text. The reading grade is 0.39 × words ÷ sentences + 11.8 × syllables ÷ words − 15.59
 * (Kincaid, Fishburne, Rogers and Chissom 1975), for English.
 * @param syllablesIn how many syllables a word has.
 */
export function figuresOf(
  text: string,
  expected: readonly string[],
  syllablesIn: (word: string) => number,
): TextFigures {
  const words = wordsOf(text)
  const sentences = sentencesIn(text)
  const sentenceLength = sentences === 0 ? 0 : words.length / sentences
  const isUsed = (word: string) => placesOf(text, word).length > 0
  return {
    words: words.length,
    sentences,
    paragraphs: paragraphsIn(text),
    sentenceLength,
    used: expected.filter(isUsed),
    missing: expected.filter((word) => !isUsed(word)),
    grade: words.length < FEWEST_FOR_GRADE ? null : gradeOf(words, sentenceLength, syllablesIn),
  }
}

function gradeOf(
  words: readonly string[],
  sentenceLength: number,
  syllablesIn: (word: string) => number,
): number {
  const syllables = words.reduce((sum, word) => sum + syllablesIn(word), 0)
  return 0.39 * sentenceLength + (11.8 * syllables) / words.length - 15.59
}

/** How many words a text has. */
export function countWords(text: string): number {
  return wordsOf(text).length
}

/** The words of a text: letters and digits, with apostrophes and hyphens inside. */
function wordsOf(text: string): readonly string[] {
  return text.match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu) ?? []
}

/** Sentences: what ends with a full stop, question or exclamation mark before a space or the end, and what is left. */
function sentencesIn(text: string): number {
  return text.split(/(?<=[.!?]["”’)]?)\s+|\n+/).filter((part) => wordsOf(part).length > 0).length
}

/** Paragraphs: runs of lines with words, parted by line breaks. */
export function paragraphsIn(text: string): number {
  return text.split(/\n+/).filter((part) => part.trim() !== '').length
}

/**
 * Where a text uses a word or words, in any of the common English endings: [start, end) of each place. The highlighting
 * of expected words and their count are the same thing.
 */
export function placesOf(text: string, expected: string): readonly (readonly [number, number])[] {
  const stem = expected.trim().replace(/(?<=\p{L}{3})(?:e|y)$/u, '')
  if (stem === '') return []
  const escaped = stem.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '\\s+')
  const ending =
    stem === expected.trim() ? '(?:s|es|ed|ing|er|ers|ly)?' : '(?:e|es|ed|ing|er|ers|y|ies|ied|ely|ly)'
  const pattern = new RegExp(`(?<![\\p{L}\\p{N}])${escaped}${ending}(?![\\p{L}\\p{N}])`, 'giu')
  return [...text.matchAll(pattern)].map((m) => [m.index, m.index + m[0].length] as const)
}
