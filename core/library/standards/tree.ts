import { groupBy } from '../../base'
import type { Standard, StandardNode } from './types'

/** Standards as a tree, in the order given; what names an unknown parent stands at the top. */
export function standardTree(standards: readonly Standard[]): readonly StandardNode[] {
  const known = new Set(standards.map((s) => s.code))
  const parentOf = (s: Standard) => (s.parent !== null && known.has(s.parent) ? s.parent : null)
  const byParent = groupBy(standards, parentOf)
  // a circle of parents is held by nobody: it is not in the tree, and `faultInStandards` refuses it
  const under = (parent: string | null): readonly StandardNode[] =>
    (byParent.get(parent) ?? []).map((standard) => ({ standard, children: under(standard.code) }))
  return under(null)
}

/** What holds a standard, from the top down; without itself. */
export function pathTo(code: string, standards: readonly Standard[]): readonly Standard[] {
  const byCode = new Map(standards.map((s) => [s.code, s]))
  const path: Standard[] = []
  let above = byCode.get(byCode.get(code)?.parent ?? '')
  while (above && !path.includes(above)) {
    path.unshift(above)
    above = byCode.get(above.parent ?? '')
  }
  return path
}
