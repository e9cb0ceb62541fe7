import type { Option } from './fields'
import type { ItemFault } from './kind'

/** The first fault in a list of options and the ids that are right among them. */
export function checkOptions(options: readonly Option[], right: readonly string[]): ItemFault | null {
  const texts = options.map((o) => o.text.trim().toLowerCase())
  if (texts.length < 2 || texts.includes('')) return { code: 'library/too-few-options', field: 'options' }
  if (new Set(texts).size !== texts.length) return { code: 'library/same-option-twice', field: 'options' }
  if (new Set(right).size !== right.length) return { code: 'library/right-answer-twice', field: 'right' }
  const known = options.map((o) => o.id)
  const isRight = right.length > 0 && right.every((id) => known.includes(id))
  return isRight ? null : { code: 'library/no-right-answer', field: 'right' }
}

/** Whether every id chosen is an option, and none is chosen twice. */
export function areOptions(options: readonly Option[], chosen: readonly string[]): boolean {
  const known = new Set(options.map((o) => o.id))
  return chosen.every((id) => known.has(id)) && new Set(chosen).size === chosen.length
}

/** The texts of options by id. */
export function textsOf(options: readonly Option[], ids: readonly string[]): string {
  return options
    .filter((o) => ids.includes(o.id))
    .map((o) => o.text)
    .join('; ')
}

/** The text of one option; empty when there is none of that id. */
export function textOf(options: readonly Option[], id: string): string {
  return options.find((o) => o.id === id)?.text ?? ''
}
