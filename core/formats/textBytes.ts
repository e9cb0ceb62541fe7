import { analyse } from 'chardet'

/** Below this a guess is worth less than the encoding that spreadsheets use in most of our schools. */
const LEAST_CONFIDENCE = 15
const USUAL = 'windows-1252'
/** Frequencies of so many bytes say enough. */
const MOST_LOOKED_AT = 50_000
/** Valid UTF-8 is known before anybody guesses. */
const KNOWN = ['UTF-8', 'ASCII']

/**
 * A file's bytes as text: by its byte order mark, else as UTF-8 where they are that, else in the encoding that
 * their frequencies point to.
 */
export function textOfBytes(given: Uint8Array): string {
  const bytes = isCalendar(given) ? unfolded(given) : given
  const wide = wideEncoding(bytes)
  if (wide !== null) return new TextDecoder(wide).decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return decoded(bytes, encodingOf(bytes))
  }
}

function isCalendar(bytes: Uint8Array): boolean {
  return /^(?:\u00EF\u00BB\u00BF)?BEGIN:VCALENDAR/i.test(String.fromCharCode(...bytes.subarray(0, 20)))
}

/** Lines of a calendar put together before letters are made of bytes: they may be folded within one (RFC 5545, 3.1). */
function unfolded(bytes: Uint8Array): Uint8Array {
  const [CR, LF, SPACE, TAB] = [0x0d, 0x0a, 0x20, 0x09]
  const kept = new Uint8Array(bytes.length)
  let length = 0
  for (let at = 0; at < bytes.length; at++) {
    const end = bytes[at] === CR && bytes[at + 1] === LF ? at + 2 : bytes[at] === LF ? at + 1 : 0
    const isFold = end > 0 && (bytes[end] === SPACE || bytes[end] === TAB)
    if (isFold) at = end
    else kept[length++] = bytes[at] ?? 0
  }
  return kept.subarray(0, length)
}

/** UTF-16, told by its mark, or by the empty halves of plain letters. */
function wideEncoding(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le'
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be'
  const sample = bytes.subarray(0, 2000)
  const empty = [0, 0]
  for (const [i, byte] of sample.entries()) if (byte === 0) empty[i % 2] = (empty[i % 2] ?? 0) + 1
  const most = Math.max(1, sample.length / 4)
  if ((empty[1] ?? 0) > most && empty[0] === 0) return 'utf-16le'
  return (empty[0] ?? 0) > most && empty[1] === 0 ? 'utf-16be' : null
}

/** The encoding that the frequencies of a file's bytes point to. */
export function encodingOf(bytes: Uint8Array): string {
  const guess = analyse(bytes.subarray(0, MOST_LOOKED_AT)).find(
    (m) => !KNOWN.includes(m.name) && m.confidence >= LEAST_CONFIDENCE,
  )
  return guess?.name ?? USUAL
}

function decoded(bytes: Uint8Array, encoding: string): string {
  try {
    return plain(new TextDecoder(encoding).decode(bytes), encoding)
  } catch {
    return plain(new TextDecoder(USUAL).decode(bytes), USUAL)
  }
}

/** What stands at 0x80 to 0x9F there: some decoders give control signs for it. */
const QUOTES = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ'

function plain(text: string, encoding: string): string {
  if (!/^(?:windows-1252|iso-8859-1)$/i.test(encoding)) return text
  return text.replace(/[\u0080-\u009f]/g, (sign) => QUOTES.charAt(sign.charCodeAt(0) - 0x80))
}
