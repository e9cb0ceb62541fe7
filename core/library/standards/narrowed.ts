import { standardTree } from './tree'
import type { Standard, StandardNode } from './types'

/** In which grades pieces serve a standard, by its code; one that none serves is absent. */
export type GradesServed = ReadonlyMap<string, readonly number[]>

/**
 * Standards of a subject, which stands at the top, and those that pieces of a grade serve; null: whichever. What holds
 * them is kept.
 */
export function narrowedStandards(
  all: readonly Standard[],
  to: { readonly subject: string | null; readonly grade: number | null; readonly grades: GradesServed },
): readonly Standard[] {
  if (to.subject === null && to.grade === null) return all
  const served = (code: string) => to.grade === null || to.grades.get(code)?.includes(to.grade) === true
  const within = (nodes: readonly StandardNode[]): readonly Standard[] =>
    nodes.flatMap(({ standard, children }) => {
      const held = within(children)
      return held.length > 0 || served(standard.code) ? [standard, ...held] : []
    })
  const tree = standardTree(all)
  return within(to.subject === null ? tree : tree.filter((n) => n.standard.code === to.subject))
}
