import type { GradeRule, GroupRule, StandingRule } from '#core/audience'

/** Who a rule takes, in a few words: 'below 60 % on TH.8.W.3', 'grades 7, 8'. */
export function sayGroupRule(rule: GroupRule): string {
  return rule.kind === 'grade' ? sayGrades(rule) : sayStanding(rule)
}

function sayGrades({ grades }: GradeRule): string {
  return `grade${grades.length === 1 ? '' : 's'} ${grades.join(', ')}`
}

function sayStanding({ from, below, standards }: StandingRule): string {
  const on = standards.length === 0 ? 'in all' : `on ${standards.join(', ')}`
  if (from !== null && below !== null) return `${from} to ${below} % ${on}`
  return from === null ? `below ${below} % ${on}` : `from ${from} % ${on}`
}
