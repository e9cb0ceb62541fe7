import type { LiesAt, PlacedStone } from '#core/placing'
import type { Placing } from '#shared/contracts/placing'

/** A stone as it lies in one cell. */
export interface InCell {
  readonly stone: PlacedStone
  readonly at: LiesAt
}
/** What opens on a day in a column, by day and column. */
export function byCell({ stones }: Placing): ReadonlyMap<string, readonly InCell[]> {
  const cells = new Map<string, InCell[]>()
  for (const stone of stones)
    for (const at of stone.at) {
      const name = `${at.opensOn} ${at.key}`
      cells.set(name, [...(cells.get(name) ?? []), { stone, at }])
    }
  return cells
}
