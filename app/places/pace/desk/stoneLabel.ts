/** What a stone shows in the room it has. `isSmall`: in the small type of narrow stones. */
export interface StoneLabel {
  readonly number: string
  readonly hasTitle: boolean
  readonly isSmall: boolean
}

/** Widths in pixels, a little more than the widest digits and letters take in the desk's type. */
const CHAR = 7.2
const SMALL_CHAR = 5.6
const EDGES = 12
const SMALL_EDGES = 6
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
  const fits = (text: string) => text.length * CHAR <= room
  const hasTitle = number.length * CHAR + LEAST_TITLE <= room
  if (fits(number)) return { number, hasTitle, isSmall: false }
  if (fits(plain)) return { number: plain, hasTitle: false, isSmall: false }
  const smallRoom = widthPx - SMALL_EDGES - (hasCairn ? CAIRN : 0)
  const small = [number, plain].find((text) => text.length * SMALL_CHAR <= smallRoom)
  return { number: small ?? '', hasTitle: false, isSmall: true }
}
