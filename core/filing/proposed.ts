import type { ResourceKind } from '../library'
import { foldedName } from './checkFiling'
import type { Filing } from './types'

/** The word with which names of categories and headings for a kind of piece begin, as teachers write them. */
const STEM: Record<ResourceKind, string> = {
  reading: 'read',
  video: 'video',
  'worked-example': 'example',
  'practice-set': 'practi',
  check: 'check',
  test: 'test',
  'writing-task': 'writ',
  'word-list': 'word',
  'read-aloud': 'read',
  page: 'page',
  project: 'project',
  link: 'link',
  file: 'file',
}

/**
 * Under what work may be filed in a class: a heading that is called as its unit or its kind, a category that is called
 * as its kind. Empty where none fits.
 */
export function proposedFiling(
  { headings, categories }: Filing,
  of: { readonly kind: ResourceKind; readonly unit: string },
): { readonly heading: string; readonly category: string } {
  const unit = wordsOf(of.unit)
  const isForKind = (name: string) => wordsOf(name).some((word) => word.startsWith(STEM[of.kind]))
  const isForUnit = (name: string) => {
    const words = wordsOf(name)
    return holds(unit, words) || holds(words, unit)
  }
  return {
    heading: headings.find(isForUnit) ?? headings.find(isForKind) ?? '',
    category: categories.map((c) => c.name).find(isForKind) ?? '',
  }
}

const wordsOf = (text: string) => foldedName(text).match(/[\p{L}\p{N}]+/gu) ?? []

/** Whether some words, of which there is one at least, all stand among others. */
function holds(among: readonly string[], words: readonly string[]): boolean {
  return words.length > 0 && words.every((word) => among.includes(word))
}
