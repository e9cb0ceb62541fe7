/** The value that comes most often, of several the one that comes first; null where there are none. */
export function commonest<T>(values: readonly T[]): T | null {
  const counts = new Map<T, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null
}
