import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { UserId } from '#core/base'
import type { ScoreChange } from '#shared/contracts/regrading'
import { sayFigures, sayRegrading, sayScoreChange } from './itemWords'

const change = (part: Partial<ScoreChange> = {}): ScoreChange => ({
  learnerId: asId<UserId>('ann'),
  name: 'Ann Ash',
  number: 1,
  before: 0.5,
  after: 1,
  ...part,
})

describe('what is said of a question', () => {
  it('is how many were right, and how it goes with the rest', () => {
    const figures = {
      itemId: asId<never>('1'),
      n: 20,
      few: false,
      rightCount: 12,
      rightRatio: 0.6,
      meanRatio: 0.6,
      omittedCount: 1,
      waitingCount: 0,
      discrimination: -0.22,
      options: {},
      commonest: [],
    }
    expect(sayFigures(figures, { kind: 'single' })).toBe(
      '12 of 20 right, 1 left it out, discrimination −0.22',
    )
  })
})

describe('what is said of putting a question right', () => {
  it('is whose score becomes what, with the try where it is not the first', () => {
    expect(sayScoreChange(change())).toBe('Ann Ash: 50 % → 100 %')
    expect(sayScoreChange(change({ number: 2, before: 0.7, after: null }))).toBe(
      'Ann Ash, try 2: 70 % → to score',
    )
  })

  it('is how many go up and down, that none does, or that nobody handed it in', () => {
    const changes = [change(), change({ number: 2 }), change({ before: 1, after: 0.5 })]
    expect(sayRegrading({ tries: 20, changes })).toBe('3 scores of 20 tries change (2 up, 1 down):')
    expect(sayRegrading({ tries: 1, changes: [change()] })).toBe('1 score of 1 try changes (1 up, 0 down):')
    expect(sayRegrading({ tries: 20, changes: [] })).toBe('No score of 20 tries changes.')
    expect(sayRegrading({ tries: 0, changes: [] })).toBe(
      'Nobody has handed it in yet: it holds for those who do.',
    )
  })
})
