import type { OnTheWay, Way } from '#core/library'

/** A standard with its place in the drawing: columns from left to right, rows from the top. */
export interface PlacedInDrawing extends OnTheWay {
  readonly column: number
  readonly row: number
}

/** Standards in columns by how many steps they are away, each column in the order given; ways between their places. */
export function layers(nodes: readonly OnTheWay[], ways: readonly Way[]) {
  const most = Math.max(0, ...nodes.map((n) => n.steps))
  const taken = new Map<number, number>()
  const placed = nodes.map((node): PlacedInDrawing => {
    const column = most - node.steps
    const row = taken.get(column) ?? 0
    taken.set(column, row + 1)
    return { ...node, column, row }
  })
  const byCode = new Map(placed.map((p) => [p.standard.code, p]))
  const lines = ways.flatMap((way) => {
    const [from, to] = [byCode.get(way.from), byCode.get(way.to)]
    return from && to ? [{ from, to }] : []
  })
  const columns = Math.max(0, ...placed.map((p) => p.column + 1))
  const rows = Math.max(0, ...taken.values())
  return { nodes: placed, lines, columns, rows }
}
