import { isId } from '../base'
import type { FileId } from '../base'

/** What a file is, told by its content. */
export const FILE_SORTS = ['picture', 'document', 'sound', 'film', 'text'] as const
export type FileSort = (typeof FILE_SORTS)[number]

/** What is kept, by media type; what else a file may be is not, whatever its name says. */
export const KEPT_TYPES: Readonly<Record<string, FileSort>> = {
  'image/png': 'picture',
  'image/jpeg': 'picture',
  'image/gif': 'picture',
  'image/webp': 'picture',
  'application/pdf': 'document',
  'application/vnd.openxmlformats-officedocument.wordprocessingml.document': 'document',
  'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet': 'document',
  'application/vnd.openxmlformats-officedocument.presentationml.presentation': 'document',
  'application/vnd.oasis.opendocument.text': 'document',
  'application/vnd.oasis.opendocument.spreadsheet': 'document',
  'application/vnd.oasis.opendocument.presentation': 'document',
  'audio/mpeg': 'sound',
  'audio/wav': 'sound',
  'audio/ogg': 'sound',
  'audio/mp4': 'sound',
  'audio/x-m4a': 'sound',
  'video/mp4': 'film',
  'video/webm': 'film',
}
/** Endings of plain texts, whose content says no more. */
export const TEXT_NAMES = ['.txt', '.md', '.csv'] as const
/** What may be chosen: media types, and endings where there is none. */
export const KEPT_NAMES: readonly string[] = [...Object.keys(KEPT_TYPES), ...TEXT_NAMES]

/** A file that is kept: a picture in a text, a sheet to print, what a learner hands in. */
export interface KeptFile {
  readonly id: FileId
  readonly name: string
  readonly sort: FileSort
  /** Its media type, such as `image/png`. */
  readonly type: string
  /** Its size in bytes. */
  readonly size: number
}

/** As large as one file may be, in bytes. */
export const MOST_KEPT_BYTES = 10_000_000
/** As many files as a piece has, and as a learner hands in for one. */
export const MOST_FILES = 10

/** Where a kept file is fetched. */
export function addressOf(id: FileId): string {
  return `${FILES_AT}${id}`
}
const FILES_AT = '/api/files/'

/** Whether an address is that of a kept file: no picture of a text comes from anywhere else. */
export function isOfKeptFile(address: string): boolean {
  return address.startsWith(FILES_AT) && isId(address.slice(FILES_AT.length))
}

/** The kept files that a text shows as pictures. */
export function picturesIn(text: string): readonly FileId[] {
  const addresses = [...text.matchAll(PICTURE)].map(([, , within = '']) => within.trim().split(/\s/)[0] ?? '')
  const found = addresses.filter(isOfKeptFile)
  return [...new Set(found)].map((address) => address.slice(FILES_AT.length) as FileId)
}

/** All texts of a piece in which a picture may stand. */
export function textsOf({ content, items }: Texts): readonly string[] {
  return [content, ...items.flatMap((i) => [i.stem, i.feedback, i.hint])]
}
interface Texts {
  readonly content: string
  readonly items: readonly { readonly stem: string; readonly feedback: string; readonly hint: string }[]
}

/** Whether a text has a picture that says nothing to who cannot see it. */
export function hasSilentPicture(text: string): boolean {
  return [...text.matchAll(PICTURE)].some(([, words = '']) => words.trim() === '')
}

/** A text whose pictures are gone but for their words, and how many there were. */
export function withoutPictures(text: string): { readonly text: string; readonly count: number } {
  const found = text.match(PICTURE)?.length ?? 0
  return { text: text.replace(PICTURE, (_, words: string) => words.trim()), count: found }
}

/**
 * A picture: its words, and its address with a title after it, if there is one. Neither holds the beginning of another
 * picture: a search from each of many would go on to the end of the text.
 */
const PICTURE = /!\[((?:(?!!\[)[^\]\n])*)\]\(((?:(?!!\[)[^)\n])*)\)/g
