import { describe, expect, it } from 'vitest'
import { at, ids } from '../../../tests/support/made'
import {
  meetingItems,
  sayBecame,
  sayGive,
  sayNothingProposed,
  sayReason,
  sayUnanswered,
} from './followUpWords'

const on = (code: string, missed: number, items: number) => ({ code, missed, items, share: 0.5 })
const who = { on: [on('W.1', 3, 4), on('W.2', 1, 2)], since: [], standings: { 'W.0': 0.4 } }
const proposal = { code: 'W.1', answers: ['W.1'], because: 'shelf', via: null } as const

describe('words of follow-up', () => {
  it('say why somebody is proposed a piece', () => {
    expect(sayReason(proposal, who)).toBe('missed 3 of 4')
    expect(sayReason({ ...proposal, answers: ['W.1', 'W.2'], because: 'guide' }, who)).toBe(
      'missed 3 of 4, and 1 of 2 on W.2 · as the guide says',
    )
    expect(sayReason({ ...proposal, because: 'before', via: 'W.0' }, who)).toBe(
      'missed 3 of 4 · it needs W.0, 40 % there',
    )
    expect(sayReason({ ...proposal, because: 'further' }, who)).toBe('missed nothing that matters')
    expect(sayReason(proposal, { ...who, since: [on('W.1', 2, 6)] })).toBe('missed 2 of 6 since')
  })

  it('say what is not answered, with whom, what concerns most first', () => {
    const [ann, ben] = [ids.user('Ann'), ids.user('Ben')]
    const lines = sayUnanswered(
      [
        { learnerId: ann, code: 'W.1', why: 'enough-pieces' },
        { learnerId: ann, code: '', why: 'nothing-serves' },
        { learnerId: ben, code: '', why: 'nothing-serves' },
      ],
      (id) => id,
    )
    expect(lines).toEqual([
      'Questions without a standard: the shelf has nothing on it (Ann and Ben).',
      'W.1: it would be more pieces than you give (Ann).',
    ])
  })

  it('say what became of it, whole per cents as they are shown elsewhere', () => {
    const became = { code: 'W.1', given: 6, again: 5, before: 0.376, since: 0.704, stillLow: 1 }
    expect(sayBecame(became)).toBe('W.1: 5 of 6 tried again, 38 % → 70 %; 1 still below 60 %')
    expect(sayBecame({ ...became, stillLow: 0 })).toBe('W.1: 5 of 6 tried again, 38 % → 70 %')
    expect(sayBecame({ ...became, again: 0, before: null, since: null })).toBe(
      'W.1: none of 6 has answered questions on it since',
    )
  })

  it('name meetings by their day, and how far off they are', () => {
    expect(meetingItems([at('10-22T09:00'), at('10-26T09:00')], 'UTC')).toEqual([
      { value: '1', label: 'Thu 22 Oct, the next meeting' },
      { value: '2', label: 'Mon 26 Oct, in 2 meetings' },
    ])
  })

  it('count what is given, and say why there is nothing to give', () => {
    expect(sayGive(1, 1)).toBe('Give 1 learner a piece')
    expect(sayGive(23, 15)).toBe('Give 23 pieces to 15 learners')
    expect(sayNothingProposed(2, 0)).toContain('why is said below')
    expect(sayNothingProposed(0, 1)).toContain('What became of it')
    expect(sayNothingProposed(0, 0)).toBe('Nobody missed anything that matters.')
  })
})
