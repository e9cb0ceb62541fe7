import { createError, useRoute, useRouter } from '#imports'
import { isId, parseIsoDay } from '#core/base'
import type { IsoDay } from '#core/base'

/** Values by name; null or undefined: none. */
type Values = Readonly<Record<string, string | null | undefined>>

/** What the address says behind its path, a value for each name; changed in place, without a step back. */
export function useAddress() {
  const route = useRoute()
  const router = useRouter()
  /** Null where there is nothing, or nothing in it. */
  const text = (name: string): string | null => {
    const value = route.query[name]
    return typeof value === 'string' && value !== '' ? value : null
  }
  /** Null where there is nothing that can be an id. */
  const id = <Id extends string>(name: string): Id | null => {
    const value = text(name)
    return value !== null && isId(value) ? (value as Id) : null
  }
  /** An id without which there is no such page. */
  const idNeeded = <Id extends string>(name: string): Id => {
    const found = id<Id>(name)
    if (found === null) throw createError({ statusCode: 404, fatal: true })
    return found
  }
  const day = (name: string): IsoDay | null => parseIsoDay(text(name) ?? '')
  /** These values and no others. */
  const set = (values: Values) => {
    const given = Object.entries(values).filter(([, value]) => value !== null && value !== undefined)
    return router.replace({ query: Object.fromEntries(given) })
  }
  /** These values, and the others as they are. */
  const put = (values: Values) => {
    const known = Object.keys(route.query).map((name) => [name, text(name)] as const)
    return set({ ...Object.fromEntries(known), ...values })
  }
  return { text, id, idNeeded, day, set, put }
}
