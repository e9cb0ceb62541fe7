import { describe, expect, it } from 'vitest'
import { ids } from '../../tests/support/made'
import { becameOf } from './became'
import type { OnStandard } from './types'

const [ann, ben, cyd] = [ids.user('ann'), ids.user('ben'), ids.user('cyd')]
const on = (code: string, share: number): OnStandard => ({
  code,
  share,
  items: 4,
  missed: Math.round((1 - share) * 4),
})

describe('what became of a follow-up', () => {
  it('compares those who tried again, standard by standard', () => {
    const check = [
      { learnerId: ann, on: [on('W.1', 0.25), on('W.2', 1)] },
      { learnerId: ben, on: [on('W.1', 0.5)] },
      { learnerId: cyd, on: [on('W.1', 0)] },
    ]
    // two pieces on one standard are one learner
    const given = [ann, ann, ben, cyd].map((learnerId) => ({ learnerId, codes: ['W.1', 'W.2', 'W.1'] }))
    const since = [
      { learnerId: ann, on: [on('W.1', 1)] },
      { learnerId: ben, on: [on('W.1', 0.5)] },
    ]
    // Cyd has not tried again, and is in neither mean; W.2 was missed by nobody
    expect(becameOf(given, check, since)).toEqual([
      { code: 'W.1', given: 3, again: 2, before: 0.375, since: 0.75, stillLow: 1 },
    ])
  })

  it('has no means where nobody tried again', () => {
    const check = [{ learnerId: ann, on: [on('W.1', 0.25)] }]
    expect(becameOf([{ learnerId: ann, codes: ['W.1'] }], check, [])).toEqual([
      { code: 'W.1', given: 1, again: 0, before: null, since: null, stillLow: 0 },
    ])
    expect(becameOf([{ learnerId: ben, codes: ['W.1'] }], check, [])).toEqual([])
  })
})
