import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { same } from '../base'
import { combine } from './combine'
import type { Parts } from './types'

interface Thing {
  readonly whole: number
  readonly fields: { readonly a: number; readonly b: number }
  readonly list: readonly { readonly id: string; readonly n: number }[]
  readonly ids: readonly string[]
}
const PARTS: Parts<Thing> = {
  whole: 'whole',
  fields: 'fields',
  list: { nameOf: (entry) => entry.id },
  ids: { nameOf: (id) => id },
}
const small = fc.integer({ min: 0, max: 2 })
const name = fc.constantFrom('p', 'q', 'r', 's')
const thing: fc.Arbitrary<Thing> = fc.record({
  whole: small,
  fields: fc.record({ a: small, b: small }),
  list: fc.uniqueArray(fc.record({ id: name, n: small }), { selector: (e) => e.id }),
  ids: fc.uniqueArray(name),
})

describe('laws of putting two changes together', () => {
  it('who changed nothing gets what the other made, and the other way round', () => {
    fc.assert(
      fc.property(thing, thing, (seen, changed) => {
        const mineAlone = combine(PARTS, { seen, mine: changed, theirs: seen })
        const theirsAlone = combine(PARTS, { seen, mine: seen, theirs: changed })
        expect(mineAlone).toEqual({ value: changed, clashes: [], taken: [] })
        expect(theirsAlone.value).toEqual(changed)
        expect(theirsAlone.clashes).toEqual([])
      }),
    )
  })

  it('nothing of either is lost: each part is one of the two, and asked about where they differ', () => {
    fc.assert(
      fc.property(thing, thing, thing, (seen, mine, theirs) => {
        const { value, clashes } = combine(PARTS, { seen, mine, theirs })
        for (const part of ['a', 'b'] as const) {
          const [was, own, other] = [seen.fields[part], mine.fields[part], theirs.fields[part]]
          const isClash = own !== was && other !== was && own !== other
          expect(clashes.some((c) => c.id === `fields/${part}`)).toBe(isClash)
          expect(value.fields[part]).toBe(own === was ? other : own)
        }
        const entry = (of: Thing, id: string) => of.list.find((e) => e.id === id)
        for (const id of ['p', 'q', 'r', 's']) {
          const own = entry(mine, id)
          const isMine = !same(own, entry(seen, id))
          expect(entry(value, id)).toEqual(isMine ? own : entry(theirs, id))
        }
        for (const id of new Set([...mine.ids, ...theirs.ids])) {
          const isKept = seen.ids.includes(id) ? mine.ids.includes(id) && theirs.ids.includes(id) : true
          expect(value.ids.includes(id)).toBe(isKept)
        }
      }),
    )
  })

  it('choosing theirs everywhere is the other’s change with mine where only I made one', () => {
    fc.assert(
      fc.property(thing, thing, thing, (seen, mine, theirs) => {
        const asked = combine(PARTS, { seen, mine, theirs })
        const all = new Map(asked.clashes.map((c) => [c.id, 'theirs' as const]))
        const there = combine(PARTS, { seen, mine: theirs, theirs: mine })
        const chosen = combine(PARTS, { seen, mine, theirs }, all).value
        expect({ ...chosen, list: 0, ids: 0 }).toEqual({ ...there.value, list: 0, ids: 0 })
        const sorted = (of: Thing) => [...of.list].sort((a, b) => (a.id < b.id ? -1 : 1))
        expect(sorted(chosen)).toEqual(sorted(there.value))
      }),
    )
  })
})
