import { readAs } from './readAs'
import type { Mark } from './types'

/** Where a mark lies in the text as it is read: from `start` to before `end`. */
export interface PlacedMark {
  readonly mark: Mark
  readonly start: number
  readonly end: number
}

/** Marks found in a text, those whose words are not there, and pairs that lie over each other. */
export interface Placing {
  readonly placed: readonly PlacedMark[]
  readonly gone: readonly Mark[]
  readonly overlapping: readonly (readonly [Mark, Mark])[]
}

/** Finds marks in a Markdown text. Those that lie over an earlier one are named and not placed. */
export function placeMarks(markdown: string, marks: readonly Mark[]): Placing {
  const text = readAs(markdown)
  const gone: Mark[] = []
  const found: PlacedMark[] = []
  for (const mark of marks) {
    const start = nthIndexOf(text, mark)
    if (start < 0) gone.push(mark)
    else found.push({ mark, start, end: start + mark.quote.length })
  }
  const placed: PlacedMark[] = []
  const overlapping: (readonly [Mark, Mark])[] = []
  for (const one of [...found].sort((a, b) => a.start - b.start || b.end - a.end)) {
    const before = placed.at(-1)
    if (before && one.start < before.end) overlapping.push([before.mark, one.mark])
    else placed.push(one)
  }
  return { placed, gone, overlapping }
}

/** Where a mark's words stand in a text; -1: not so often, or not at all. */
function nthIndexOf(text: string, { quote, nth }: Mark): number {
  if (quote === '' || nth < 1) return -1
  let at = -1
  for (let i = 0; i < nth; i++) {
    at = text.indexOf(quote, at + 1)
    if (at < 0) return -1
  }
  return at
}

/**
 * The mark for words that were selected in the text as it is read; null when they are not in it, or run over the end of
 * a block.
 * @param before what is read before them, in whatever spacing.
 */
export function markOf(
  markdown: string,
  selected: { readonly before: string; readonly words: string },
  sort: string,
): Mark | null {
  const text = readAs(markdown)
  const quote = spaced(selected.words)
  if (quote === '' || !text.includes(quote)) return null
  const before = withoutSpaces(selected.before)
  let nth = 0
  for (let at = text.indexOf(quote); at >= 0; at = text.indexOf(quote, at + 1)) {
    nth++
    if (withoutSpaces(text.slice(0, at)).length >= before.length) return { sort, quote, nth }
  }
  return nth > 0 ? { sort, quote, nth } : null
}

const spaced = (words: string) => words.replace(/[ \t\u00a0]+/g, ' ').trim()
const withoutSpaces = (text: string) => text.replace(/\s/g, '')

/** The nearest words of a changed text to those that a mark lay on; null when nothing is like them. */
export function mendedMark(markdown: string, mark: Mark): Mark | null {
  const text = readAs(markdown)
  const wanted = wordsOf(mark.quote)
  const blocks = text.split('\n').map((block) => block.split(' '))
  let best: { readonly quote: string; readonly likeness: number } | null = null
  for (const words of blocks) {
    for (let from = 0; from < words.length; from++) {
      for (let count = Math.max(1, wanted.length - 2); count <= wanted.length + 2; count++) {
        const run = words.slice(from, from + count)
        if (run.length < count) break
        const likeness = alike(wanted, wordsOf(run.join(' ')))
        if (likeness >= LIKE_ENOUGH && likeness > (best?.likeness ?? 0))
          best = { quote: run.join(' '), likeness }
      }
    }
  }
  return best && { sort: mark.sort, quote: withoutStop(best.quote), nth: 1 }
}
/** Words without what ends a sentence after them. */
function withoutStop(words: string): string {
  let end = words.length
  while (end > 0 && '.,;:!?'.includes(words.charAt(end - 1))) end--
  return words.slice(0, end)
}
const LIKE_ENOUGH = 0.5

const wordsOf = (text: string) => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []

/** The share of words that two runs have in common (Dice's coefficient over words). */
function alike(a: readonly string[], b: readonly string[]): number {
  if (a.length + b.length === 0) return 0
  const left = [...b]
  let common = 0
  for (const word of a) {
    const at = left.indexOf(word)
    if (at < 0) continue
    common++
    left.splice(at, 1)
  }
  return (2 * common) / (a.length + b.length)
}
