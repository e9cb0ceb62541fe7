import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { UserId } from '#core/base'
import { sayNeeding, whoNeedsAgain } from './whoNeedsAgain'

const [ann, ben, cal, dora] = ['ann', 'ben', 'cal', 'dora'].map((id) => asId<UserId>(id)) as [
  UserId,
  UserId,
  UserId,
  UserId,
]
const learners = [ann, ben, cal, dora].map((id) => ({ id, name: String(id) }))

describe('whoNeedsAgain', () => {
  it('is who is missing, and then who is below 60 %', () => {
    const needing = whoNeedsAgain(
      [
        { learnerId: ann, state: 'handed-in', ratio: 0.59 },
        { learnerId: ben, state: 'handed-in', ratio: 0.6 },
        { learnerId: cal, state: 'missing', ratio: null },
        { learnerId: dora, state: 'to-do', ratio: null },
      ],
      learners,
    )
    expect(needing.map((n) => [n.name, n.about])).toEqual([
      ['cal', 'missing'],
      ['ann', '59 %'],
    ])
    expect(sayNeeding(needing)).toBe('1 missing, 1 below 60 %')
  })

  it('is nobody where all is well', () => {
    expect(whoNeedsAgain([{ learnerId: ann, state: 'handed-in', ratio: 0.9 }], learners)).toEqual([])
    expect(sayNeeding([])).toBe('')
  })
})
