import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ids } from '../../tests/support/made'
import { asId } from '../base'
import type { ItemId, ResourceId } from '../base'
import { bandOf } from '../evidence'
import { asOneWork } from './accepted'
import { atBest, missedOf, onStandards } from './missed'
import { proposeFollowUp } from './propose'
import type { FollowUpGround, FollowUpLearner, FollowUpPiece, FollowUpTerms, OnStandard } from './types'

const id = (text: string) => asId<ResourceId>(text)
const piece = (name: string, part: Partial<FollowUpPiece> = {}): FollowUpPiece => ({
  id: id(name),
  title: name,
  kind: 'practice-set',
  role: 'practice',
  minutes: 10,
  grade: 8,
  standards: ['W.1'],
  revision: 1,
  itemCount: 5,
  ...part,
})
const ground = (part: Partial<FollowUpGround> = {}): FollowUpGround => ({
  grade: 8,
  checkId: id('check'),
  pieces: [],
  pointers: [],
  requires: {},
  ...part,
})
const on = (code: string, share: number, items = 4): OnStandard => ({
  code,
  share,
  items,
  missed: share === 1 ? 0 : Math.max(1, Math.round((1 - share) * items)),
})
const learner = (part: Partial<FollowUpLearner> = {}): FollowUpLearner => ({
  id: ids.user('ann'),
  on: [on('W.1', 0.25)],
  hasIds: [],
  given: [],
  since: [],
  standings: {},
  minutesDue: 0,
  ...part,
})
const terms = (part: Partial<FollowUpTerms> = {}): FollowUpTerms => ({
  most: 2,
  mostMinutes: null,
  reach: 'level',
  extend: false,
  ...part,
})
const proposed = (of: Parameters<typeof proposeFollowUp>) =>
  proposeFollowUp(...of).proposals.map((p) => [p.pieceId, p.because, p.answers.join(' ')])

describe('what was missed', () => {
  it('is counted by standard over all tries, without what waits', () => {
    const item = (name: string, standard: string | null) => ({ id: asId<ItemId>(name), standard })
    const earned = (name: string, points: number, part = {}) => ({
      itemId: asId<ItemId>(name),
      points,
      of: 2,
      ...part,
    })
    const first = {
      items: [item('a', 'W.1'), item('b', 'W.1'), item('c', null), item('d', 'W.2')],
      score: { items: [earned('a', 2), earned('b', 1), earned('c', 0), earned('d', 0, { waits: true })] },
    }
    // the same names in another piece are other items
    const second = { items: [item('a', 'W.2')], score: { items: [earned('a', 2)] } }
    expect(onStandards([first, second])).toEqual([
      { code: 'W.1', missed: 1, items: 2, share: 0.75 },
      { code: '', missed: 1, items: 1, share: 0 },
      { code: 'W.2', missed: 0, items: 1, share: 1 },
    ])
  })

  it('goes by how well it may be known at best: the upper end of the score interval', () => {
    // worked out by hand: 0 of 1: z² / (1 + z²); 2 of 7 and 4 of 8 by the formula
    expect(atBest({ share: 0, items: 1 })).toBeCloseTo(0.7935, 4)
    expect(atBest({ share: 2 / 7, items: 7 })).toBeCloseTo(0.6411, 4)
    expect(atBest({ share: 0.5, items: 8 })).toBeCloseTo(0.7848, 4)
    // the slow twin: the largest share whose distance from what was seen is within 1.96 of its own deviations
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 0, max: 30 }), (n, k) => {
        const share = Math.min(k, n) / n
        const isWithin = (p: number) => Math.abs(share - p) <= 1.96 * Math.sqrt((p * (1 - p)) / n)
        let [low, high] = [share, 1]
        for (let i = 0; i < 60; i++) {
          const p = (low + high) / 2
          if (isWithin(p)) low = p
          else high = p
        }
        expect(atBest({ share, items: n })).toBeCloseTo(low, 6)
      }),
    )
  })

  it('is what lies below the highest band, what is surest first', () => {
    const list = [on('a', 0.7), on('b', 1), on('c', 0.2), on('d', 0.9, 10), on('e', 0.7, 9)]
    expect(missedOf(list).map((m) => m.code)).toEqual(['c', 'e', 'a'])
    // one of one is less sure than five of seven
    expect(missedOf([on('once', 0, 1), on('often', 2 / 7, 7)])[0]?.code).toBe('often')
  })
})

