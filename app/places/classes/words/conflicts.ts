import type { OwnTerms } from '#core/availability'
import type { Parts } from '#core/combining'
import type { Category, Filing } from '#core/filing'
import type { GroupSetting } from '#core/audience'
import type { ClassCard } from '#shared/contracts/teaching'
import { sayPlain } from '~/shared/conflict/words'
import type { PartWords } from '~/shared/conflict/words'
import { sayDay } from '~/shared/words/times'
import { sayGroupRule } from './groupRules'

export const FILING_CONFLICT: PartWords<Filing> = {
  label: ({ part }, value) =>
    part === 'headings' ? `heading “${String(value)}”` : `category “${(value as Category).name}”`,
  value: ({ part }, value) => {
    if (value === undefined) return 'taken out'
    if (part === 'headings') return String(value)
    const { name, weight, most } = value as Category
    return `${name}, weight ${weight}${most === null ? '' : `, ${most} at once`}`
  },
}

const TERMS: Record<keyof OwnTerms, string> = {
  timeFactor: 'time',
  extraAttempts: 'extra tries',
  extraDays: 'extra days',
  grade: 'grade',
  startsOn: 'start line',
}
export const TERMS_CONFLICT: PartWords<OwnTerms> = {
  label: ({ part }) => TERMS[part],
  value: ({ part }, value) => {
    if (part === 'timeFactor') return `${Math.round(Number(value) * 100)} %`
    if (part === 'startsOn') return sayDay(value as OwnTerms['startsOn'])
    if (part === 'grade') return value === null ? 'not said' : String(value)
    return sayPlain(value)
  },
}

/** Parts of a group; `className` names a class. */
export function groupConflict(className: (id: string) => string): PartWords<GroupSetting> {
  const LABELS: Record<keyof GroupSetting, string> = {
    name: 'name',
    classIds: 'classes',
    rule: 'who is in it',
    learnerIds: 'members',
  }
  return {
    label: ({ part, name }) => (part === 'classIds' ? `also of ${className(name ?? '')}` : LABELS[part]),
    value: ({ part }, value) => {
      if (part === 'classIds' || part === 'learnerIds') return value === undefined ? 'no' : 'yes'
      if (part === 'rule')
        return value ? sayGroupRule(value as GroupSetting['rule'] & object) : 'whom you tick'
      return sayPlain(value)
    },
  }
}

export const JOINING_CONFLICT: PartWords<{ readonly joinCode: string; readonly joinOpen: boolean }> = {
  label: ({ part }) => (part === 'joinCode' ? 'code' : 'joining'),
  value: ({ part }, value) => (part === 'joinOpen' ? (value ? 'open' : 'closed') : sayPlain(value)),
}

/** Classes with the plan that each follows. */
interface Planned {
  readonly classes: readonly Pick<ClassCard, 'id' | 'name' | 'planId' | 'planTitle'>[]
}
export const PLANNED_PARTS: Parts<Planned> = { classes: { nameOf: (c) => c.id } }
export const plannedOf = ({ id, name, planId, planTitle }: Planned['classes'][number]) => ({
  id,
  name,
  planId,
  planTitle,
})
export const PLANNED_CONFLICT: PartWords<Planned> = {
  label: (_, value) => (value as Planned['classes'][number]).name,
  value: (_, value) => (value as Planned['classes'][number] | undefined)?.planTitle ?? 'no plan',
}
