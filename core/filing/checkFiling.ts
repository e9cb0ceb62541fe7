import { ok, refuse } from '../base'
import type { Result } from '../base'
import type { FilingRefusal } from './refusals'
import { MOST_CATEGORIES, MOST_CEILING, MOST_HEADINGS, MOST_WEIGHT } from './types'
import type { Filing } from './types'

/** Accepts headings and categories with names that differ and weights that are sensible, or names the first fault. */
export function checkFiling(filing: Filing): Result<Filing, FilingRefusal> {
  const { headings, categories } = filing
  const fault =
    faultInNames('headings', headings, MOST_HEADINGS) ??
    faultInNames(
      'categories',
      categories.map((c) => c.name),
      MOST_CATEGORIES,
    )
  if (fault) return refuse(fault)
  const weight = categories.find((c) => !(c.weight >= 0 && c.weight <= MOST_WEIGHT))
  if (weight) return refuse({ code: 'filing/bad-weight', field: 'categories', name: weight.name })
  const ceiling = categories.find((c) => !isCeiling(c.most))
  return ceiling
    ? refuse({ code: 'filing/bad-ceiling', field: 'categories', name: ceiling.name })
    : ok(filing)
}

/** A ceiling of none would let nobody have anything. */
function isCeiling(most: number | null): boolean {
  return most === null || (Number.isInteger(most) && most >= 1 && most <= MOST_CEILING)
}

function faultInNames(
  field: 'headings' | 'categories',
  names: readonly string[],
  most: number,
): FilingRefusal | null {
  const count = names.length
  if (count > most) return { code: 'filing/too-many', field, count, most }
  const empty = names.findIndex((n) => n.trim() === '')
  if (empty >= 0) return { code: 'filing/no-name', field, row: empty + 1 }
  const folded = names.map(foldedName)
  const twice = names.find((_, i) => folded.indexOf(folded[i] ?? '') !== i)
  return twice === undefined ? null : { code: 'filing/name-twice', field, name: twice }
}

/** Names that differ in case or in spaces around them are the same name. */
export function foldedName(name: string): string {
  return name.trim().toLocaleLowerCase('en')
}
