import type { FileId } from '../base'

/** What a file is, told by its content. */
export const FILE_SORTS = ['picture', 'document', 'sound', 'film', 'text'] as const
export type FileSort = (typeof FILE_SORTS)[number]

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
  return /^\/api\/files\/[A-Za-z0-9_-]{1,64}$/.test(address)
}

/** The kept files that a text shows as pictures. */
export function picturesIn(text: string): readonly FileId[] {
  const addresses = [...text.matchAll(PICTURE)].map(([, , within = '']) => within.trim().split(/\s/)[0] ?? '')
  const found = addresses.filter(isOfKeptFile)
  return [...new Set(found)].map((address) => address.slice(FILES_AT.length) as FileId)
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

/** A picture: its words, and its address with a title after it, if there is one. */
const PICTURE = /!\[([^\]\n]*)\]\(([^)\n]*)\)/g
