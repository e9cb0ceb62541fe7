import { describe, expect, it } from 'vitest'
import { at } from '../../tests/support/made'
import { doneFrom, mayFinish, readingTerms } from './reading'

const opened = { startedAt: at('10-12T14:00') }

describe('what is only read', () => {
  it('is done at once, or from its least time on, to the millisecond', () => {
    expect(mayFinish(opened, 0, at('10-12T14:00')).ok).toBe(true)
    expect(doneFrom(opened, 5)).toEqual(at('10-12T14:05'))
    expect(mayFinish(opened, 5, (at('10-12T14:05') - 1) as never).error).toEqual({
      code: 'attempts/too-soon',
      field: 'attemptId',
      from: at('10-12T14:05'),
    })
    expect(mayFinish(opened, 5, at('10-12T14:05')).ok).toBe(true)
  })

  it('is done once, and never against the clock', () => {
    const terms = { opensAt: null, dueAt: null, closesAt: null, maxAttempts: null, timeLimitMinutes: 20 }
    expect(readingTerms(terms)).toMatchObject({ maxAttempts: 1, timeLimitMinutes: null })
  })
})
