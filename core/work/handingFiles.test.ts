import { describe, expect, it } from 'vitest'
import { at } from '../../tests/support/made'
import { mayHandFiles } from './handingFiles'

const now = at('10-21T10:00')
const piece = {
  state: 'open',
  blockedBy: null,
  opensAt: at('10-20T08:00'),
  closesAt: at('10-30T08:00'),
} as const

describe('handing in files', () => {
  it('goes on while a piece is open or late', () => {
    expect(mayHandFiles(piece, now).ok).toBe(true)
    expect(mayHandFiles({ ...piece, state: 'late' }, now).ok).toBe(true)
  })

  it('waits for what comes first, and for the opening, and ends with the closing', () => {
    const blockedBy = { kind: 'work', title: 'Safety' } as const
    expect(mayHandFiles({ ...piece, blockedBy }, now).error).toMatchObject({ title: 'Safety' })
    expect(mayHandFiles({ ...piece, state: 'coming-up' }, now).error).toMatchObject({
      opensAt: piece.opensAt,
    })
    for (const state of ['closed', 'put-away'] as const)
      expect(mayHandFiles({ ...piece, state }, now).error).toMatchObject({ closedAt: piece.closesAt })
  })
})
