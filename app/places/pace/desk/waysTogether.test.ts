import { describe, expect, it } from 'vitest'
import type { Way } from '#core/pacing'
import type { WayShown } from '#shared/contracts/pacing'
import { ids } from '../../../../tests/support/made'
import { waysTogether } from './waysTogether'

const way = (name: Way, price: number): WayShown =>
  ({ way: name, commands: [], consequence: { moved: [ids.lesson('a')], price }, work: [] }) as never

describe('waysTogether', () => {
  it('shows neighbours that come to the same as one, in their order', () => {
    const ways = [way('push-on', 0), way('use-slack', 0), way('tighten', 2), way('let-go', 0), way('hold', 0)]
    expect(waysTogether(ways).map((g) => g.map((w) => w.way))).toEqual([
      ['push-on', 'use-slack'],
      ['tighten'],
      ['let-go', 'hold'],
    ])
  })

  it('leaves ways apart that differ, and has none of none', () => {
    expect(waysTogether([way('push-on', 0), way('hold', 1)])).toHaveLength(2)
    expect(waysTogether([])).toEqual([])
  })
})
