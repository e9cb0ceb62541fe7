import type { z } from 'zod'
import { seededRandom } from '#core/base'

/** Values that stand for something on the server that is asked, by the names under which they are sent. */
export type Known = Readonly<Record<string, readonly unknown[] | undefined>>

/** What no form would send. */
const HOSTILE: readonly unknown[] = [
  null,
  true,
  '',
  ' ',
  -1,
  0,
  0.1,
  1e9,
  1e308,
  Number.MAX_SAFE_INTEGER,
  '9999-12-31',
  '0000-00-00',
  '2026-02-31',
  '__proto__',
  'constructor',
  '../../etc/passwd',
  "'; drop table users; --",
  '<script>alert(1)</script>',
  'a\r\nb: c',
  '\u0000',
  '\u202E\uFEFF',
  '\uD800',
  'é'.repeat(300),
  'x'.repeat(5000),
  [],
  {},
  [[[[[]]]]],
  { __proto__: null, toString: 1 },
  Array.from({ length: 500 }, (_, i) => i),
]

/** What a schema says about itself, as far as a value can be made of it; each part where its type has it. */
interface Def {
  readonly type: string
  readonly shape: Readonly<Record<string, z.core.$ZodType>>
  readonly element: z.core.$ZodType
  readonly items: readonly z.core.$ZodType[]
  readonly options: readonly z.core.$ZodType[]
  readonly values: readonly unknown[]
  readonly entries: Readonly<Record<string, unknown>>
  readonly innerType: z.core.$ZodType
  readonly valueType: z.core.$ZodType
  readonly in: z.core.$ZodType
}

/** A value as it can stand in an address. */
export function inAddress(value: unknown): string {
  const text = typeof value === 'string' || value === undefined ? String(value) : JSON.stringify(value)
  // half a pair of UTF-16 is no text, and no browser sends it
  return text.slice(0, 300).replace(/[\uD800-\uDFFF]/g, '')
}

/** A value out of thin air: mostly what a schema takes, in places what nobody expects. Repeatable by its seed. */
export function fuzzer(seed: number, known: Known) {
  const random = seededRandom(seed)
  const below = (n: number) => Math.floor(random() * n)
  const one = <T>(list: readonly T[]): T => list[below(list.length)] as T
  const days = Array.from({ length: 300 }, (_, i) =>
    new Date(Date.UTC(2026, 7, 24 + i)).toISOString().slice(0, 10),
  )
  const text = () => one(['A', 'Fair', '1.1', 'UTC', 'America/Denver', 'Waves', 'Name\nAna Reyes', 'x y z'])

  function named(key: string): unknown {
    const pool = known[key] ?? known[`${key.replace(/s$/, '')}`]
    if (pool && pool.length > 0) return one(pool)
    if (/On$|^on$/.test(key)) return one(days)
    if (/At$/.test(key)) return 1_790_000_000_000 + below(1e10)
    if (key === 'weekday' || key === 'weekdays') return 1 + below(7)
    return one(Object.values(known).flat())
  }

  function make(schema: z.core.$ZodType, key: string, hostile: number): unknown {
    if (random() < hostile) return one(HOSTILE)
    const { def } = schema._zod as unknown as { readonly def: Def }
    const inner = () => make(def.innerType, key, hostile)
    switch (def.type) {
      case 'object': {
        const shape = Object.entries(def.shape)
        const out = shape
          .filter(() => random() > hostile)
          .map(([name, of]) => [name, make(of, name, hostile)])
          .filter(([, value]) => value !== undefined)
        return Object.fromEntries(random() < hostile ? [...out, [text(), text()]] : out)
      }
      case 'array':
        return Array.from({ length: below(4) }, () => make(def.element, key, hostile))
      case 'tuple':
        return def.items.map((of) => make(of, key, hostile))
      case 'union':
        return make(one(def.options), key, hostile)
      case 'literal':
        return one(def.values)
      case 'enum':
        return one(Object.values(def.entries))
      case 'nullable':
        return random() < 0.4 ? null : inner()
      case 'optional':
      case 'default':
        return random() < 0.5 ? undefined : inner()
      case 'boolean':
        return random() < 0.5
      case 'number':
        return one([0, 1, 2, 5, 30, 50, 540, below(1440), random()])
      case 'record':
        return { [String(named('lessonId'))]: make(def.valueType, key, hostile) }
      case 'string':
        return known[key] && random() < 0.7 ? one(known[key]) : text()
      case 'pipe':
        return make(def.in, key, hostile)
      default:
        return named(key)
    }
  }
  return {
    random,
    one,
    /** How hostile a value is: 0 fits wherever its parts do. */
    value: (schema: z.core.$ZodType, hostile: number) => make(schema, '', hostile),
  }
}
