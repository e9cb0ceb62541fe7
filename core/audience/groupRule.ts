/** Whoever stands so on some standards is in the group; percent of points, `from` included and `below` not. */
export interface GroupRule {
  readonly kind: 'standing'
  /** None: all standards. */
  readonly standards: readonly string[]
  readonly from: number | null
  readonly below: number | null
  /** On fewer items nobody is judged. */
  readonly leastItems: number
}

/** Where a rule makes no sense. Null: it does. */
export function faultInGroupRule({ from, below, leastItems }: GroupRule): keyof GroupRule | null {
  const isPercent = (n: number | null) => n === null || (Number.isFinite(n) && n >= 0 && n <= 100)
  if (!isPercent(from)) return 'from'
  if (!isPercent(below) || (from === null && below === null)) return 'below'
  if (from !== null && below !== null && from >= below) return 'below'
  return Number.isInteger(leastItems) && leastItems >= 1 && leastItems <= 100 ? null : 'leastItems'
}

/** Whether somebody belongs to a group by rule. Who has shown nothing yet does not: that is not zero. */
export function isInGroup(
  { from, below, leastItems }: GroupRule,
  standing: { readonly share: number; readonly items: number } | null,
): boolean {
  if (standing === null || standing.items < leastItems) return false
  const percent = standing.share * 100
  return (from === null || percent >= from) && (below === null || percent < below)
}
