import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { HELPS } from '../attempts'
import type { AttemptRules, Help } from '../attempts'
import type { Reached } from '../audience'
import { ids, rules } from '../../tests/support/made'
import { ownRulesBy } from './ownRules'
import type { AssignmentTarget, OwnRules } from './types'

const ownRules = (of: Reached, from: AttemptRules, targets: readonly AssignmentTarget[]) =>
  ownRulesBy(targets)(of, from)
const ann = ids.user('ann')
const a = ids.class('a')
const b = ids.class('b')
const north = ids.group('north')
const south = ids.group('south')
const one = (part: Partial<Reached> = {}): Reached => ({
  learnerId: ann,
  classIds: [a],
  groupIds: [],
  byClass: true,
  byName: false,
  ...part,
})
const base = rules({ waitMinutes: 10, passPercent: 70, help: ['hints'] })
const ofClass = (classId: typeof a, own: Partial<OwnRules>): AssignmentTarget => ({
  target: { kind: 'class', classId },
  overrides: {},
  rules: own,
})
const ofGroup = (groupId: typeof north, own: Partial<OwnRules>): AssignmentTarget => ({
  target: { kind: 'group', groupId },
  overrides: {},
  rules: own,
})
const ofAnn = (own: Partial<OwnRules>): AssignmentTarget => ({
  target: { kind: 'learner', learnerId: ann },
  overrides: {},
  rules: own,
})

describe('rules of one learner', () => {
  it('are those of everybody while nothing says otherwise', () => {
    expect(ownRules(one(), base, [])).toEqual({ rules: {}, because: [] })
    expect(ownRules(one(), base, [ofClass(b, { waitMinutes: 0 })])).toEqual({ rules: {}, because: [] })
    // what a target says, and everybody has, is nothing of their own
    expect(ownRules(one(), base, [ofAnn({ passPercent: 70 })])).toEqual({ rules: {}, because: [] })
  })

  it('go by learner, then group, then class, field by field, and say why', () => {
    const got = ownRules(one({ groupIds: [north] }), base, [
      ofClass(a, { waitMinutes: 20, passPercent: 60, help: [] }),
      ofGroup(north, { passPercent: 90, help: ['calculator'] }),
      ofAnn({ help: ['read-aloud'] }),
    ])
    expect(got.rules).toEqual({ waitMinutes: 20, passPercent: 90, help: ['read-aloud'] })
    expect(got.because).toEqual([
      { field: 'waitMinutes', level: 'class', sourceId: a },
      { field: 'passPercent', level: 'group', sourceId: north },
      { field: 'help', level: 'learner', sourceId: ann },
    ])
  })

  it('are the kinder of two groups: less to wait, a lower mark or none, what either allows', () => {
    const both = one({ groupIds: [north, south] })
    const got = ownRules(both, base, [
      ofGroup(north, { waitMinutes: 5, passPercent: 50, help: ['calculator'] }),
      ofGroup(south, { waitMinutes: 3, passPercent: null, help: ['hints'] }),
    ])
    expect(got.rules).toEqual({ waitMinutes: 3, passPercent: null, help: ['hints', 'calculator'] })
  })

  it('of two classes count what everybody has, where one changes nothing', () => {
    const inBoth = one({ classIds: [a, b] })
    const harder = [ofClass(a, { waitMinutes: 60, passPercent: 90 })]
    expect(ownRules(inBoth, base, harder).rules).toEqual({})
    expect(ownRules(one(), base, harder).rules).toEqual({ waitMinutes: 60, passPercent: 90 })
    expect(ownRules(inBoth, base, [ofClass(a, { waitMinutes: 0 })]).rules).toEqual({ waitMinutes: 0 })
  })

  it('do not depend on the order of targets, and another group never takes anything away', () => {
    const help = fc.subarray([...HELPS]) as fc.Arbitrary<Help[]>
    const own = fc.record(
      {
        waitMinutes: fc.integer({ min: 0, max: 90 }),
        passPercent: fc.option(fc.integer({ min: 1, max: 100 })),
        help,
      },
      { requiredKeys: ['waitMinutes', 'passPercent', 'help'] },
    )
    const both = one({ groupIds: [north, south] })
    fc.assert(
      fc.property(own, own, own, (x, y, z) => {
        const targets = [ofClass(a, x), ofGroup(north, y), ofGroup(south, z)]
        const got = { ...base, ...ownRules(both, base, targets).rules }
        expect({ ...base, ...ownRules(both, base, [...targets].reverse()).rules }).toEqual(got)
        const alone = { ...base, ...ownRules(both, base, targets.slice(0, 2)).rules }
        expect(got.waitMinutes).toBeLessThanOrEqual(alone.waitMinutes)
        expect(got.passPercent ?? 0).toBeLessThanOrEqual(alone.passPercent ?? 0)
        expect(alone.help.every((h) => got.help.includes(h))).toBe(true)
      }),
    )
  })
})
