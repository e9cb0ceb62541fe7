import { describe, expect, it } from 'vitest'
import { faultInGroupRule, isInGroup } from './groupRule'
import type { StandingRule } from './groupRule'

const rule = (part: Partial<StandingRule> = {}): StandingRule => ({
  kind: 'standing',
  standards: [],
  from: null,
  below: 60,
  leastItems: 3,
  ...part,
})

describe('a group by rule', () => {
  it('has those below a share of points, and not who stands at it', () => {
    const isIn = (share: number) => isInGroup(rule(), { grade: null, standing: { share, items: 10 } })
    expect([0, 0.599, 0.6, 1].map(isIn)).toEqual([true, true, false, false])
  })

  it('has those from a share on, and between two', () => {
    const between = rule({ from: 60, below: 85 })
    const stands = (share: number) => ({ grade: null, standing: { share, items: 3 } })
    const isBetween = (share: number) => isInGroup(between, stands(share))
    expect([0.59, 0.6, 0.84, 0.85].map(isBetween)).toEqual([false, true, true, false])
    expect(isInGroup(rule({ from: 85, below: null }), stands(1))).toBe(true)
  })

  it('judges nobody who has shown nothing, or too little', () => {
    expect(isInGroup(rule(), { grade: 8, standing: null })).toBe(false)
    expect(isInGroup(rule(), { grade: 8, standing: { share: 0, items: 2 } })).toBe(false)
  })

  it('needs an end, a share that is one, and at least one item', () => {
    expect(faultInGroupRule(rule())).toBeNull()
    expect(faultInGroupRule(rule({ from: 50, below: null }))).toBeNull()
    expect(faultInGroupRule(rule({ below: null }))).toBe('below')
    expect(faultInGroupRule(rule({ below: 101 }))).toBe('below')
    expect(faultInGroupRule(rule({ from: -1 }))).toBe('from')
    expect(faultInGroupRule(rule({ from: 60, below: 60 }))).toBe('below')
    expect(faultInGroupRule(rule({ leastItems: 0 }))).toBe('leastItems')
    expect(faultInGroupRule(rule({ leastItems: 1.5 }))).toBe('leastItems')
  })

  it('has those of a grade, and nobody whose grade is not known', () => {
    const ofGrades = { kind: 'grade', grades: [7, 8] } as const
    const isIn = (grade: number | null) => isInGroup(ofGrades, { grade, standing: { share: 1, items: 99 } })
    expect([6, 7, 8, 9, null].map(isIn)).toEqual([false, true, true, false, false])
  })

  it('needs a grade, and none that there is not', () => {
    const fault = (...grades: number[]) => faultInGroupRule({ kind: 'grade', grades })
    expect([fault(1, 13), fault(), fault(0), fault(14), fault(7.5)]).toEqual([
      null,
      'grades',
      'grades',
      'grades',
      'grades',
    ])
  })
})
