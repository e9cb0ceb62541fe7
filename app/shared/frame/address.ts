import { createError, useRoute, useRouter } from '#imports'
import { dayIn, given, idIn, textIn, withValues } from './query'
import type { Values } from './query'

/** What the address says behind its path, a value for each name; changed in place, without a step back. */
export function useAddress() {
  const route = useRoute()
  const router = useRouter()
  /** An id without which there is no such page. */
  const idNeeded = <Id extends string>(name: string): Id => {
    const found = idIn<Id>(route.query, name)
    if (found === null) throw createError({ statusCode: 404, fatal: true })
    return found
  }
  return {
    text: (name: string) => textIn(route.query, name),
    id: <Id extends string>(name: string) => idIn<Id>(route.query, name),
    idNeeded,
    day: (name: string) => dayIn(route.query, name),
    /** These values and no others. */
    set: (values: Values) => router.replace({ query: given(values) }),
    /** These values, and the others as they are. */
    put: (values: Values) => router.replace({ query: withValues(route.query, values) }),
  }
}
