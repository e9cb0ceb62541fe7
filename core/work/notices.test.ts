import { describe, expect, it } from 'vitest'
import type { Instant } from '../base'
import { P1, at, ids } from '../../tests/support/made'
import { noticesOf } from './notices'

const NOW = at('10-10T12:00')
const row = (over: Partial<Parameters<typeof noticesOf>[0][number]['terms']> = {}, learner = 'l1') => ({
  learnerId: ids.user(learner),
  assignmentId: ids.work('w1'),
  pieceId: P1,
  terms: {
    listed: at('10-09T08:00'),
    opens: at('10-09T08:00'),
    due: at('10-12T08:00'),
    closes: at('10-12T08:00'),
    putAway: null,
    maxAttempts: 1,
    timeLimitMinutes: null,
    ...over,
  },
})
const told = (had: ReturnType<typeof row>[], next: ReturnType<typeof row>[]) =>
  noticesOf(had, next, NOW).map(({ learnerId, kind, fromAt }) => [learnerId, kind, fromAt])

describe('what learners are told', () => {
  it('is new work, once it is listed for them and not before', () => {
    expect(told([], [row()])).toEqual([['l1', 'new', NOW]])
    const later = at('10-11T06:00')
    expect(told([], [row({ listed: later, opens: later })])).toEqual([['l1', 'new', later]])
    expect(told([], [row({ listed: null })])).toEqual([['l1', 'new', NOW]])
  })

  it('is more time, more tries, or that it moved', () => {
    const longer = { due: at('10-14T08:00'), closes: at('10-14T08:00') }
    expect(told([row()], [row(longer)])).toEqual([['l1', 'more-time', NOW]])
    expect(told([row()], [row({ ...longer, maxAttempts: 2 })])).toEqual([['l1', 'more-time', NOW]])
    expect(told([row()], [row({ maxAttempts: 2 })])).toEqual([['l1', 'more-tries', NOW]])
    expect(told([row()], [row({ maxAttempts: null })])).toEqual([['l1', 'more-tries', NOW]])
    expect(told([row()], [row({ due: at('10-11T08:00') })])).toEqual([['l1', 'moved', NOW]])
    const shifted = { opens: at('10-11T08:00'), ...longer }
    expect(told([row()], [row(shifted)])).toEqual([['l1', 'moved', NOW]])
  })

  it('is that work was taken back, of those who have none of it left', () => {
    expect(told([row(), row({}, 'l2')], [row()])).toEqual([['l2', 'taken-back', NOW]])
  })

  it('is nothing where nothing changed for them, or where they cannot know of it', () => {
    const unlisted = { listed: at('10-11T06:00'), opens: at('10-11T06:00') }
    expect(told([row()], [row()])).toEqual([])
    expect(told([row()], [row({ timeLimitMinutes: 20 })])).toEqual([])
    expect(told([row(unlisted)], [])).toEqual([])
    expect(told([row(unlisted)], [row({ ...unlisted, due: at('10-20T08:00') })])).toEqual([])
    const postponed = { listed: at('10-11T20:00'), opens: at('10-11T20:00') }
    expect(told([row(unlisted)], [row(postponed)])).toEqual([['l1', 'new', postponed.listed]])
  })

  it('is nothing of work that is over', () => {
    const over = { due: at('10-09T20:00'), closes: at('10-09T20:00') as Instant }
    expect(told([], [row(over)])).toEqual([])
    expect(told([row(over)], [])).toEqual([])
    // reopened is told, since it is not over any longer
    expect(told([row(over)], [row()])).toEqual([['l1', 'more-time', NOW]])
  })
})
