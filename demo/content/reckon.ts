/** Numbers by name. */
export type Given = Readonly<Record<string, number>>

/**
 * What an expression comes to: numbers and names, + − * /, squares (`^2`), brackets. So a question and its answer are
 * made of the same numbers.
 */
export function reckon(expression: string, given: Given): number {
  const signs = expression.match(/[A-Za-z]\w*|\d+(?:\.\d+)?|\S/g) ?? []
  let at = 0
  const next = () => signs[at++] ?? ''
  const takes = (...wanted: readonly string[]) => wanted.includes(signs[at] ?? '')

  function value(): number {
    const sign = next()
    if (sign === '(') {
      const within = sum()
      if (next() !== ')') throw new Error(`${expression}: a bracket is open`)
      return within
    }
    if (sign === '-') return -value()
    const number = sign in given ? given[sign] : Number(sign)
    if (sign === '' || number === undefined || Number.isNaN(number))
      throw new Error(`${expression}: what is ${sign}?`)
    return number
  }
  function power(): number {
    const of = value()
    if (!takes('^')) return of
    next()
    return of ** value()
  }
  function product(): number {
    let result = power()
    while (takes('*', '/')) result = next() === '*' ? result * power() : result / power()
    return result
  }
  function sum(): number {
    let result = product()
    while (takes('+', '-')) result = next() === '+' ? result + product() : result - product()
    return result
  }
  const result = sum()
  if (at < signs.length) throw new Error(`${expression}: ${signs[at]} is too much`)
  return Number(result.toPrecision(6))
}

/** A text with its numbers: '{f} Hz' with f = 4 is '4 Hz'. */
export function filled(text: string, given: Given): string {
  return text.replace(/\{([^{}]+)\}/g, (_, expression: string) => String(reckon(expression, given)))
}
