import { describe, expect, it } from 'vitest'
import { aTry, at } from '../../tests/support/made'
import { triesAsOf } from './asOf'
import type { TryTerms } from './types'

const terms: TryTerms = {
  opensAt: null,
  dueAt: null,
  closesAt: at('10-05T12:00'),
  maxAttempts: null,
  timeLimitMinutes: null,
}
// begun on 1 Oct at 10:00, handed in at 11:00
const done = aTry(1, 0.8)
const open = { ...done, submittedAt: null, endedBy: null, score: null }

describe('tries as of an instant', () => {
  it('are not there before they began, and go on until they were handed in', () => {
    expect(triesAsOf([done], terms, at('10-01T09:59'))).toEqual([])
    expect(triesAsOf([done], terms, at('10-01T10:30'))).toEqual([open])
    expect(triesAsOf([done], terms, at('10-01T11:00'))).toEqual([done])
  })

  it('are over, without a score, once time will have ended them', () => {
    expect(triesAsOf([open], terms, at('10-05T11:59'))).toEqual([open])
    const closed = { ...open, submittedAt: at('10-05T12:00'), endedBy: 'closing' }
    expect(triesAsOf([open], terms, at('10-06T00:00'))).toEqual([closed])
    // what is only read is not ended by time
    expect(triesAsOf([open], null, at('10-06T00:00'))).toEqual([open])
    const limited = { ...open, deadlineAt: at('10-01T10:40') }
    expect(triesAsOf([limited], terms, at('10-01T10:41'))[0]).toMatchObject({
      submittedAt: at('10-01T10:40'),
      endedBy: 'time-limit',
    })
  })
})
