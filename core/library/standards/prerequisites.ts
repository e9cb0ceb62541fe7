import type { Standard } from './types'

/** A standard on the way to another: `steps` before it (above 0) or after it (below 0). */
export interface OnTheWay {
  readonly standard: Standard
  readonly steps: number
}
export interface Way {
  readonly from: string
  readonly to: string
}

/**
 * What comes before a standard, step by step as far as `most` steps, and what follows it at once. Each stands as many
 * steps away as its longest way within these, so that everything comes after all that it needs.
 */
export function neighbourhood(
  code: string,
  standards: readonly Standard[],
  most: number,
): { readonly nodes: readonly OnTheWay[]; readonly ways: readonly Way[] } {
  const byCode = new Map(standards.map((s) => [s.code, s]))
  const steps = new Map<string, number>()
  const walk = (at: string, n: number, trail: readonly string[]): void => {
    if (n > most || trail.includes(at) || !byCode.has(at)) return
    if (n > (steps.get(at) ?? -1)) steps.set(at, n)
    for (const before of byCode.get(at)?.requires ?? []) walk(before, n + 1, [...trail, at])
  }
  walk(code, 0, [])
  const after = standards.filter((s) => s.requires.includes(code) && !steps.has(s.code))
  for (const s of after) steps.set(s.code, -1)
  const nodes = standards
    .filter((s) => steps.has(s.code))
    .map((standard) => ({ standard, steps: steps.get(standard.code) as number }))
    .sort((a, b) => b.steps - a.steps)
  const ways = nodes.flatMap(({ standard }) =>
    standard.requires
      .filter((from) => isBefore(steps, from, standard.code))
      .map((from) => ({ from, to: standard.code })),
  )
  return { nodes, ways }
}

function isBefore(steps: ReadonlyMap<string, number>, from: string, to: string): boolean {
  const [a, b] = [steps.get(from), steps.get(to)]
  return a !== undefined && b !== undefined && a > b
}

/** Everything that comes before standards, however many steps; without themselves. */
export function allBefore(codes: readonly string[], standards: readonly Standard[]): ReadonlySet<string> {
  const byCode = new Map(standards.map((s) => [s.code, s]))
  const found = new Set<string>()
  const open = [...codes]
  for (let code = open.pop(); code !== undefined; code = open.pop())
    for (const before of byCode.get(code)?.requires ?? [])
      if (byCode.has(before) && !found.has(before) && !codes.includes(before)) {
        found.add(before)
        open.push(before)
      }
  return found
}
