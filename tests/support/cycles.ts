/** The circles among files that import each other, one line each; a file that is on several is named once. */
export function cyclesIn(graph: ReadonlyMap<string, readonly string[]>): string[] {
  const found: string[] = []
  const done = new Set<string>()
  const walk = (path: string, trail: readonly string[]): void => {
    const at = trail.indexOf(path)
    if (at >= 0) found.push([...trail.slice(at), path].join(' → '))
    if (at >= 0 || done.has(path)) return
    for (const next of graph.get(path) ?? []) walk(next, [...trail, path])
    done.add(path)
  }
  for (const path of graph.keys()) walk(path, [])
  return found
}
