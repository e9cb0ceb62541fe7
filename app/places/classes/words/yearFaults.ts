import type { Refusal } from '#shared/contracts/refusal'
import { sayRefusal } from '~/shared/words/refusals'

const PARTS: Readonly<Record<string, string>> = { wholeFromRatio: 'The share of a shortened meeting' }

/** Why a school year is not accepted; faults of the wire name the part of the form they stand in. */
export function sayYearFault(refusal: Refusal): string {
  if (refusal.code !== 'input/invalid') return sayRefusal(refusal)
  const field = refusal.field.replace(/^to\./, '')
  const [list, at] = field.split('.')
  const named = list === 'notes' ? 'closure' : list === 'terms' ? 'term' : null
  const words = named && at !== undefined ? `${named} ${Number(at) + 1}` : (PARTS[field] ?? field)
  return `${words.replace(/^./, (c) => c.toUpperCase())} ${refusal.problem}.`
}
