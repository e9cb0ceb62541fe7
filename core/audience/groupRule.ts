/** Whoever stands so on some standards is in the group; percent of points, `from` included and `below` not. */
export interface StandingRule {
  readonly kind: 'standing'
  /** None: all standards. */
  readonly standards: readonly string[]
  readonly from: number | null
  readonly below: number | null
  /** On fewer items nobody is judged. */
  readonly leastItems: number
}
/** Whoever is in one of these grades. */
export interface GradeRule {
  readonly kind: 'grade'
  readonly grades: readonly number[]
}
/** From what follows who is in a group. */
export type GroupRule = StandingRule | GradeRule
/** What of a rule may make no sense. */
export type GroupRulePart = 'from' | 'below' | 'leastItems' | 'grades'

/** Grades that a learner can be in: from the first to the last. */
export const GRADES: readonly number[] = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13]

/** Whether a number is a grade. */
export function isGrade(n: number): boolean {
  return GRADES.includes(n)
}

/** Where a rule makes no sense. Null: it does. */
export function faultInGroupRule(rule: GroupRule): GroupRulePart | null {
  return rule.kind === 'grade' ? faultInGrades(rule) : faultInStanding(rule)
}

function faultInGrades({ grades }: GradeRule): GroupRulePart | null {
  return grades.length > 0 && grades.every(isGrade) ? null : 'grades'
}

function faultInStanding({ from, below, leastItems }: StandingRule): GroupRulePart | null {
  const isPercent = (n: number | null) => n === null || (Number.isFinite(n) && n >= 0 && n <= 100)
  if (!isPercent(from)) return 'from'
  if (!isPercent(below) || (from === null && below === null)) return 'below'
  if (from !== null && below !== null && from >= below) return 'below'
  return Number.isInteger(leastItems) && leastItems >= 1 && leastItems <= 100 ? null : 'leastItems'
}

/** What a rule looks at: a learner's grade, null where it is not known; standing, null where nothing was shown. */
export interface RuledLearner {
  readonly grade: number | null
  readonly standing: { readonly share: number; readonly items: number } | null
}

/** Whether somebody belongs to a group by rule. Who has shown nothing yet does not: that is not zero. */
export function isInGroup(rule: GroupRule, { grade, standing }: RuledLearner): boolean {
  if (rule.kind === 'grade') return grade !== null && rule.grades.includes(grade)
  const { from, below, leastItems } = rule
  if (standing === null || standing.items < leastItems) return false
  const percent = standing.share * 100
  return (from === null || percent >= from) && (below === null || percent < below)
}
