import { asId } from '../base'
import type { ItemId, ResourceId } from '../base'
import { NO_MATERIAL } from '../library'
import type { Item, Resource } from '../library'
import type { Mark } from './types'

/** For tests: a piece with what matters to them. */
export function aPiece(part: Pick<Resource, 'content' | 'items'>): Resource {
  return {
    id: asId<ResourceId>('piece'),
    code: 'piece1',
    title: 'A piece',
    kind: 'reading',
    role: 'core',
    minutes: 10,
    grade: 7,
    language: 'en',
    readingLevel: null,
    standards: [],
    material: NO_MATERIAL,
    ...part,
  }
}

/** For tests: a question on a standard. */
export function aQuestion(id: string, standard: string | null): Item {
  return {
    id: asId<ItemId>(id),
    kind: 'text',
    stem: `Question ${id}`,
    points: 1,
    standard,
    difficulty: 2,
    feedback: '',
    hint: '',
    accepted: ['yes'],
  } as Item
}

/** For tests: marked words. */
export function aMark(sort: string, quote: string, nth = 1): Mark {
  return { sort, quote, nth }
}
