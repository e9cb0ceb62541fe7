import { kind, pick } from './kind'
import { decimalOf, isWithin, readingsOf } from './readNumber'

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
  // a number that can be read in two ways counts when either is right
  score: (item, answer) => {
    const [value, tolerance] = [decimalOf(item.value), decimalOf(item.tolerance)]
    const isRight = readingsOf(answer.text, item.unit).some((d) => isWithin(d, value, tolerance))
    return isRight ? item.points : 0
  },
  isOmitted: ({ text }) => text.trim() === '',
  inWords: (_, { text }) => text,
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
