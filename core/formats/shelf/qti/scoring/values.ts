import { allOf, firstOf, textIn } from '../../xml'
import type { Xml } from '../../xml'

/** A value while a try is scored: NULL, or single values in their order; numbers are numbers where the type says so. */
export type Value = readonly (string | number | boolean)[] | null

/** A response as an item declares it. */
export interface Declared {
  readonly id: string
  readonly cardinality: string
  readonly type: string
  readonly correct: Value
  readonly mapping: Mapping | null
}
export interface Mapping {
  readonly entries: readonly { readonly key: string; readonly points: number; readonly isExact: boolean }[]
  readonly otherwise: number
  readonly least: number
  readonly most: number
}

const isNumber = (type: string) => type === 'float' || type === 'integer'

/** A text as a value of a type; pairs have one space between their ends, those without a direction the lesser first. */
export function valueOf(text: string, type: string): string | number | boolean {
  const plain = text.trim()
  if (isNumber(type)) return Number(plain)
  if (type === 'boolean') return plain === 'true' || plain === '1'
  if (type === 'pair') return plain.split(/\s+/).sort().join(' ')
  return type === 'directedPair' ? plain.split(/\s+/).join(' ') : plain
}

/** The responses of an item by their names. */
export function declaredIn(root: Xml): ReadonlyMap<string, Declared> {
  return new Map(
    allOf(root, 'responsedeclaration').map((of) => {
      const { identifier: id = '', cardinality = 'single', basetype: type = 'string' } = of.attributes
      const correct = firstOf(of, 'correctresponse')
      const values = correct ? allOf(correct, 'value').map((v) => valueOf(textIn(v), type)) : []
      return [
        id,
        { id, cardinality, type, correct: values.length > 0 ? values : null, mapping: mappingIn(of) },
      ] as const
    }),
  )
}

function mappingIn(of: Xml): Mapping | null {
  const mapping = firstOf(of, 'mapping')
  if (!mapping) return null
  const { defaultvalue, lowerbound, upperbound } = mapping.attributes
  const bound = (text: string | undefined, none: number) => (text === undefined ? none : Number(text))
  return {
    entries: allOf(mapping, 'mapentry').map(({ attributes }) => ({
      key: attributes.mapkey ?? '',
      points: Number(attributes.mappedvalue) || 0,
      isExact: attributes.casesensitive !== 'false',
    })),
    otherwise: Number(defaultvalue) || 0,
    least: bound(lowerbound, Number.NEGATIVE_INFINITY),
    most: bound(upperbound, Number.POSITIVE_INFINITY),
  }
}

/** What a response earns by a mapping (QTI 3.0, mapResponse): each different value once, within the bounds. */
export function mapped({ mapping, type }: Declared, given: Value): number {
  if (mapping === null || given === null) return 0
  const pointsOf = (value: string | number | boolean) => {
    const entry = mapping.entries.find((e) => {
      const key = valueOf(e.key, type)
      return e.isExact || typeof key !== 'string' ? key === value : lower(key) === lower(String(value))
    })
    return entry ? entry.points : mapping.otherwise
  }
  const sum = [...new Set(given)].map(pointsOf).reduce((a, b) => a + b, 0)
  return Math.min(mapping.most, Math.max(mapping.least, sum))
}

export const lower = (text: string) => text.toLowerCase()

/** Whether two values are the same: in order where they are ordered, else as bags. */
export function isSame(a: Value, b: Value, isOrdered: boolean): boolean {
  if (a === null || b === null || a.length !== b.length) return false
  const [x, y] = isOrdered ? [a, b] : [bag(a), bag(b)]
  return x.every((value, i) => value === y[i])
}
const bag = (of: NonNullable<Value>) => [...of].sort((a, b) => (String(a) < String(b) ? -1 : 1))
