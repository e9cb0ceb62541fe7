import { NO_MATERIAL } from '../../library'
import type { Item } from '../../library'
import type { ReadPiece } from './types'

/** A piece of which only some things are known. Its code is made when it is taken over. */
export function plainPiece(part: Partial<ReadPiece> & Pick<ReadPiece, 'title' | 'kind'>): ReadPiece {
  const items = part.items ?? []
  return {
    code: '',
    role: 'core',
    minutes: Math.max(5, Math.min(300, Math.round(items.length * 1.5))),
    grade: 8,
    language: 'en',
    readingLevel: null,
    standards: [...new Set(items.flatMap((i) => i.standard ?? []))],
    content: '',
    material: NO_MATERIAL,
    ...part,
    title: part.title.slice(0, 120),
    items,
  }
}

/** As many questions as a piece has. */
const MOST_ITEMS = 100

/** Questions as one piece, or as several where they are more than one has. */
export function piecesOfItems(
  part: Partial<ReadPiece> & Pick<ReadPiece, 'title' | 'kind'>,
  items: readonly Item[],
): readonly ReadPiece[] {
  const parts = Math.ceil(items.length / MOST_ITEMS)
  return Array.from({ length: parts }, (_, i) =>
    plainPiece({
      ...part,
      title: parts === 1 ? part.title : `${part.title.slice(0, 100)}, part ${i + 1}`,
      items: items.slice(i * MOST_ITEMS, (i + 1) * MOST_ITEMS),
    }),
  )
}

/** As long as the text of a piece may be. */
export const LONGEST_TEXT = 40_000
/** Words that are read in a minute, roughly. */
const A_MINUTE = 120

/** A text to be read, with the time that it takes. */
export function plainReading(part: Partial<ReadPiece> & Pick<ReadPiece, 'title' | 'content'>): ReadPiece {
  const words = part.content.split(/\s+/).length
  const minutes = Math.min(300, Math.max(1, Math.round(words / A_MINUTE)))
  return plainPiece({ kind: 'reading', minutes, ...part })
}
