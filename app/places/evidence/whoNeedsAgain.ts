import type { UserId } from '#core/base'
import { bandOf } from '#core/evidence'
import type { Cell } from '#core/evidence'
import { percent } from '~/shared/words/numbers'

/** Somebody for whom work might be opened again, and why. */
export interface Needing {
  readonly id: UserId
  readonly name: string
  readonly why: 'missing' | 'below'
  readonly about: string
}

/** Who is missing in a piece, and then whose score that counts is low, each by name. */
export function whoNeedsAgain(
  cells: readonly Pick<Cell, 'learnerId' | 'state' | 'ratio'>[],
  learners: readonly { readonly id: UserId; readonly name: string }[],
): readonly Needing[] {
  const cellOf = new Map(cells.map((c) => [c.learnerId, c]))
  const needing = learners.flatMap(({ id, name }): readonly Needing[] => {
    const cell = cellOf.get(id)
    if (cell?.state === 'missing') return [{ id, name, why: 'missing', about: 'missing' }]
    const ratio = cell?.ratio ?? null
    const isLow = ratio !== null && bandOf(ratio) === 'low'
    return isLow ? [{ id, name, why: 'below', about: percent(ratio) }] : []
  })
  return needing.sort((a, b) => Number(a.why === 'below') - Number(b.why === 'below'))
}

/** How many of each, such as '2 missing, 3 below 60 %'. */
export function sayNeeding(needing: readonly Needing[]): string {
  const countOf = (why: Needing['why']) => needing.filter((n) => n.why === why).length
  return [
    ...(countOf('missing') ? [`${countOf('missing')} missing`] : []),
    ...(countOf('below') ? [`${countOf('below')} below 60 %`] : []),
  ].join(', ')
}
