import { describe, expect, it } from 'vitest'
import { P1, ids } from '../../../tests/support/made'
import { sayToScore, scoringQueue, waitingIn } from './scoringLink'

describe('what waits to be scored', () => {
  it('is summed up over cells, and said: first to score, then to release', () => {
    const both = waitingIn([
      { toScore: 2, toRelease: 1 },
      { toScore: 0, toRelease: 3 },
    ])
    expect(both).toEqual({ toScore: 2, toRelease: 4 })
    expect(sayToScore(both)).toBe('Score 2 texts')
    expect(sayToScore({ toScore: 0, toRelease: 1 })).toBe('Release 1 score')
    expect(sayToScore(waitingIn([]))).toBe('')
  })

  it('is opened with its work, piece and class', () => {
    const of = { assignmentId: ids.work('w'), pieceId: P1, classId: ids.class('c') }
    expect(scoringQueue(of).query).toEqual({ work: 'w', piece: 'p1', class: 'c' })
  })
})
