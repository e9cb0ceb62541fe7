/** Values by key, at most so many. */
export interface KeptAtMost<K, V> {
  readonly get: (key: K) => V | undefined
  readonly keep: (key: K, value: V) => void
  readonly clear: () => void
}

/** Keeps at most so many values: the one that was taken in first goes first. */
export function keptAtMost<K, V>(most: number): KeptAtMost<K, V> {
  const held = new Map<K, V>()
  return {
    get: (key) => held.get(key),
    keep: (key, value) => {
      if (held.size >= most && !held.has(key)) held.delete(held.keys().next().value as K)
      held.set(key, value)
    },
    clear: () => held.clear(),
  }
}
