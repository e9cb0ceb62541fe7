export const OPERATORS = ['+', '−', '×', '÷'] as const
type Operator = (typeof OPERATORS)[number]

/** A pocket calculator: what it shows, and what waits for the next number. */
export interface Calculator {
  readonly shown: string
  readonly waiting: { readonly left: number; readonly operator: Operator } | null
  /** The next digit begins a new number. */
  readonly isFresh: boolean
}

export const CLEARED: Calculator = { shown: '0', waiting: null, isFresh: true }
const MOST_DIGITS = 12

/**
 * The calculator after a key: a digit, the point, an operator, `=`, `±`, `√`, `⌫` or `C`. Others change nothing.
 */
export function pressed(of: Calculator, key: string): Calculator {
  if (key === 'C') return CLEARED
  if (/^[0-9.]$/.test(key)) return typed(of.shown === 'Error' ? CLEARED : of, key)
  if (of.shown === 'Error') return of
  if (key === '⌫') return { ...of, shown: of.isFresh ? of.shown : of.shown.slice(0, -1).replace(/^-?$/, '0') }
  if (key === '±') return showing(of, -Number(of.shown))
  if (key === '√') return showing(of, Math.sqrt(Number(of.shown)))
  if (key === '=') return { ...showing(of, result(of)), waiting: null }
  const operator = OPERATORS.find((o) => o === key)
  if (!operator) return of
  // an operator after an operator takes its place
  const left = of.waiting !== null && of.isFresh ? of.waiting.left : result(of)
  return { ...showing(of, left), waiting: { left, operator } }
}

function typed(of: Calculator, key: string): Calculator {
  const before = of.isFresh ? '' : of.shown
  if (key === '.' && before.includes('.')) return of
  if (before.replace(/[-.]/g, '').length >= MOST_DIGITS) return of
  const shown = key === '.' ? `${before || '0'}.` : `${before === '0' ? '' : before}${key}`
  return { ...of, shown, isFresh: false }
}

function result({ shown, waiting }: Calculator): number {
  const right = Number(shown)
  if (waiting === null) return right
  switch (waiting.operator) {
    case '+':
      return waiting.left + right
    case '−':
      return waiting.left - right
    case '×':
      return waiting.left * right
    case '÷':
      return waiting.left / right
  }
}

/** Ten places, so that 0.1 + 0.2 is 0.3. */
function showing(of: Calculator, value: number): Calculator {
  if (!Number.isFinite(value)) return { ...CLEARED, shown: 'Error' }
  return { ...of, shown: String(Number(value.toPrecision(10))), isFresh: true }
}
