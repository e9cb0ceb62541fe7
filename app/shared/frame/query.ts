import { isId, parseIsoDay } from '#core/base'
import type { IsoDay } from '#core/base'

/** What stands behind the path of an address, as the router has it. */
export type Query = Readonly<Record<string, unknown>>
/** Values by name; null or undefined: none. */
export type Values = Readonly<Record<string, string | null | undefined>>

/** Null where the name does not stand; empty where it stands with nothing behind it, such as nobody chosen. */
export function textIn(query: Query, name: string): string | null {
  const value = query[name]
  return typeof value === 'string' ? value : null
}

/** Null where there is nothing that can be an id. */
export function idIn<Id extends string>(query: Query, name: string): Id | null {
  const value = textIn(query, name)
  return value !== null && isId(value) ? (value as Id) : null
}

/** Null where there is no day. */
export function dayIn(query: Query, name: string): IsoDay | null {
  return parseIsoDay(textIn(query, name) ?? '')
}

/** Values that are there; an empty one is. */
export function given(values: Values): Record<string, string> {
  return Object.fromEntries(
    Object.entries(values).flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])),
  )
}

/** A query with other values in place of these; what is null or undefined goes. */
export function withValues(query: Query, values: Values): Record<string, string> {
  const known = Object.keys(query).map((name) => [name, textIn(query, name)] as const)
  return given({ ...Object.fromEntries(known), ...values })
}