describe('proposals', () => {
  const again = piece('again', { role: 'reteach' })
  const practice = piece('practice')
  const further = piece('further', { role: 'extension' })

  it('go by the guide first, then by the shelf for the band', () => {
    const shelf = ground({ pieces: [practice, again, further] })
    expect(proposed([[learner()], shelf, terms()])).toEqual([['again', 'shelf', 'W.1']])
    expect(proposed([[learner({ on: [on('W.1', 0.7)] })], shelf, terms()])[0]?.[0]).toBe('practice')
    const guided = { ...shelf, pointers: [{ code: 'W.1', to: practice.id }] }
    expect(proposed([[learner()], guided, terms()])).toEqual([['practice', 'guide', 'W.1']])
    const byCheck = { ...shelf, pointers: [{ code: null, to: practice.id }] }
    expect(proposed([[learner()], byCheck, terms()])[0]?.[1]).toBe('guide')
    // what the guide names for the check does not answer a standard that it does not serve
    const other = piece('other', { standards: ['W.9'] })
    const astray = ground({ pieces: [again, other], pointers: [{ code: null, to: other.id }] })
    expect(proposed([[learner()], astray, terms()])[0]?.[0]).toBe('again')
  })

  it('take the grade of the check first, and never the check, a test, or what they have', () => {
    const easier = piece('easier', { role: 'reteach', grade: 6 })
    const check = piece('check', { role: 'reteach' })
    const test = piece('test', { role: 'reteach', kind: 'test' })
    const shelf = ground({ pieces: [check, test, easier, again] })
    expect(proposed([[learner()], shelf, terms()])[0]?.[0]).toBe('again')
    const has = learner({ hasIds: [again.id] })
    expect(proposed([[has], shelf, terms()])[0]?.[0]).toBe('easier')
    const hasAll = learner({ hasIds: [again.id, easier.id] })
    expect(proposeFollowUp([hasAll], shelf, terms()).unanswered[0]?.why).toBe('has-all')
    expect(proposeFollowUp([learner()], ground(), terms()).unanswered[0]?.why).toBe('nothing-serves')
  })

  it('answer with one piece all that it serves', () => {
    const both = piece('both', { role: 'reteach', standards: ['W.1', 'W.2'] })
    const weak = learner({ on: [on('W.2', 0.5), on('W.1', 0.25)] })
    expect(proposed([[weak], ground({ pieces: [both] }), terms({ most: 1 })])).toEqual([
      ['both', 'shelf', 'W.1 W.2'],
    ])
  })

  it('stop at as much as may be given and can be carried', () => {
    const second = piece('second', { role: 'reteach', standards: ['W.2'] })
    const shelf = ground({ pieces: [again, second] })
    const weak = learner({ on: [on('W.1', 0.25), on('W.2', 0.5)], minutesDue: 45 })
    expect(proposeFollowUp([weak], shelf, terms({ most: 1 })).unanswered).toEqual([
      { learnerId: ids.user('ann'), code: 'W.2', why: 'enough-pieces' },
    ])
    expect(proposeFollowUp([weak], shelf, terms({ mostMinutes: 60 })).unanswered[0]?.why).toBe(
      'enough-minutes',
    )
    expect(proposed([[weak], shelf, terms({ mostMinutes: 65 })])).toHaveLength(2)
  })

  it('reach back to the nearest weak standard that is needed, however these wind', () => {
    const basics = piece('basics', { role: 'reteach', standards: ['W.0'] })
    const requires = { 'W.1': ['W.05'], 'W.05': ['W.0', 'W.1'], 'W.0': ['W.05'] }
    const shelf = ground({ pieces: [again, basics], requires })
    const weak = learner({ standings: { 'W.0': 0.4, 'W.05': 0.9 } })
    expect(proposed([[weak], shelf, terms()])[0]?.[0]).toBe('again')
    const back = proposeFollowUp([weak], shelf, terms({ reach: 'back' })).proposals[0]
    expect(back).toMatchObject({ pieceId: 'basics', because: 'before', via: 'W.0', code: 'W.1' })
    // what they know, or were never asked for, is not gone back to
    const knows = learner({ standings: { 'W.0': 0.8 } })
    expect(proposed([[knows], shelf, terms({ reach: 'back' })])[0]?.[0]).toBe('again')
  })

  it('leave to it who was given something, and answer anew who is weak in that, too', () => {
    const shelf = ground({ pieces: [again, practice] })
    const given = learner({ given: ['W.1'], hasIds: [again.id] })
    expect(proposeFollowUp([given], shelf, terms({ extend: true }))).toEqual({
      proposals: [],
      unanswered: [],
    })
    expect(proposed([[{ ...given, since: [on('W.1', 0.5)] }], shelf, terms()])).toEqual([
      ['practice', 'shelf', 'W.1'],
    ])
    expect(proposed([[{ ...given, since: [on('W.1', 0.9)] }], shelf, terms()])).toEqual([])
  })

  it('go further for who missed nothing, where that is wanted', () => {
    const strong = learner({ on: [on('W.1', 1)] })
    const shelf = ground({ pieces: [again, further] })
    expect(proposed([[strong], shelf, terms()])).toEqual([])
    expect(proposed([[strong], shelf, terms({ extend: true })])).toEqual([['further', 'further', 'W.1']])
    expect(proposeFollowUp([strong], ground(), terms({ extend: true })).unanswered).toEqual([])
  })
})

