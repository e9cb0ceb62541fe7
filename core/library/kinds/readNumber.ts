/**
 * A number as it was typed, to the last digit: `digits` × 10^`exponent`. Binary fractions would move the edge of
 * a tolerance.
 */
export interface Decimal {
  readonly digits: bigint
  readonly exponent: number
}

// as calls: the bundler's target knows no big literals
const [NONE, TEN] = [BigInt(0), BigInt(10)]

const PLAIN = /^([+-]?)(\d*)(?:\.(\d*))?(?:e([+-]?\d{1,3}))?$/i

/** Reads '-12.5e3' and the like, with a point; null for anything else. */
function parseDecimal(text: string): Decimal | null {
  const [, sign = '', whole = '', part = '', power = '0'] = PLAIN.exec(text) ?? []
  if (whole === '' && part === '') return null
  return {
    digits: BigInt(`${sign === '-' ? '-' : ''}${whole}${part}`),
    exponent: Number(power) - part.length,
  }
}

/**
 * The decimal that a number is written as.
 * @example 0.1 is 1 × 10^-1, not the binary fraction next to it.
 */
export function decimalOf(value: number): Decimal {
  return parseDecimal(String(value)) ?? { digits: NONE, exponent: 0 }
}

/** Whether two decimals are no further apart than a third one, exactly. */
export function isWithin(a: Decimal, b: Decimal, tolerance: Decimal): boolean {
  const exponent = Math.min(a.exponent, b.exponent, tolerance.exponent)
  const at = (d: Decimal) => d.digits * TEN ** BigInt(d.exponent - exponent)
  const apart = at(a) - at(b)
  return (apart < NONE ? -apart : apart) <= at(tolerance)
}

const SPACES = /[\s\u00A0\u202F]+/g
const THOUSANDS_BY_SPACE = /^([+-]?\d{1,3})((?: \d{3})+)(?=$|[.,])/

/**
 * Every way to read a typed number, the likeliest first; none when it is no number. Comma or point for the
 * fraction, the other one or spaces between thousands, a true minus, the item's unit if it was typed.
 * @example '1,250' is 1250 or 1.25; '0,125' only 0.125; '10²' is no number.
 */
export function readingsOf(text: string, unit: string): readonly Decimal[] {
  const typed = withoutUnit(text.trim(), unit.trim()).trim()
  // raised, lowered and fraction digits would turn into plain ones
  if (/\p{No}/u.test(typed)) return []
  const plain = typed
    .normalize('NFKC')
    .replace(/[−–]/g, '-')
    .replace(SPACES, ' ')
    .replace(/^([+-]) /, '$1')
    .replace(THOUSANDS_BY_SPACE, (whole) => whole.replaceAll(' ', ''))
  const found = waysToRead(plain).map(parseDecimal)
  return found.flatMap((d) => d ?? [])
}

/** The texts with a point that a number with commas may stand for. */
function waysToRead(text: string): readonly string[] {
  if (text.length > 60) return []
  const commas = text.split(',').length - 1
  const points = text.split('.').length - 1
  if (commas === 0 && points <= 1) return [text]
  const ways: string[] = []
  if (/^[+-]?[1-9]\d{0,2}(?:,\d{3})+(?:\.\d*)?$/.test(text)) ways.push(text.replaceAll(',', ''))
  if (
    /^[+-]?[1-9]\d{0,2}(?:\.\d{3})+,\d*$/.test(text) ||
    (commas === 0 && /^[+-]?[1-9]\d{0,2}(?:\.\d{3}){2,}$/.test(text))
  )
    ways.push(text.replaceAll('.', '').replace(',', '.'))
  if (commas === 1 && points === 0) ways.push(text.replace(',', '.'))
  return ways
}

/** A text without the unit at its end, however that was typed: 'Hz' as 'hz', 'm²' as 'm2'. */
function withoutUnit(text: string, unit: string): string {
  if (unit === '') return text
  const folded = (s: string) => s.normalize('NFKC').toLowerCase()
  for (let at = Math.max(0, text.length - 3 * unit.length); at < text.length; at++)
    if (folded(text.slice(at)) === folded(unit)) return text.slice(0, at)
  return text
}

/** A typed number by its likeliest reading; null when it is none. */
export function readNumber(text: string, unit: string): number | null {
  const [first] = readingsOf(text, unit)
  return first ? Number(`${first.digits}e${first.exponent}`) : null
}
