import type { Standard } from './types'

/** Why standards cannot stand together; `code` is a standard's. */
export type StandardsFault =
  | { readonly code: 'library/standard-twice'; readonly field: 'code'; readonly standard: string }
  | {
      readonly code: 'library/unknown-standard'
      readonly field: 'parent' | 'requires'
      readonly standard: string
      readonly names: string
    }
  | {
      /** Each comes before the next, and the last before the first. */
      readonly code: 'library/standards-in-circle'
      readonly field: 'parent' | 'requires'
      readonly circle: readonly string[]
    }

/** The first fault in standards that shall stand together; null when there is none. */
export function faultInStandards(standards: readonly Standard[]): StandardsFault | null {
  const seen = new Set<string>()
  for (const { code } of standards) {
    const folded = code.toLowerCase()
    if (seen.has(folded)) return { code: 'library/standard-twice', field: 'code', standard: code }
    seen.add(folded)
  }
  const byCode = new Map(standards.map((s) => [s.code, s]))
  for (const { code: standard, parent, requires } of standards) {
    if (parent !== null && !byCode.has(parent))
      return { code: 'library/unknown-standard', field: 'parent', standard, names: parent }
    const names = requires.find((r) => !byCode.has(r))
    if (names !== undefined) return { code: 'library/unknown-standard', field: 'requires', standard, names }
  }
  return (
    circleIn(byCode, 'parent', (s) => (s.parent === null ? [] : [s.parent])) ??
    circleIn(byCode, 'requires', (s) => s.requires)
  )
}

function circleIn(
  byCode: ReadonlyMap<string, Standard>,
  field: 'parent' | 'requires',
  before: (s: Standard) => readonly string[],
): StandardsFault | null {
  const done = new Set<string>()
  for (const start of byCode.keys()) {
    const circle = circleFrom(start, byCode, before, done)
    if (circle) return { code: 'library/standards-in-circle', field, circle }
  }
  return null
}

/** Walks by depth without recursion: a chain may be as long as a framework. */
function circleFrom(
  start: string,
  byCode: ReadonlyMap<string, Standard>,
  before: (s: Standard) => readonly string[],
  done: Set<string>,
): readonly string[] | null {
  const trail: string[] = []
  const open: { readonly code: string; readonly depth: number }[] = [{ code: start, depth: 0 }]
  for (let next = open.pop(); next; next = open.pop()) {
    for (const code of trail.splice(next.depth)) done.add(code)
    const at = trail.indexOf(next.code)
    if (at >= 0) return trail.slice(at)
    if (done.has(next.code)) continue
    trail.push(next.code)
    const standard = byCode.get(next.code)
    for (const code of standard ? before(standard) : []) open.push({ code, depth: trail.length })
  }
  for (const code of trail) done.add(code)
  return null
}
