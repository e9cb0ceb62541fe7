import type { Parts } from '../combining'
import { foldedName } from './checkFiling'
import type { Filing } from './types'

/** Headings and categories one by one, by their names. */
export const FILING_PARTS: Parts<Filing> = {
  headings: { nameOf: foldedName },
  categories: { nameOf: (category) => foldedName(category.name) },
}
