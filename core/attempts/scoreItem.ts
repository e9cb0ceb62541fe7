import { assertNever } from '../base'
import type { Item } from '../library'
import type { Answer } from './types'

/**
 * Points for one answer. Partial credit per kind:
 * single, numeric and text: all or nothing. Multiple: (right chosen − wrong chosen) ÷ right ones, never below zero.
 * An omitted answer or one of another kind earns 0.
 */
export function scoreItem(item: Item, answer: Answer | undefined): number {
  if (answer === undefined || answer.kind !== item.kind) return 0
  switch (item.kind) {
    case 'single':
      return answer.kind === 'single' && answer.choice === item.right ? item.points : 0
    case 'multiple': {
      const chosen = answer.kind === 'multiple' ? new Set(answer.choices) : new Set<string>()
      const hits = item.right.filter((r) => chosen.has(r)).length
      return (item.points * Math.max(0, hits - (chosen.size - hits))) / item.right.length
    }
    case 'numeric': {
      const value = answer.kind === 'numeric' ? readNumber(answer.text, item.unit) : null
      // a hair of slack, so that 0.3 within 0.1 of 0.2 is not lost to binary fractions
      return value !== null &&
        Math.abs(value - item.value) <= item.tolerance + 1e-9 * Math.max(1, Math.abs(item.value))
        ? item.points
        : 0
    }
    case 'text': {
      const given = answer.kind === 'text' ? folded(answer.text) : ''
      return given !== '' && item.accepted.some((a) => folded(a) === given) ? item.points : 0
    }
    default:
      return assertNever(item)
  }
}

/** True when the learner left the item without an answer. */
export function isOmitted(answer: Answer | undefined): boolean {
  if (answer === undefined) return true
  switch (answer.kind) {
    case 'single':
      return answer.choice === null
    case 'multiple':
      return answer.choices.length === 0
    case 'numeric':
    case 'text':
      return answer.text.trim() === ''
    default:
      return assertNever(answer)
  }
}

/** Case, accents' composition and runs of spaces do not count. */
export function folded(text: string): string {
  return text.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim()
}

/** Reads a typed number with comma or point, spaces between thousands, a true minus, and the item's unit if it was typed; null when it is none. */
export function readNumber(text: string, unit: string): number | null {
  let rest = text.normalize('NFKC').replace(/−/g, '-').trim()
  const ending = unit.normalize('NFKC').trim()
  if (ending !== '' && rest.toLowerCase().endsWith(ending.toLowerCase()))
    rest = rest.slice(0, rest.length - ending.length)
  rest = rest.replace(/\s/g, '')
  if (/^[+-]?\d{1,3}(,\d{3})+(\.\d+)?$/.test(rest)) rest = rest.replace(/,/g, '')
  else rest = rest.replace(',', '.')
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i.test(rest) ? Number(rest) : null
}
