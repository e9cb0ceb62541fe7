import { groupBy } from '../base'
import { foldedName } from './checkFiling'

/** What is filed under a heading; no heading is an empty one. */
export interface UnderHeading<T> {
  readonly heading: string
  readonly list: readonly T[]
}

/**
 * Things under their headings, each list in the order given: what has none first, then as the class has them, others
 * after these by name. Spellings that differ in case or in spaces around them are one heading.
 */
export function byHeading<T>(
  things: readonly T[],
  headingOf: (thing: T) => string,
  headings: readonly string[],
): readonly UnderHeading<T>[] {
  const places = new Map(headings.map((h, i) => [foldedName(h), i]))
  const placeOf = (heading: string) =>
    heading === '' ? -1 : (places.get(foldedName(heading)) ?? places.size)
  return [...groupBy(things, (thing) => foldedName(headingOf(thing))).values()]
    .map((list) => ({ heading: list[0] === undefined ? '' : headingOf(list[0]).trim(), list }))
    .sort((a, b) => placeOf(a.heading) - placeOf(b.heading) || a.heading.localeCompare(b.heading))
}
