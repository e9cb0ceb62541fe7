import type { Parts } from '../combining'
import type { ClassShelf } from './search'
import type { Resource } from './types'

/** What is written of a piece. */
export type WrittenPiece = Omit<Resource, 'id'>

/** Questions and standards one by one, the material field by field. */
export const PIECE_PARTS: Parts<WrittenPiece> = {
  code: 'whole',
  title: 'whole',
  kind: 'whole',
  role: 'whole',
  minutes: 'whole',
  grade: 'whole',
  language: 'whole',
  readingLevel: 'whole',
  standards: { nameOf: (code) => code },
  content: 'whole',
  material: 'fields',
  items: { nameOf: (item) => item.id },
}

/** Textbooks one by one, each facet of the narrowing by itself. */
export const CLASS_SHELF_PARTS: Parts<ClassShelf> = {
  bookIds: { nameOf: (id) => id },
  filter: 'fields',
}
