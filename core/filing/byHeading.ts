import { foldedName } from './checkFiling'

/**
 * The order in which headings are found: what has none first, then as the class has them, others after these by name.
 */
export function byHeading(headings: readonly string[]): (a: string, b: string) => number {
  const placeIn = new Map(headings.map((h, i) => [foldedName(h), i]))
  const placeOf = (heading: string) => {
    if (heading.trim() === '') return -1
    return placeIn.get(foldedName(heading)) ?? headings.length
  }
  return (a, b) => placeOf(a) - placeOf(b) || a.localeCompare(b)
}
