import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { ItemId, PageId } from '../base'
import { takeSave } from './takeSave'
import type { AnswerChange, KeptAnswer } from './takeSave'

const [a, b] = [asId<PageId>('a'), asId<PageId>('b')]
const itemId = asId<ItemId>('q1')
const answer = (text: string) => ({ kind: 'text', text }) as const
const stands = (over: Partial<KeptAnswer>): KeptAnswer => ({
  itemId,
  answer: answer('stands'),
  revision: 3,
  writer: b,
  edit: 1,
  isFinal: false,
  ...over,
})
const change = (over: Partial<AnswerChange>): AnswerChange => ({
  itemId,
  answer: answer('new'),
  from: 3,
  writer: a,
  edit: 1,
  ...over,
})

describe('a change of an answer', () => {
  it('is written where none stood, and over the revision it was made from', () => {
    expect(takeSave(null, change({ from: 0 }), false)).toBe('written')
    expect(takeSave(stands({}), change({}), false)).toBe('written')
  })

  it('never replaces what another page wrote since', () => {
    expect(takeSave(stands({}), change({ from: 2 }), false)).toBe('stale')
    expect(takeSave(stands({}), change({ from: 0 }), false)).toBe('stale')
    // a revision from the future is nobody's
    expect(takeSave(stands({}), change({ from: 4 }), false)).toBe('stale')
  })

  it('follows the same page’s earlier one, whose acknowledgement was lost', () => {
    expect(takeSave(stands({ writer: a, edit: 4 }), change({ from: 2, edit: 5 }), false)).toBe('written')
  })

  it('is nothing new when it comes a second time or too late', () => {
    expect(takeSave(stands({ writer: a, edit: 4 }), change({ from: 2, edit: 4 }), false)).toBe('known')
    expect(takeSave(stands({ writer: a, edit: 4 }), change({ from: 2, edit: 3 }), false)).toBe('known')
    expect(takeSave(stands({}), change({ from: 1 }), true)).toBe('known')
  })
})

describe('two pages and a bad line', () => {
  it('never lose an answer that its own page did not see', () => {
    const step = fc.record({
      page: fc.constantFrom('a', 'b'),
      act: fc.constantFrom('type', 'send', 'replay', 'look'),
    })
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        let standing: KeptAnswer | null = null
        const pages = { a: { seen: 0, edit: 0 }, b: { seen: 0, edit: 0 } }
        const sent: { readonly page: 'a' | 'b'; readonly change: AnswerChange }[] = []
        const arrive = (page: 'a' | 'b', c: AnswerChange) => {
          const before: KeptAnswer | null = standing
          const isSame = JSON.stringify(before?.answer) === JSON.stringify(c.answer)
          const taken = takeSave(before, c, isSame)
          if (taken !== 'written') return
          // whoever overwrites had seen what stood, or wrote it
          expect(before === null || before.writer === page || c.from === before.revision).toBe(true)
          if (before?.writer === page) expect(c.edit).toBeGreaterThan(before.edit)
          standing = { ...c, isFinal: false, revision: (before?.revision ?? 0) + 1 }
        }
        for (const { page, act } of steps as { page: 'a' | 'b'; act: string }[]) {
          const of = pages[page]
          if (act === 'type') of.edit++
          if (act === 'look') of.seen = (standing as KeptAnswer | null)?.revision ?? 0
          if (act === 'send') {
            const made = change({
              from: of.seen,
              writer: asId<PageId>(page),
              edit: of.edit,
              answer: answer(`${page}${of.edit}`),
            })
            sent.push({ page, change: made })
            arrive(page, made)
          }
          const old = act === 'replay' ? sent[of.edit % Math.max(1, sent.length)] : undefined
          if (old) arrive(old.page, old.change)
        }
      }),
      { seed: 20261126, numRuns: 2000 },
    )
  })
})
