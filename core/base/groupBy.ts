/** Values in lists by key, keys in the order in which they come first. */
export function groupBy<T, K>(values: readonly T[], keyOf: (value: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const value of values) {
    const key = keyOf(value)
    const list = groups.get(key)
    if (list) list.push(value)
    else groups.set(key, [value])
  }
  return groups
}
