import { describe, expect, it } from 'vitest'
import { faultInGroupRule, isInGroup } from './groupRule'
import type { GroupRule } from './groupRule'

const rule = (part: Partial<GroupRule> = {}): GroupRule => ({
  kind: 'standing',
  standards: [],
  from: null,
  below: 60,
  leastItems: 3,
  ...part,
})

describe('a group by rule', () => {
  it('has those below a share of points, and not who stands at it', () => {
    const isIn = (share: number) => isInGroup(rule(), { share, items: 10 })
    expect([0, 0.599, 0.6, 1].map(isIn)).toEqual([true, true, false, false])
  })

  it('has those from a share on, and between two', () => {
    const between = rule({ from: 60, below: 85 })
    expect([0.59, 0.6, 0.84, 0.85].map((share) => isInGroup(between, { share, items: 3 }))).toEqual([
      false,
      true,
      true,
      false,
    ])
    expect(isInGroup(rule({ from: 85, below: null }), { share: 1, items: 3 })).toBe(true)
  })

  it('judges nobody who has shown nothing, or too little', () => {
    expect(isInGroup(rule(), null)).toBe(false)
    expect(isInGroup(rule(), { share: 0, items: 2 })).toBe(false)
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
})
