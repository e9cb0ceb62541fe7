import type { UserId } from '#core/base'
import type { GroupingRefusal } from '#core/grouping'
import { count } from '~/shared/words/numbers'
import { sayList } from '~/shared/words/lists'

export const WAYS = [
  { value: 'bounds', label: 'Between bounds' },
  { value: 'breaks', label: 'Where the scores leave gaps' },
  { value: 'alike', label: 'Even, alike' },
  { value: 'mixed', label: 'Even, mixed' },
] as const
export type SplitWay = (typeof WAYS)[number]['value']

export const WAY_NOTES: Readonly<Record<SplitWay, string>> = {
  bounds: 'Below the first bound, between bounds, and from the last one on.',
  breaks: 'The cuts that leave the scores within each group as near to each other as can be.',
  alike: 'Groups of one size, each with learners who stand near each other.',
  mixed: 'Groups of one size, each with learners who stand high and low.',
}

/** Why there are no such groups, and what to change. */
export function sayNoGroups(refusal: GroupingRefusal, nameOf: (id: UserId) => string): string {
  if (refusal.code === 'grouping/no-such-groups')
    return 'No even groups obey all of these wishes. Take one out, or change the number of groups.'
  const names = sayList(refusal.learnerIds.map(nameOf))
  if (refusal.code === 'grouping/together-and-apart')
    return `${names} are to be together, by way of others, too, and apart. Take one of these wishes out.`
  if (refusal.code === 'grouping/too-many-apart')
    return `Each of ${names} is to be apart from the others: that needs ${count(refusal.learnerIds.length, 'group')}.`
  return `${names} are to be together, and a group holds ${refusal.most}. Make fewer groups.`
}

/** '60, 85' as bounds in per cent; null where it is not read so. */
export function readBounds(text: string): readonly number[] | null {
  const parts = text
    .replaceAll('%', ' ')
    .split(/[,;\s]+/)
    .filter((part) => part !== '')
  const numbers = parts.map((part) => Number(part))
  const areBounds = numbers.every((n) => Number.isInteger(n) && n > 0 && n <= 100)
  if (numbers.length === 0 || numbers.length > 8 || !areBounds) return null
  return [...new Set(numbers)].sort((a, b) => a - b)
}

/** What a group is called at first. */
export function nameOfGroup(way: SplitWay, at: number, bounds: readonly number[]): string {
  if (way !== 'bounds') return `Group ${at + 1}`
  const [from, below] = [bounds[at - 1], bounds[at]]
  if (from === undefined) return `Below ${below} %`
  return below === undefined ? `From ${from} %` : `${from} to ${below - 1} %`
}
