import type { Option } from '../../../../library'
import type { Shortfall } from '../../types'
import { isElement } from '../../xml'
import type { Xml } from '../../xml'
import { markdownOf, without } from '../text'

/** As many options as an item has here. */
const MOST = 12

export interface NamedOptions {
  /** Under names of ours, from a letter on. */
  readonly options: readonly Option[]
  /** Our name by theirs, and the other way round. */
  readonly ids: ReadonlyMap<string, string>
  readonly outside: ReadonlyMap<string, string>
}

/** Options of an interaction; feedback within them is none of their text. Two of one name, or too many, are a fault. */
export function optionsOf(elements: readonly Xml[], first = 'a'): NamedOptions | Shortfall {
  if (elements.length > MOST) return { code: 'too-many-options', count: elements.length, most: MOST }
  const ids = new Map<string, string>()
  const outside = new Map<string, string>()
  const options: Option[] = []
  for (const [i, element] of elements.entries()) {
    const name = element.attributes.identifier ?? ''
    if (ids.has(name)) return { code: 'name-twice', name }
    const id = String.fromCharCode(first.charCodeAt(0) + i)
    ids.set(name, id)
    outside.set(id, name)
    options.push({ id, text: wordsOf(element).slice(0, 500) })
  }
  return { options, ids, outside }
}

/** The text of an option without its feedback. */
export function wordsOf(element: Xml): string {
  return markdownOf(without(element, (e) => e.name === 'feedbackinline' || e.name === 'feedbackblock'))
}

/** Options of which one text is another's too would be no choice; asked by `checkOptions` of the item. */
export const childrenNamed = (of: Xml, name: string) =>
  of.children.filter(isElement).filter((child) => child.name === name)
