import type { Option } from './fields'

/** What was typed and ticked in a form. */
export interface Typed {
  /** The text of a field, without spaces around it; empty where nothing was typed. */
  readonly text: (field: string) => string
  readonly options: readonly { readonly text: string; readonly right: boolean }[]
}

/** Parts of a text between signs, without those that are empty. */
export function partsOf(text: string, between: RegExp): readonly string[] {
  return text
    .split(between)
    .map((part) => part.trim())
    .filter((part) => part !== '')
}

/** Options of which something was typed, each with its letter. */
export function optionsTicked(typed: Typed): readonly Option[] {
  return lettered(typed).map(({ id, text }) => ({ id, text }))
}

/** The letters of options that were ticked as right. */
export function idsTicked(typed: Typed): readonly string[] {
  return lettered(typed)
    .filter((o) => o.right)
    .map((o) => o.id)
}

function lettered({ options }: Typed) {
  return options
    .map((o, i) => ({ id: 'abcdefghijkl'[i] ?? '', text: o.text.trim(), right: o.right }))
    .filter((o) => o.text !== '')
}
