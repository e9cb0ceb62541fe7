import { isElement, textIn } from '../../xml'
import type { Xml } from '../../xml'
import { isSame, lower, mapped, valueOf } from './values'
import type { Declared, Value } from './values'

/** What is known while a try is scored. */
export interface Known {
  readonly declared: ReadonlyMap<string, Declared>
  readonly variables: ReadonlyMap<string, Value>
}
type Operator = (of: Xml, known: Known) => Value

const childrenOf = (of: Xml) => of.children.filter(isElement)
const valuesIn = (of: Xml, known: Known) => childrenOf(of).map((child) => evaluate(child, known))
const truth = (is: boolean): Value => [is]
const isTrue = (value: Value) => value?.[0] === true
const numbersIn = (of: Xml, known: Known) => {
  const values = valuesIn(of, known)
  return values.every((v): v is readonly [number] => typeof v?.[0] === 'number')
    ? values.map(([n]) => n)
    : null
}
const textsIn = (of: Xml, known: Known): readonly [string, string] | null => {
  const [a, b] = valuesIn(of, known)
  return a && b ? [String(a[0]), String(b[0])] : null
}
const compared =
  (is: (a: number, b: number) => boolean): Operator =>
  (of, known) => {
    const [a, b] = numbersIn(of, known) ?? []
    return a === undefined || b === undefined ? null : truth(is(a, b))
  }
const reckoned =
  (of: (numbers: readonly number[]) => number): Operator =>
  (element, known) => {
    const numbers = numbersIn(element, known)
    return numbers === null ? null : [of(numbers)]
  }

/** The operators that are read (QTI 3.0, chapter on expressions), by their folded names. */
const OPERATORS: Readonly<Record<string, Operator>> = {
  variable: ({ attributes }, { variables }) => variables.get(attributes.identifier ?? '') ?? null,
  correct: ({ attributes }, { declared }) => declared.get(attributes.identifier ?? '')?.correct ?? null,
  basevalue: (of) => [valueOf(textIn(of), of.attributes.basetype ?? 'string')],
  null: () => null,
  isnull: (of, known) => truth(isEmpty(valuesIn(of, known)[0] ?? null)),
  not: (of, known) => truth(!isTrue(valuesIn(of, known)[0] ?? null)),
  and: (of, known) => truth(valuesIn(of, known).every(isTrue)),
  or: (of, known) => truth(valuesIn(of, known).some(isTrue)),
  match: (of, known) => {
    const [a = null, b = null] = valuesIn(of, known)
    return truth(
      isSame(
        a,
        b,
        childrenOf(of).some((child) => isOrdered(child, known)),
      ),
    )
  },
  equal,
  stringmatch: (of, known) => {
    const texts = textsIn(of, known)
    if (texts === null) return null
    const [a, b] = foldedBy(of, texts)
    return truth(of.attributes.substring === 'true' ? a.includes(b) : a === b)
  },
  substring: (of, known) => {
    const texts = textsIn(of, known)
    if (texts === null) return null
    const [a, b] = foldedBy(of, texts)
    return truth(b.includes(a))
  },
  member: (of, known) => {
    const [a = null, b = null] = valuesIn(of, known)
    const [one] = a ?? []
    return one === undefined || b === null ? null : truth(b.includes(one))
  },
  contains: (of, known) => {
    const [a = null, b = null] = valuesIn(of, known)
    return a === null || b === null ? null : truth(b.every((value) => a.includes(value)))
  },
  index: (of, known) => {
    const [all = null] = valuesIn(of, known)
    const value = all?.[Number(of.attributes.n) - 1]
    return value === undefined ? null : [value]
  },
  multiple: collected,
  ordered: collected,
  mapresponse: ({ attributes }, { declared, variables }) => {
    const of = declared.get(attributes.identifier ?? '')
    return of ? [mapped(of, variables.get(of.id) ?? null)] : [0]
  },
  gt: compared((a, b) => a > b),
  gte: compared((a, b) => a >= b),
  lt: compared((a, b) => a < b),
  lte: compared((a, b) => a <= b),
  sum: reckoned((all) => all.reduce((a, b) => a + b, 0)),
  product: reckoned((all) => all.reduce((a, b) => a * b, 1)),
  subtract: reckoned(([a = 0, b = 0]) => a - b),
  divide: reckoned(([a = 0, b = 1]) => a / b),
}

export const isOperator = (name: string) => Object.hasOwn(OPERATORS, name)

/** What an expression comes to; of an operator that is not read NULL: `isOperator` is asked before. */
export function evaluate(of: Xml, known: Known): Value {
  return OPERATORS[of.name]?.(of, known) ?? null
}

const isEmpty = (value: Value) => value === null || value.length === 0 || value[0] === ''

function collected(of: Xml, known: Known): Value {
  const all = valuesIn(of, known).flatMap((value) => value ?? [])
  return all.length === 0 ? null : all
}

function isOrdered(of: Xml, { declared }: Known): boolean {
  if (of.name === 'ordered') return true
  return declared.get(of.attributes.identifier ?? '')?.cardinality === 'ordered'
}

function foldedBy(of: Xml, [a, b]: readonly [string, string]): readonly [string, string] {
  return of.attributes.casesensitive === 'false' ? [lower(a), lower(b)] : [a, b]
}

/** As much as binary fractions are off, so that the edge of a tolerance stays where it was written. */
const SLACK = 1e-9

/** The bounds within which a number equals another; relative tolerances are in per cent. */
export function boundsOf(of: Xml, value: number): { readonly low: number; readonly high: number } {
  const { tolerancemode: mode = 'exact', tolerance = '0' } = of.attributes
  const [below = 0, above = below] = tolerance.trim().split(/\s+/).map(Number)
  if (mode === 'absolute') return { low: value - below, high: value + above }
  if (mode !== 'relative') return { low: value, high: value }
  const share = Math.abs(value) / 100
  return { low: value - share * below, high: value + share * above }
}

function equal(of: Xml, known: Known): Value {
  const [given, value] = numbersIn(of, known) ?? []
  if (given === undefined || value === undefined) return null
  const { low, high } = boundsOf(of, value)
  const slack = SLACK * Math.max(1, Math.abs(value))
  const { includelowerbound: withLow = 'true', includeupperbound: withHigh = 'true' } = of.attributes
  const isAbove = withLow === 'false' ? given > low + slack : given >= low - slack
  const isBelow = withHigh === 'false' ? given < high - slack : given <= high + slack
  return truth(isAbove && isBelow)
}
