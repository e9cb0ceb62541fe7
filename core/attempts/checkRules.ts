import { askedFor } from './items/draw'
import { MOST_ITEMS } from './types'
import type { AttemptRules, ItemChoice, LateRule } from './types'

/** The rule to correct. */
export type RuleField = 'maxAttempts' | 'waitMinutes' | 'timeLimitMinutes' | 'late' | 'items' | 'passPercent'

/** Accepts rules a learner can meet, or names the field to correct. */
export function faultInRules(rules: AttemptRules): RuleField | null {
  const { maxAttempts, waitMinutes, timeLimitMinutes, late, items, passPercent } = rules
  if (maxAttempts !== null && !(Number.isInteger(maxAttempts) && maxAttempts >= 1)) return 'maxAttempts'
  if (!(waitMinutes >= 0)) return 'waitMinutes'
  if (timeLimitMinutes !== null && !(timeLimitMinutes >= 1)) return 'timeLimitMinutes'
  if (late !== null && !isSoundLate(late)) return 'late'
  if (!isSoundChoice(items)) return 'items'
  if (passPercent !== null && !(passPercent >= 1 && passPercent <= 100)) return 'passPercent'
  return null
}

function isSoundLate({ percentPerDay, floorPercent }: LateRule): boolean {
  return isPercent(percentPerDay) && isPercent(floorPercent)
}

const isPercent = (n: number) => n >= 0 && n <= 100
const isCount = (n: number) => Number.isInteger(n) && n >= 1 && n <= MOST_ITEMS

function isSoundChoice(choice: ItemChoice): boolean {
  switch (choice.kind) {
    case 'all':
      return true
    case 'drawn':
      return choice.shares.every((s) => isCount(s.count)) && isCount(askedFor(choice.shares))
    case 'adaptive':
      return isCount(choice.most) && (choice.untilError === null || choice.untilError > 0)
  }
}
