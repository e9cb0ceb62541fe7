import { NO_MATERIAL } from '../../library'
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
