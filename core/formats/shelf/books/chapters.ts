import { textOf } from '../archive'
import type { Files } from '../archive'
import { toMarkdown } from '../html'
import type { PageText } from '../html'
import type { Shortfall } from '../types'
import { placeAddress } from './innerLinks'
import { folderOf, placeOf } from './path'

/** Text of a line of the navigation. */
export interface Chapter extends PageText {
  /** Why its file, or one of its files, could not be read. */
  readonly unread: readonly Shortfall[]
}
const EMPTY: Chapter = { text: '', pictures: 0, cut: 0, unread: [] }
interface Place {
  readonly path: string | null
  /** The element's id at which it begins; empty: at the top of the file. */
  readonly at: string
}

/** Letters that no text has: they mark in a page where a chapter begins. */
const [OPEN, CLOSE] = ['\uE0F0', '\uE0F1']

/**
 * The text from each place to the next one, in reading order; files without a place of their own go on with the text
 * before them. `outside`: files before the first place, which belong to none.
 */
export function cutAt<P extends Place>(
  files: Files,
  spine: readonly string[],
  places: readonly P[],
): { readonly of: ReadonlyMap<P, Chapter>; readonly outside: readonly string[] } {
  const texts = new Map<P, Chapter>()
  const outside: string[] = []
  const named = places.flatMap((p) => p.path ?? [])
  let current: P | null = null
  const add = (part: Chapter) => {
    if (!current) return
    const before: Chapter = texts.get(current) ?? EMPTY
    const text = `${before.text}\n\n${part.text}`.trim()
    texts.set(current, {
      text,
      pictures: before.pictures + part.pictures,
      cut: before.cut + part.cut,
      unread: [...before.unread, ...part.unread],
    })
  }
  for (const path of new Set([...spine, ...named])) {
    const here = places.filter((p) => p.path === path)
    const page = pageOf(files, path, here)
    current = here.find((p) => !page.begins.includes(p)) ?? current
    if (!current && page.text !== '') outside.push(path)
    const [first = '', ...rest] = page.text.split(OPEN)
    add({ ...page, text: first.trim() })
    for (const part of rest) {
      const [number = '', ...text] = part.split(CLOSE)
      current = page.begins[Number(number)] ?? current
      add({ ...EMPTY, text: text.join('').trim() })
    }
  }
  return { of: texts, outside }
}

/** A file's text with marks where places begin that were found in it. */
function pageOf<P extends Place>(
  files: Files,
  path: string,
  here: readonly P[],
): Chapter & { readonly begins: readonly P[] } {
  const bytes = files.get(path)
  const read = bytes ? textOf(bytes) : null
  let source = read?.ok ? read.value.replaceAll(OPEN, '').replaceAll(CLOSE, '') : ''
  const begins: P[] = []
  for (const place of here) {
    const at = place.at === '' ? -1 : startOf(source, place.at)
    if (at < 0) continue
    source = `${source.slice(0, at)}<p>${OPEN}${begins.length}${CLOSE}</p>${source.slice(at)}`
    begins.push(place)
  }
  const page = toMarkdown(source, linksFrom(path))
  if (page) return { ...page, unread: bytes ? [] : [{ code: 'file-missing', problem: path }], begins }
  // too deep or too long: it is left out alone
  return { ...EMPTY, unread: [{ code: 'not-readable', problem: path }], begins: [] }
}

/** What of a page is not taken over. */
export function leftOutOf(page: PageText): readonly Shortfall[] {
  return [
    ...(page.pictures > 0 ? [{ code: 'picture-left-out', count: page.pictures } as const] : []),
    ...(page.cut > 0 ? [{ code: 'could-run', count: page.cut } as const] : []),
  ]
}

/** Links of a page to other places of its package. */
export function linksFrom(path: string) {
  return (href: string): string | null => {
    const [, ofPackage] = /^(?:\$IMS-CC-FILEBASE\$|%24IMS-CC-FILEBASE%24)\/?(.*)$/.exec(href) ?? []
    if (ofPackage !== undefined) return placeAddress(placeOf('', ofPackage))
    if (/^[a-z][a-z0-9+.-]*:/i.test(href) || href.startsWith('//')) return null
    return placeAddress(placeOf(href.startsWith('#') ? path : folderOf(path), href))
  }
}

/** Where the element of an id begins; below 0: there is none. */
function startOf(source: string, id: string): number {
  const quoted = [`"${id}"`, `'${id}'`]
  const found = quoted.flatMap((q) => {
    const at = source.search(new RegExp(`\\sid\\s*=\\s*${escaped(q)}`))
    return at < 0 ? [] : [at]
  })
  return found.length === 0 ? -1 : source.lastIndexOf('<', Math.min(...found))
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
