import type { ChangedBy } from '#core/access'
import type { Clash } from '#core/combining'
import { sayList } from '~/shared/words/lists'

/** A part of a value, or a field or an entry in it. */
export type Place<Value> = Pick<Clash<Value>, 'part' | 'name'>

/** How the parts of a value are named, and what stands in them. */
export interface PartWords<Value> {
  /** 'Due', 'Boat crew'; `value` is what stands there, or, where it was taken out, what stood there. */
  readonly label: (place: Place<Value>, value: unknown) => string
  /** What stands there, as a teacher would say it; undefined: it is not there. */
  readonly value: (place: Place<Value>, value: unknown) => string
}

/** What something is called of which two people have different values. */
export function labelOf<Value>({ label }: PartWords<Value>, clash: Clash<Value>): string {
  return label(clash, clash.theirs ?? clash.mine)
}

/** One thing that two people made different, in words. */
export interface ClashRow {
  readonly id: string
  readonly label: string
  readonly mine: string
  readonly theirs: string
}

/** 'Tomasz Zielinski', 'you in another window', 'somebody else'. */
export function sayWho(by: ChangedBy | null): string {
  if (!by) return 'somebody else'
  return by.isSelf ? 'you in another window' : by.name
}

/** What stands in a part that is plain: text, a number, yes or no, or a list of them. */
export function sayPlain(value: unknown): string {
  if (value === undefined) return 'taken out'
  if (value === null) return 'none'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) return sayList(value.map(sayPlain)) || 'none'
  return String(value).trim() || 'empty'
}

/** A sentence's beginning. */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1)
}