describe('laws', () => {
  const CODES = ['a', 'b', 'c', 'd']
  const share = fc.integer({ min: 0, max: 20 }).map((n) => n / 20)
  const pieces = fc
    .array(
      fc.record({
        standards: fc.subarray(CODES, { minLength: 1 }),
        role: fc.constantFrom('core', 'reteach', 'practice', 'extension', 'example'),
        kind: fc.constantFrom('practice-set', 'check', 'reading'),
        minutes: fc.integer({ min: 1, max: 30 }),
        grade: fc.integer({ min: 6, max: 9 }),
      }),
      { maxLength: 10 },
    )
    .map((list) => list.map((part, i) => piece(`p${i}`, part as Partial<FollowUpPiece>)))
  const learners = fc.array(
    fc.record({
      shares: fc.tuple(share, share, share, share),
      hasIds: fc.subarray(Array.from({ length: 10 }, (_, i) => id(`p${i}`))),
      standings: fc.dictionary(fc.constantFrom(...CODES), share),
      minutesDue: fc.integer({ min: 0, max: 60 }),
    }),
    { maxLength: 6 },
  )
  const requires = fc.dictionary(fc.constantFrom(...CODES), fc.subarray(CODES))

  it('nothing twice, never more than may be given or carried, everything missed answered or reported', () => {
    fc.assert(
      fc.property(
        learners,
        pieces,
        requires,
        fc.array(fc.record({ code: fc.constantFrom(null, ...CODES), at: fc.nat(9) }), { maxLength: 4 }),
        fc.record({
          most: fc.integer({ min: 1, max: 4 }),
          mostMinutes: fc.option(fc.integer({ min: 0, max: 90 })),
          reach: fc.constantFrom('level', 'back'),
          extend: fc.boolean(),
        }),
        (people, shelf, needs, pointed, of) => {
          const all = people.map(({ shares, ...rest }, i) =>
            learner({ ...rest, id: ids.user(`l${i}`), on: shares.map((s, n) => on(CODES[n] ?? '', s)) }),
          )
          const pointers = pointed.map(({ code, at }) => ({ code, to: id(`p${at}`) }))
          const around = ground({ pieces: shelf, pointers, requires: needs })
          const { proposals, unanswered } = proposeFollowUp(all, around, of as FollowUpTerms)
          const minutesOf = new Map(shelf.map((p) => [p.id, p.minutes]))
          for (const one of all) {
            const own = proposals.filter((p) => p.learnerId === one.id)
            const given = own.map((p) => p.pieceId)
            expect(new Set([...given, ...one.hasIds]).size).toBe(given.length + new Set(one.hasIds).size)
            expect(given.length).toBeLessThanOrEqual(of.most)
            const minutes = given.reduce((sum, p) => sum + (minutesOf.get(p) ?? NaN), 0)
            if (of.mostMinutes !== null && given.length > 0)
              expect(one.minutesDue + minutes).toBeLessThanOrEqual(of.mostMinutes)
            const answered = own.flatMap((p) => p.answers)
            const open = unanswered.filter((u) => u.learnerId === one.id).map((u) => u.code)
            const missed = one.on.filter((o) => o.missed > 0 && bandOf(o.share) !== 'high').map((o) => o.code)
            if (missed.length > 0) expect([...answered, ...open].sort()).toEqual(missed.sort())
            else expect(open).toEqual([])
          }
        },
      ),
      { numRuns: 1000 },
    )
  })

  it('one work gives everybody their own and nothing else', () => {
    const accepted = fc.uniqueArray(
      fc.record({ learnerId: fc.constantFrom('x', 'y', 'z'), pieceId: fc.constantFrom('p', 'q', 'r') }),
      { minLength: 1, selector: (a) => `${a.learnerId} ${a.pieceId}` },
    )
    fc.assert(
      fc.property(accepted, (list) => {
        const asked = list.map((a) => ({ learnerId: ids.user(a.learnerId), pieceId: id(a.pieceId) }))
        const { learnerIds, pieces: given } = asOneWork(asked)
        const has = given.flatMap((p) => (p.onlyIds ?? learnerIds).map((l) => `${l} ${p.pieceId}`))
        expect(has.sort()).toEqual(asked.map((a) => `${a.learnerId} ${a.pieceId}`).sort())
        expect(new Set(given.map((p) => p.pieceId)).size).toBe(given.length)
      }),
    )
  })
})
