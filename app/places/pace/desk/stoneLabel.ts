/** What a stone shows in the room it has. `isTight`: its letters closer together, as on narrow stones. */
export interface StoneLabel {
  readonly number: string
  readonly hasTitle: boolean
  readonly isTight: boolean
}

/** Widths in pixels at 16 to the root, a little more than the widest digits and letters take in the desk's type. */
const CHAR = 8.2
const TIGHT_CHAR = 7.6
/** What takes less or more than a digit. */
const RATIOS: Readonly<Record<string, number>> = { '.': 0.42, M: 1.42, W: 1.42 }
const EDGES = 12
/** At the ends of tight letters: as much as looks well, and as little as can be for the shortest label. */
const TIGHT_EDGES = 8
const LEAST_EDGES = 5
const CAIRN = 12
/** Less than this of a title says nothing. */
const LEAST_TITLE = 38
/** With its gap a stone of half a meeting can still be hit. */
const LEAST_HALF = 26

/**
 * The longest label that fits whole: number and title, the number, the number without its letter, the same with
 * tight letters, nothing. A glyph is never cut; the whole text is in the stone's name for everybody.
 */
export function stoneLabel(number: string, widthPx: number, hasCairn: boolean): StoneLabel {
  const room = widthPx - EDGES - (hasCairn ? CAIRN : 0)
  const plain = plainOf(number)
  const fits = (text: string) => charsOf(text) * CHAR <= room
  const hasTitle = charsOf(number) * CHAR + LEAST_TITLE <= room
  if (fits(number)) return { number, hasTitle, isTight: false }
  if (fits(plain)) return { number: plain, hasTitle: false, isTight: false }
  const fitsTight = (text: string, edges: number) =>
    charsOf(text) * TIGHT_CHAR <= widthPx - edges - (hasCairn ? CAIRN : 0)
  if (fitsTight(number, TIGHT_EDGES)) return { number, hasTitle: false, isTight: true }
  return { number: fitsTight(plain, LEAST_EDGES) ? plain : '', hasTitle: false, isTight: true }
}

/** The number without its letter. */
const plainOf = (number: string) => number.replace(/^\D+(?=\d)/, '')

/** The least width in pixels of half a meeting at which each of the numbers can still be shown. */
export function leastHalf(numbers: readonly string[]): number {
  const widths = numbers.map((number) => Math.ceil(charsOf(plainOf(number)) * TIGHT_CHAR) + LEAST_EDGES)
  return Math.max(LEAST_HALF, ...widths)
}

/** Its width in digits. */
export function charsOf(text: string): number {
  return [...text].reduce((sum, char) => sum + (RATIOS[char] ?? 1), 0)
}
