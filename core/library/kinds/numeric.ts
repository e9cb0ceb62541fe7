import { kind, pick } from './kind'

/** A number within a tolerance; all or nothing. */
export const numeric = kind({
  name: 'numeric',
  fields: { value: 'number', tolerance: 'number', unit: 'unit' },
  answer: { text: 'typed-number' },
  shown: ['unit'],
  check: ({ value, tolerance }) => {
    if (!Number.isFinite(value)) return { code: 'library/no-right-answer', field: 'right' }
    const isTolerance = tolerance >= 0 && Number.isFinite(tolerance)
    return isTolerance ? null : { code: 'library/bad-tolerance', field: 'tolerance' }
  },
  fits: () => true,
  score: (item, answer) => {
    const value = readNumber(answer.text, item.unit)
    // a hair of slack, so that 0.3 within 0.1 of 0.2 is not lost to binary fractions
    const most = item.tolerance + 1e-9 * Math.max(1, Math.abs(item.value))
    return value !== null && Math.abs(value - item.value) <= most ? item.points : 0
  },
  isOmitted: ({ text }) => text.trim() === '',
  chosen: () => [],
  right: () => [],
  rightInWords: ({ value, tolerance, unit }) =>
    `${value}${unit ? ` ${unit}` : ''}${tolerance > 0 ? ` (± ${tolerance})` : ''}`,
  example: ({ value }, isRight, random) => {
    const likely = () =>
      Number((value * pick([0.1, 0.5, 2, 10], random) + (value === 0 ? 1 : 0)).toPrecision(3))
    return { kind: 'numeric', text: String(isRight ? value : likely()) }
  },
})

/**
 * Reads a typed number with comma or point, spaces between thousands, a true minus, and the item's unit if it
 * was typed; null when it is none.
 */
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
