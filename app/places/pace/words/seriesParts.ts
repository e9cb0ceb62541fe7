import type { ResourceId } from '#core/base'
import type { Target } from '#core/audience'
import type { RowDays, Series, SeriesRow } from '#core/series'
import type { ClassSeries } from '#shared/contracts/series'
import { sayPlain } from '~/shared/conflict/words'
import type { PartWords } from '~/shared/conflict/words'
import { sayRuleOf, RULE_WORDS } from '~/shared/words/draftParts'
import { sayList } from '~/shared/words/lists'
import { sayDay } from '~/shared/words/times'
import { sayRule, sayTarget } from './series'

type Names = Pick<ClassSeries, 'groups' | 'learners'>

/** Parts of a series by the names of its class; `pieceOf` names a piece. */
export function seriesWords(of: ClassSeries | null, pieceOf: (id: ResourceId) => string): PartWords<Series> {
  const names: Names = of ?? { groups: [], learners: [] }
  return {
    label: ({ part, name }, value) => {
      if (part === 'rows') return `row “${pieceOf((value as SeriesRow).resourceId)}”`
      if (part === 'targets') return 'for whom'
      if (part === 'rules') return RULE_WORDS[name as keyof typeof RULE_WORDS]
      return part === 'rule' ? 'rhythm' : part
    },
    value: ({ part, name }, value) => {
      if (value === undefined) return 'taken out'
      if (part === 'rows') return sayRowOf(value as SeriesRow, names)
      if (part === 'targets') return sayTarget(value as Target, names)
      if (part === 'rules') return sayRuleOf(name as keyof typeof RULE_WORDS, value)
      return part === 'rule' ? sayRule(value as Series['rule']) : sayPlain(value)
    },
  }
}

/** 'opens Mon 5 Oct, through Fri 9 Oct, other days for Boat crew'. */
function sayRowOf({ own, others, only }: SeriesRow, names: Names): string {
  const days = [
    ...sayOwnDays(own),
    ...others.map((o) => `${sayTarget(o.target, names)}: ${sayOwnDays(o.days).join(', ')}`),
  ]
  const forWhom = only ? [`only for ${sayList(only.map((t) => sayTarget(t, names)).sort())}`] : []
  return [...days, ...forWhom].join(', ') || 'days by the rhythm'
}

function sayOwnDays({ opensOn, throughOn }: Partial<RowDays>): readonly string[] {
  return [
    ...(opensOn === undefined ? [] : [opensOn === null ? 'open at once' : `opens ${sayDay(opensOn)}`]),
    ...(throughOn === undefined ? [] : [throughOn === null ? 'no end' : `through ${sayDay(throughOn)}`]),
  ]
}
