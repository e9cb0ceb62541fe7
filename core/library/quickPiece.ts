import type { KeptFile } from './files'
import { NO_MATERIAL } from './types'
import type { Resource } from './types'
import { isWebAddress } from './webAddress'

const MINUTES = 20
const MOST_TITLE = 120

/**
 * A piece made of one line: an address becomes a link, called by its place; anything else, such as pages of a book, is
 * what learners are to do and say when they have done it. Null: nothing is typed.
 * @example quickPiece('p. 84, 1 to 9', { grade: 8 }) is a reading of that name.
 */
export function quickPiece(typed: string, { grade }: Pick<Resource, 'grade'>): Omit<Resource, 'id'> | null {
  const line = typed.trim()
  if (line === '') return null
  const isLink = isWebAddress(line)
  const title = isLink ? nameOfPlace(line) : line
  return {
    ...plain(title, grade),
    kind: isLink ? 'link' : 'reading',
    content: isLink ? '' : line,
    material: isLink ? { ...NO_MATERIAL, link: line } : NO_MATERIAL,
  }
}

/** A piece made of one file that is kept, called by its name. */
export function quickFile(file: KeptFile, { grade }: Pick<Resource, 'grade'>): Omit<Resource, 'id'> {
  return {
    ...plain(readable(file.name) || file.name, grade),
    kind: 'file',
    content: '',
    material: { ...NO_MATERIAL, files: [file] },
  }
}

function plain(title: string, grade: number) {
  return {
    title: title.slice(0, MOST_TITLE),
    code: '',
    role: 'core' as const,
    minutes: MINUTES,
    grade,
    language: 'en',
    readingLevel: null,
    standards: [],
    items: [],
  }
}

/** Host and last part of an address, such as 'museum.example: tides'. */
function nameOfPlace(address: string): string {
  const { hostname, pathname } = new URL(address)
  const host = hostname.replace(/^www\./, '')
  const [last] = pathname.split('/').filter(Boolean).slice(-1)
  return last ? `${host}: ${readable(last)}` : host
}

function readable(part: string): string {
  const words = part.replace(/\.\w{1,5}$/, '').replace(/[-_+]+/g, ' ')
  try {
    return decodeURIComponent(words)
  } catch {
    return words
  }
}
