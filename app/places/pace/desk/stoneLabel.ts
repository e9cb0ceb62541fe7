/** What a stone shows in the room it has. `isSmall`: in the small type of narrow stones. */
export interface StoneLabel {
  readonly number: string
  readonly hasTitle: boolean
  readonly isSmall: boolean
}

/** Widths in pixels, a little more than the widest digits and letters take in the desk's type. */
const CHAR = 7.2
const SMALL_CHAR = 5.4
/** What takes less or more than a digit. */
const RATIOS: Readonly<Record<string, number>> = { '.': 0.55, M: 1.5, W: 1.5 }
const EDGES = 12
/** At the ends of small type: as much as looks well, and as little as can be for the shortest label. */
const SMALL_EDGES = 8
const LEAST_EDGES = 4
const CAIRN = 12
/** Less than this of a title says nothing. */
const LEAST_TITLE = 34

/**
 * The longest label that fits whole: number and title, the number, the number without its letter, the same in small
 * type, nothing. A glyph is never cut; the whole text is in the stone's name for everybody.
 */
export function stoneLabel(number: string, widthPx: number, hasCairn: boolean): StoneLabel {
  const room = widthPx - EDGES - (hasCairn ? CAIRN : 0)
  const plain = number.replace(/^\D+(?=\d)/, '')
  const fits = (text: string) => charsOf(text) * CHAR <= room
  const hasTitle = charsOf(number) * CHAR + LEAST_TITLE <= room
  if (fits(number)) return { number, hasTitle, isSmall: false }
  if (fits(plain)) return { number: plain, hasTitle: false, isSmall: false }
  const fitsSmall = (text: string, edges: number) =>
    charsOf(text) * SMALL_CHAR <= widthPx - edges - (hasCairn ? CAIRN : 0)
  if (fitsSmall(number, SMALL_EDGES)) return { number, hasTitle: false, isSmall: true }
  return { number: fitsSmall(plain, LEAST_EDGES) ? plain : '', hasTitle: false, isSmall: true }
}

/** Its width in digits. */
export function charsOf(text: string): number {
  return [...text].reduce((sum, char) => sum + (RATIOS[char] ?? 1), 0)
}
