import { strToU8, unzipSync, zipSync } from 'fflate'
import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import { damagedIn } from './zipEntries'
import { textOfBytes } from '../textBytes'

const MOST_FILES = 3000
const MOST_BYTES = 60_000_000
/** No more is unpacked of one file of a package. */
const MOST_IN_ONE = 10_000_000

/** The files of a package by their names. */
export type Files = ReadonlyMap<string, Uint8Array>

/** A name that stays within the package, whatever it is unpacked onto. */
function isSafe(name: string): boolean {
  const parts = name.split('/')
  return !name.startsWith('/') && !/[\\\u0000:]/.test(name) && !parts.includes('..')
}

/**
 * Unpacks a zip file whose files match. Refused when it is none, when a name leads out of it, and when it holds more
 * than may be unpacked, whatever sizes it states.
 */
export function unpack(bytes: Uint8Array, matches: (name: string) => boolean): Result<Files, FormatRefusal> {
  let count = 0
  let total = 0
  let largest = 0
  const unsafe: string[] = []
  const encrypted = damagedIn(bytes, {})
  if (encrypted) return refuse({ code: 'formats/damaged-package', field: 'file', ...encrypted })
  const isTooMuch = () => count > MOST_FILES || total > MOST_BYTES || largest > MOST_IN_ONE
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        count++
        total += originalSize
        largest = Math.max(largest, originalSize)
        if (!isSafe(name)) unsafe.push(name)
        return !isTooMuch() && unsafe.length === 0 && !name.endsWith('/') && matches(name)
      },
    })
    const damaged = damagedIn(bytes, files)
    if (damaged) return refuse({ code: 'formats/damaged-package', field: 'file', ...damaged })
    const [name] = unsafe
    if (name !== undefined) return refuse({ code: 'formats/unsafe-package', field: 'file', name })
    const real = Object.values(files).reduce((sum, file) => sum + file.length, 0)
    if (isTooMuch() || real > MOST_BYTES) return refuse({ code: 'formats/package-too-large', field: 'file' })
    return ok(new Map(Object.entries(files)))
  } catch {
    return refuse({ code: 'formats/not-a-package', field: 'file' })
  }
}

/** Packs texts into a zip file; the same texts give the same bytes. */
export function pack(files: Readonly<Record<string, string>>): Uint8Array {
  const entries = Object.entries(files).map(([name, text]) => [name, strToU8(text)] as const)
  return zipSync(Object.fromEntries(entries), { level: 6, mtime: '1990-01-02T00:00:00' })
}

const NOT_TEXT = { code: 'formats/not-text', field: 'text' } as const

/** Bytes as text, whatever encoding they are in. Refused when they are none. */
export function textOf(bytes: Uint8Array): Result<string, FormatRefusal> {
  const text = textOfBytes(bytes)
  return text.includes('\u0000') ? refuse(NOT_TEXT) : ok(text)
}

/** XML as text: in the encoding that its first line declares, else in UTF-8, or UTF-16 where its mark says so. */
export function textOfXml(bytes: Uint8Array): Result<string, FormatRefusal> {
  const [a, b] = bytes
  const wide = a === 0xff && b === 0xfe ? 'utf-16le' : a === 0xfe && b === 0xff ? 'utf-16be' : 'utf-8'
  try {
    return ok(new TextDecoder(declaredEncoding(bytes) ?? wide, { fatal: true }).decode(bytes))
  } catch {
    return refuse(NOT_TEXT)
  }
}

/** The encoding that the first line of XML declares, where it is none of the usual ones. */
function declaredEncoding(bytes: Uint8Array): string | null {
  const start = String.fromCharCode(...bytes.subarray(0, 100))
  const [, name = ''] =
    /^(?:\u00EF\u00BB\u00BF)?<\?xml[^>]{0,60}encoding=["']([\w-]{1,30})["']/.exec(start) ?? []
  return name === '' || /^utf-?(?:8|16)$/i.test(name) ? null : name
}
