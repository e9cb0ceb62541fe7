import { kind } from './kind'
import { decimalOf, isWithin, readNumber, readingsOf } from './readNumber'

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
  findings: ({ value, tolerance }) => {
    const isFraction = Number.isFinite(value) && !Number.isInteger(value)
    return isFraction && tolerance === 0 ? [{ code: 'exact-fraction', value }] : []
  },
  saidAfter: () => [],
  linesOnPaper: () => 1,
  toTyped: ({ value, tolerance, unit }) => ({ value: String(value), tolerance: String(tolerance), unit }),
  fromTyped: ({ text }) => {
    const number = (name: string) => readNumber(text(name), text('unit')) ?? Number.NaN
    return { value: number('value'), tolerance: number('tolerance'), unit: text('unit') }
  },
  toCells: ({ value, tolerance, unit }) => ({ right: String(value), tolerance: String(tolerance), unit }),
  fromCells: (cell) => ({
    value: readNumber(cell('right'), '') ?? Number.NaN,
    tolerance: readNumber(cell('tolerance') || '0', '') ?? Number.NaN,
    unit: cell('unit'),
  }),
})
