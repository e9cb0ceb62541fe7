import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { allBefore, faultInStandards, neighbourhood, pathTo, standardTree } from './index'
import type { Standard, StandardNode } from './index'

const standard = (
  code: string,
  requires: readonly string[] = [],
  parent: string | null = null,
): Standard => ({
  code,
  text: `Do ${code}`,
  level: 'standard',
  parent,
  requires,
})
// a ← b ← d, a ← c ← d, d ← e
const DIAMOND = [
  standard('a'),
  standard('b', ['a']),
  standard('c', ['a']),
  standard('d', ['b', 'c']),
  standard('e', ['d']),
]

describe('the tree', () => {
  const list = [standard('x'), standard('x.1', [], 'x'), standard('y', [], 'gone'), standard('x.2', [], 'x')]

  it('holds each under its parent, in order; who names an unknown one stands at the top', () => {
    const shape = (nodes: readonly StandardNode[]): unknown =>
      nodes.map((n) => (n.children.length ? { [n.standard.code]: shape(n.children) } : n.standard.code))
    expect(shape(standardTree(list))).toEqual([{ x: ['x.1', 'x.2'] }, 'y'])
  })

  it('says the way from the top', () => {
    const deep = [...list, standard('x.1.a', [], 'x.1')]
    expect(pathTo('x.1.a', deep).map((s) => s.code)).toEqual(['x', 'x.1'])
    expect(pathTo('x', deep)).toEqual([])
    expect(pathTo('p', [standard('p', [], 'q'), standard('q', [], 'p')]).length).toBeLessThanOrEqual(2)
  })
})

describe('what comes before', () => {
  it('stands as many steps away as its longest way', () => {
    const list = [...DIAMOND, standard('f', ['e', 'a'])]
    const { nodes, ways } = neighbourhood('e', list, 5)
    expect(nodes.map((n) => [n.standard.code, n.steps])).toEqual([
      ['a', 3],
      ['b', 2],
      ['c', 2],
      ['d', 1],
      ['e', 0],
      ['f', -1],
    ])
    expect(ways).toContainEqual({ from: 'b', to: 'd' })
    expect(ways).toContainEqual({ from: 'e', to: 'f' })
  })

  it('is told as far as is asked', () => {
    expect(neighbourhood('e', DIAMOND, 1).nodes.map((n) => n.standard.code)).toEqual(['d', 'e'])
    expect([...allBefore(['d'], DIAMOND)].sort()).toEqual(['a', 'b', 'c'])
    expect(allBefore(['a'], DIAMOND).size).toBe(0)
  })

  it('comes to an end where there is a circle', () => {
    const circle = [standard('a', ['b']), standard('b', ['a'])]
    expect(neighbourhood('a', circle, 5).nodes.length).toBe(2)
    expect([...allBefore(['a'], circle)]).toEqual(['b'])
  })
})

describe('faults', () => {
  it('finds none in what fits', () => {
    expect(faultInStandards(DIAMOND)).toBeNull()
    expect(faultInStandards([])).toBeNull()
  })

  it('names codes that stand twice, however they are cased', () => {
    expect(faultInStandards([standard('A.1'), standard('a.1')])).toEqual({
      code: 'library/standard-twice',
      field: 'code',
      standard: 'a.1',
    })
  })

  it('names what is unknown', () => {
    expect(faultInStandards([standard('a', ['z'])])).toMatchObject({
      code: 'library/unknown-standard',
      field: 'requires',
      names: 'z',
    })
    expect(faultInStandards([standard('a', [], 'z')])).toMatchObject({ field: 'parent', names: 'z' })
  })

  it('names a circle', () => {
    const circle = [standard('a', ['c']), standard('b', ['a']), standard('c', ['b'])]
    const fault = faultInStandards(circle)
    expect(fault?.code).toBe('library/standards-in-circle')
    if (fault?.code === 'library/standards-in-circle')
      expect([...fault.circle].sort()).toEqual(['a', 'b', 'c'])
    expect(faultInStandards([standard('a', ['a'])])).toMatchObject({ circle: ['a'], field: 'requires' })
    expect(faultInStandards([standard('a', [], 'b'), standard('b', [], 'a')])).toMatchObject({
      field: 'parent',
    })
  })

  it('finds a circle exactly where putting in order fails', () => {
    const framework = fc
      .integer({ min: 1, max: 9 })
      .chain((n) =>
        fc.array(fc.subarray(Array.from({ length: n }, (_, i) => `s${i}`)), { minLength: n, maxLength: n }),
      )
    fc.assert(
      fc.property(framework, (requires) => {
        const list = requires.map((r, i) => standard(`s${i}`, r))
        expect(faultInStandards(list) !== null).toBe(!canBeOrdered(list))
      }),
    )
  })

  it('takes a chain of ten thousand in its stride', () => {
    const chain = Array.from({ length: 10_000 }, (_, i) => standard(`s${i}`, i === 0 ? [] : [`s${i - 1}`]))
    expect(faultInStandards(chain)).toBeNull()
  })
})

/** The slow twin: takes away what needs nothing until nothing is left. */
function canBeOrdered(list: readonly Standard[]): boolean {
  let left = [...list]
  for (;;) {
    const codes = new Set(left.map((s) => s.code))
    const next = left.filter((s) => s.requires.some((r) => codes.has(r)))
    if (next.length === 0) return true
    if (next.length === left.length) return false
    left = next
  }
}
