import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import { itemFigures } from '#core/evidence'
import type { Item } from '#core/library'
import { P1, extended, ids, single, text } from '../../../tests/support/made'
import { moved, stepsOf, talksOf } from './discussion'
import type { At, Move } from './discussion'

const items = [single('1', { feedback: 'Because.' }), text('2', { feedback: '' }), extended('3')]
const answers = (choice: string) => new Map([[ids.item('1'), { kind: 'single', choice } as const]])
const piece = (list: readonly Item[] = items) => ({
  assignmentId: ids.work('w'),
  pieceId: P1,
  resourceId: asId<never>('r'),
  title: 'Check',
  pieceTitle: null,
  className: 'Class A',
  tries: 1,
  items: list,
  // the first is right, the second left out: it is the harder one
  figures: itemFigures(list, [{ answers: answers('b'), itemIds: null, score: null }]),
  files: [],
  version: 1,
  mayMend: true,
  corrections: [],
})
const walk = (from: At, ...moves: readonly Move[]) => {
  const talks = talksOf(piece(), 'own')
  return moves.reduce((at, move) => moved(at, move, talks), from)
}

describe('a discussion', () => {
  it('takes the hardest item first, or the piece’s own order, and nothing that a person scores', () => {
    expect(talksOf(piece(), 'hardest').map((t) => t.number)).toEqual([2, 1])
    expect(talksOf(piece(), 'own').map((t) => t.number)).toEqual([1, 2])
  })

  it('goes from the question to the spread, the answer and the feedback, where there is one', () => {
    expect(stepsOf(items[0]!)).toEqual(['question', 'spread', 'answer', 'feedback'])
    expect(stepsOf(items[1]!)).toEqual(['question', 'spread', 'answer'])
  })

  it('moves step by step into the next item and back, and stays at the ends', () => {
    const start = { item: 0, step: 0 }
    expect(walk(start, 'back')).toEqual(start)
    expect(walk(start, 'on', 'on', 'on')).toEqual({ item: 0, step: 3 })
    expect(walk(start, 'on', 'on', 'on', 'on')).toEqual({ item: 1, step: 0 })
    expect(walk(start, 'next-item', 'back')).toEqual({ item: 0, step: 3 })
    expect(walk(start, 'next-item', 'on', 'on', 'on')).toEqual({ item: 1, step: 2 })
    expect(walk(start, 'on', 'next-item', 'item-before')).toEqual(start)
    expect(moved({ item: 4, step: 2 }, 'on', [])).toEqual(start)
  })
})
