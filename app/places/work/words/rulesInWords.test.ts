import { describe, expect, it } from 'vitest'
import { READY_RULES } from '#core/attempts'
import { rulesInWords, sayLimits } from './rulesInWords'

const CHECK = READY_RULES.two
const lines = (part: Partial<typeof CHECK>) => rulesInWords({ ...CHECK, ...part }, CHECK)
const differing = (part: Partial<typeof CHECK>) => lines(part).flatMap((l) => (l.differs ? [l.text] : []))

describe('rules in words', () => {
  it('are a line each, and those that say nothing are left out', () => {
    expect(rulesInWords(CHECK, null).map((l) => l.text)).toEqual([
      '2 tries, the best try counts',
      'No time limit',
      'All questions, shuffled for each learner',
      'Score and feedback when handed in',
      'Right answers after it has closed for everybody',
      'Help: a calculator',
    ])
  })

  it('mark what is other than ready rules have it, also where two rules share a line', () => {
    expect(differing({})).toEqual([])
    expect(differing({ kept: 'mean' })).toEqual(['2 tries, the mean of all tries counts'])
    expect(differing({ order: 'as-written' })).toEqual(['All questions, as written'])
    const late = { percentPerDay: 10, per: 'calendar-day', floorPercent: 50 } as const
    expect(differing({ late })).toEqual(['10 % off for each day late'])
  })
})

describe('what a target has of its own', () => {
  it('is said in few words, "none" included, and only what is there', () => {
    expect(sayLimits({})).toBe('')
    expect(sayLimits({ maxAttempts: 1, timeLimitMinutes: 20, help: ['hints'] })).toBe(
      '1 try, 20 min, help: hints',
    )
    expect(sayLimits({ waitMinutes: 0, passPercent: null, help: [] })).toBe(
      'no wait, no pass mark, help: none',
    )
    expect(sayLimits({ maxAttempts: null, timeLimitMinutes: null })).toBe(
      'any number of tries, no time limit',
    )
  })
})
