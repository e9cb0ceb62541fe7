import { describe, expect, it } from 'vitest'
import { P1, ids, rules, single } from '../../../tests/support/made'
import type { ItemId } from '../../base'
import type { Answer } from '../../library'
import type { ItemChoice } from '../types'
import { itemToFollow, itemsOf, itemsToBegin } from './choose'

const bank = Array.from({ length: 10 }, (_, i) => single(`q${i}`, { difficulty: 1 + (i % 5) }))
const of = (number: number, learner = 'ann') => ({
  assignmentId: ids.work('w'),
  pieceId: P1,
  learnerId: ids.user(learner),
  number,
})
const drawn = (again: 'same' | 'new'): ItemChoice => ({
  kind: 'drawn',
  again,
  shares: [{ standard: null, hardness: null, count: 4 }],
})
const adaptive: ItemChoice = { kind: 'adaptive', most: 3, untilError: null }
const right = (itemId: ItemId): readonly [ItemId, Answer] => [itemId, { kind: 'single', choice: 'b' }]
const sorted = (list: readonly string[] | null) => [...(list ?? [])].sort()

describe('the items of a try', () => {
  it('are all of the piece unless they are chosen', () => {
    expect(itemsToBegin(bank, rules(), of(1), [])).toBeNull()
    expect(itemsOf(bank, { ...of(1), itemIds: null }, 'as-written')).toEqual(bank)
  })

  it('are drawn for each learner, the same or others in a further try', () => {
    const draw = (again: 'same' | 'new', number: number, earlier: readonly ItemId[][] = [], who = 'ann') =>
      itemsToBegin(
        bank,
        rules({ items: drawn(again), order: 'shuffled' }),
        of(number, who),
        earlier.map((itemIds) => ({ itemIds })),
      ) as ItemId[]
    const first = draw('same', 1)
    expect(first).toHaveLength(4)
    expect(sorted(draw('same', 2, [first]))).toEqual(sorted(first))
    const other = draw('new', 2, [draw('new', 1)])
    expect(other.filter((id) => draw('new', 1).includes(id))).toEqual([])
    const people = Array.from({ length: 12 }, (_, i) => sorted(draw('new', 1, [], `l${i}`)).join())
    expect(new Set(people).size).toBeGreaterThan(6)
  })

  it('keep their own order', () => {
    const itemIds = [ids.item('q7'), ids.item('q2')]
    expect(itemsOf(bank, { ...of(1), itemIds }, 'shuffled').map((i) => i.id)).toEqual(itemIds)
    // an item that the piece no longer has is left out
    expect(itemsOf(bank.slice(0, 5), { ...of(1), itemIds }, 'shuffled').map((i) => i.id)).toEqual(['q2'])
  })

  it('come one after another, harder after a right answer and easier after a wrong one', () => {
    const by = rules({ items: adaptive })
    const begun = itemsToBegin(bank, by, of(1), []) as ItemId[]
    const difficulty = (id: ItemId | null) => bank.find((i) => i.id === id)?.difficulty
    expect(begun.map(difficulty)).toEqual([3])
    const attempt = { ...of(1), itemIds: begun }
    expect(
      difficulty(itemToFollow(bank, by, attempt, { answers: new Map([right(begun[0]!)]), earlier: [] })),
    ).toBe(4)
    expect(difficulty(itemToFollow(bank, by, attempt, { answers: new Map(), earlier: [] }))).toBe(2)
    const three = { ...of(1), itemIds: bank.slice(0, 3).map((i) => i.id) }
    expect(itemToFollow(bank, by, three, { answers: new Map(), earlier: [] })).toBeNull()
    expect(itemToFollow(bank, rules(), attempt, { answers: new Map(), earlier: [] })).toBeNull()
  })
})
