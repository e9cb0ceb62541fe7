import type { ByCategory } from '#core/filing'
import { count, percent } from '~/shared/words/numbers'

/** '72 %: Checks 60 % (2 scores, weight 60), Tests 90 % (1 score, weight 40)'. */
export function sayWhole({ parts, ratio }: ByCategory): string {
  if (ratio === null) return 'no scores yet'
  const said = parts
    .filter((p) => p.ratio !== null)
    .map((p) => {
      const weight = p.name === '' ? 'filed nowhere' : `weight ${p.weight}`
      return `${p.name || 'others'} ${percent(p.ratio ?? 0)} (${count(p.scores, 'score')}, ${weight})`
    })
  return `${percent(ratio)}: ${said.join(', ')}`
}
