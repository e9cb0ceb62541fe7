import { pathTo } from './tree'
import type { Standard } from './types'

/** In which grades pieces serve a standard, by its code; one that none serves is absent. */
export type GradesServed = ReadonlyMap<string, readonly number[]>

/** Standards under a subject, and those that pieces of a grade serve; null: whichever. What holds them is kept. */
export function narrowedStandards(
  all: readonly Standard[],
  to: { readonly subject: string | null; readonly grade: number | null; readonly grades: GradesServed },
): readonly Standard[] {
  if (to.subject === null && to.grade === null) return all
  const kept = new Set<string>()
  for (const standard of all) {
    const path = pathTo(standard.code, all)
    const isOfSubject = to.subject === null || path.some((s) => s.code === to.subject)
    const isOfGrade = to.grade === null || (to.grades.get(standard.code)?.includes(to.grade) ?? false)
    if (isOfSubject && isOfGrade) for (const { code } of [...path, standard]) kept.add(code)
  }
  return all.filter((s) => kept.has(s.code))
}
