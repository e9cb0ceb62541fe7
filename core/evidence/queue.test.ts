import { describe, expect, it } from 'vitest'
import { extended } from '../../tests/support/made'
import { asId } from '../base'
import type { AttemptId, UserId } from '../base'
import { givenFor, nextToScore, pointsGiven, scoringState } from './queue'
import type { AnswerToScore, ScoreDraft } from './answerToScore'

const CRITERIA = [
  { name: 'Science', points: 4, about: '' },
  { name: 'Words', points: 2, about: '' },
]
const TEACHER = asId<UserId>('t')

function answer(id: string, part: Partial<AnswerToScore> = {}): AnswerToScore {
  const item = extended('8', { points: 12 })
  return {
    attemptId: asId<AttemptId>(id),
    learnerId: asId<UserId>(id),
    name: id,
    number: 1,
    itemId: item.id,
    item,
    answer: { kind: 'extended', text: 'It swings.' },
    otherTask: null,
    filledIn: [],
    organisers: [],
    files: [],
    expected: [],
    criteria: CRITERIA,
    points: null,
    comment: '',
    levels: null,
    draft: null,
    ...part,
  }
}
function drafted(levels: ScoreDraft['levels']): Partial<AnswerToScore> {
  return { draft: { levels, comment: 'Good.', again: true, version: 2, by: TEACHER, byName: 'T' } }
}

describe('a queue of answers', () => {
  it('says how far each is', () => {
    expect(scoringState(answer('a'))).toBe('waits')
    expect(scoringState(answer('a', drafted([3, null])))).toBe('begun')
    expect(scoringState(answer('a', drafted([3, 0])))).toBe('scored')
    expect(scoringState(answer('a', { points: 6 }))).toBe('released')
    // released, and being scored anew
    expect(scoringState(answer('a', { points: 6, ...drafted([3, null]) }))).toBe('begun')
  })

  it('shows what stands: what is not released before what is', () => {
    expect(givenFor(answer('a'))).toEqual({ levels: [null, null], comment: '', again: false })
    const released = { points: 8, levels: [3, 1], comment: 'Go on.' }
    expect(givenFor(answer('a', released))).toEqual({ levels: [3, 1], comment: 'Go on.', again: false })
    expect(givenFor(answer('a', { ...released, ...drafted([4, 2]) }))).toEqual({
      levels: [4, 2],
      comment: 'Good.',
      again: true,
    })
    // scored as a whole, before there were levels
    const whole = { points: 2.5, criteria: [{ name: '', points: 4, about: '' }] }
    expect(givenFor(answer('a', whole)).levels).toEqual([2.5])
    // 4 of 6 of 12 points
    expect(pointsGiven(answer('a', { ...released, ...drafted([3, 1]) }))).toBe(8)
    expect(pointsGiven(answer('a', drafted([3, null])))).toBeNull()
    expect(pointsGiven(answer('a', released))).toBe(8)
  })

  it('goes on with what is not scored, round and round, until all is', () => {
    const list = [answer('a'), answer('b', { points: 3 }), answer('c', drafted([1, 1])), answer('d')]
    expect(nextToScore(list, 0)).toBe(3)
    expect(nextToScore(list, 3)).toBe(0)
    // the one that is being looked at comes last
    expect(nextToScore([answer('a'), answer('b', { points: 3 })], 0)).toBe(0)
    expect(nextToScore([answer('b', { points: 3 })], 0)).toBeNull()
    expect(nextToScore([], 0)).toBeNull()
  })
})
