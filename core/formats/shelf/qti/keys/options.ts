import type { Option } from '../../../../library'
import type { Shortfall } from '../../types'
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
  const named = elements.map((of) => ({ name: of.attributes.identifier ?? '', text: wordsOf(of) }))
  return namedOptions(named, first)
}

/** The same for options whose words were read already. */
export function namedOptions(
  named: readonly { readonly name: string; readonly text: string }[],
  first = 'a',
): NamedOptions | Shortfall {
  if (named.length > MOST) return { code: 'too-many-options', count: named.length, most: MOST }
  const ids = new Map<string, string>()
  const outside = new Map<string, string>()
  const options: Option[] = []
  for (const [i, { name, text }] of named.entries()) {
    if (ids.has(name)) return { code: 'name-twice', name }
    const id = String.fromCharCode(first.charCodeAt(0) + i)
    ids.set(name, id)
    outside.set(id, name)
    options.push({ id, text: text.slice(0, 500) })
  }
  return { options, ids, outside }
}

/** The text of an option without its feedback. */
export function wordsOf(element: Xml): string {
  return markdownOf(without(element, (e) => e.name === 'feedbackinline' || e.name === 'feedbackblock'))
}
