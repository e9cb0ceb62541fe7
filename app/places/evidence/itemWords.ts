import type { Correction } from '#core/attempts'
import type { ItemFigures } from '#core/evidence'
import { isScoredByHand } from '#core/library'
import type { Item } from '#core/library'
import type { Regrading, ScoreChange } from '#shared/contracts/regrading'
import { count, percent } from '~/shared/words/numbers'

const signed = (n: number) => n.toFixed(2).replace('-', '−')

/** '12 of 20 right, 1 left it out, discrimination 0.41'. */
export function sayFigures(f: ItemFigures, item: Pick<Item, 'kind'>): string {
  const right = isScoredByHand(item) ? 'with all points' : 'right'
  return [
    ...(f.n > 0 ? [`${f.rightCount} of ${f.n} ${right}`] : []),
    ...(f.omittedCount ? [`${f.omittedCount} left it out`] : []),
    ...(f.waitingCount ? [`${f.waitingCount} to score`] : []),
    ...(f.discrimination === null ? [] : [`discrimination ${signed(f.discrimination)}`]),
  ].join(', ')
}

/** What was put right about a question. */
export const MENDED_WORDS: Record<Correction['kind'], string> = {
  key: 'Its key was put right since it was given.',
  credit: 'Everybody who was asked has all points.',
  dropped: 'Left out for everybody: it counts in no score.',
}

export const MENDING_ITEMS = [
  { value: 'key', label: 'Another answer is right' },
  { value: 'credit', label: 'All points to everybody' },
  { value: 'dropped', label: 'Leave it out for everybody' },
  { value: 'as-given', label: 'As it was given' },
] as const
export type MendingKind = (typeof MENDING_ITEMS)[number]['value']

/** 'Ann Ash: 57 % → 71 %', with the try where it is not their first. */
export function sayScoreChange({ name, number, before, after }: ScoreChange): string {
  const share = (ratio: number | null) => (ratio === null ? 'to score' : percent(ratio))
  return `${name}${number > 1 ? `, try ${number}` : ''}: ${share(before)} → ${share(after)}`
}

/** What putting a question right would change, in short. */
export function sayRegrading({ tries, changes }: Regrading): string {
  if (tries === 0) return 'Nobody has handed it in yet: it holds for those who do.'
  const of = `of ${count(tries, 'try', 'tries')}`
  if (changes.length === 0) return `No score ${of} changes.`
  const up = changes.filter((c) => (c.after ?? 0) > (c.before ?? 0)).length
  const verb = changes.length === 1 ? 'changes' : 'change'
  return `${count(changes.length, 'score')} ${of} ${verb} (${up} up, ${changes.length - up} down):`
}
