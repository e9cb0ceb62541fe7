import { describe, expect, it } from 'vitest'
import { at, ids } from '../../tests/support/made'
import { READY_RULES } from '../attempts'
import type { AttemptRules, TryInShort } from '../attempts'
import { NO_ABOUT } from '../work'
import { byTurn, learnerCards, mayBeOverdue } from '.'
import type { ListedWork } from '.'

const NOW = at('10-21T20:00')
const listed = (id: string, part: Partial<ListedWork> = {}): ListedWork => ({
  assignmentId: ids.work(id),
  pieceId: 'p1' as ListedWork['pieceId'],
  title: `Work ${id}`,
  pieceTitle: `Piece ${id}`,
  note: '',
  about: { ...NO_ABOUT, category: 'Checks' },
  kind: 'check',
  when: 'in',
  minutes: 10,
  itemCount: 8,
  classId: ids.class('a'),
  className: 'Science 8 A',
  isFirst: false,
  inTurn: false,
  series: null,
  rules: READY_RULES.two,
  terms: {
    listed: at('10-19T08:00'),
    opens: at('10-20T08:00'),
    due: at('10-23T08:00'),
    closes: at('10-23T08:00'),
    putAway: null,
    maxAttempts: 2,
    timeLimitMinutes: null,
  },
  ...part,
})
const cardsOf = (all: readonly ListedWork[], tries: readonly TryInShort[] = []) =>
  learnerCards(all, { tries, closingsOf: (w) => ({ own: w.terms.closes, all: w.terms.closes }), now: NOW })

const open: TryInShort = {
  id: ids.try('t'),
  assignmentId: ids.work('w'),
  pieceId: listed('w').pieceId,
  learnerId: ids.user('ann'),
  number: 1,
  revision: 1,
  startedAt: at('10-20T08:30'),
  deadlineAt: null,
  submittedAt: null,
  endedBy: null,
  score: null,
  sharedFrom: null,
}

describe('a learner’s cards', () => {
  it('say what it is, until when, and how many tries are left', () => {
    const [card] = cardsOf([listed('w')])
    expect(card).toMatchObject({ id: 'w', title: 'Work w', place: 'now', dueAt: at('10-23T08:00') })
    expect(card?.pieces[0]).toMatchObject({ itemCount: 8, triesUsed: 0, triesMost: 2, mayTry: true })
  })

  it('say how many questions one try has, where they are drawn or come one by one', () => {
    const countOf = (items: AttemptRules['items'], itemCount = 30) => {
      const rules = { ...READY_RULES.two, items }
      return cardsOf([listed('w', { rules, itemCount })])[0]?.pieces[0]?.itemCount
    }
    const share = (count: number) => ({ standard: null, hardness: null, count })
    expect(countOf({ kind: 'drawn', shares: [share(4), share(6)], again: 'new' })).toBe(10)
    // what is short is said where it is set; nobody gets more than there are
    expect(countOf({ kind: 'drawn', shares: [share(40)], again: 'new' })).toBe(30)
    expect(countOf({ kind: 'adaptive', most: 12, untilError: null })).toBe(12)
    expect(countOf({ kind: 'all' })).toBe(30)
    expect(countOf({ kind: 'drawn', shares: [share(4)], again: 'same' }, 0)).toBe(0)
  })

  it('tell nothing of the category for grades', () => {
    expect(JSON.stringify(cardsOf([listed('w')]))).not.toContain('Checks')
  })

  it('count no tries of what is only read', () => {
    const reading = { itemCount: 0, kind: 'reading' } as const
    const read = { ...open, submittedAt: at('10-20T09:00') }
    const [card] = cardsOf([listed('w', reading)], [read])
    expect(card?.pieces[0]).toMatchObject({ triesUsed: 0, passPercent: null, handedInAt: read.submittedAt })
  })

  it('stand in the order in which they are done: first things first, then what is due soonest', () => {
    const sooner = { terms: { ...listed('x').terms, due: at('10-22T08:00') } }
    const cards = byTurn(
      cardsOf([listed('later'), listed('soon', sooner), listed('first', { isFirst: true })]),
    )
    expect(cards.map((c) => c.id)).toEqual(['first', 'soon', 'later'])
  })
})

describe('a try that goes on', () => {
  it('may have to be ended when its work is not on the screen, since nothing is known of it', () => {
    expect(mayBeOverdue([], [open], NOW)).toBe(true)
    expect(mayBeOverdue([], [{ ...open, submittedAt: NOW }], NOW)).toBe(false)
  })
})
