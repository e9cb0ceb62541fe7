import { describe, expect, it } from 'vitest'
import { neighbourhood } from '#core/library'
import type { Standard } from '#core/library'
import { layers } from './layers'

const standard = (code: string, requires: readonly string[] = []): Standard => ({
  code,
  text: code,
  level: 'standard',
  parent: null,
  requires,
})

describe('a drawing of what comes before', () => {
  it('goes from left to right, with every line to the right', () => {
    const list = [standard('a'), standard('b', ['a']), standard('c', ['a', 'b']), standard('d', ['c'])]
    const { nodes, ways } = neighbourhood('c', list, 3)
    const drawn = layers(nodes, ways)
    expect(drawn.nodes.map((n) => [n.standard.code, n.column, n.row])).toEqual([
      ['a', 0, 0],
      ['b', 1, 0],
      ['c', 2, 0],
      ['d', 3, 0],
    ])
    expect([drawn.columns, drawn.rows, drawn.lines.length]).toEqual([4, 1, 4])
    expect(drawn.lines.every((l) => l.from.column < l.to.column)).toBe(true)
  })

  it('gives each a place of its own', () => {
    const list = [standard('a'), standard('b'), standard('c', ['a', 'b'])]
    const { nodes, ways } = neighbourhood('c', list, 3)
    const places = layers(nodes, ways).nodes.map((n) => `${n.column} ${n.row}`)
    expect(new Set(places).size).toBe(3)
  })
})
