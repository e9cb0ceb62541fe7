import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { at, ids, multiple, numeric, rules, single, text } from '../../tests/support/made'
import { checkAnswer, checkAnswers, endingOf, isRevealed, mayChange, mayStart, orderItems } from './attempt'
import { placeOf } from './place'
import { forLearner, rightInWords } from '../library'
import type { TryTerms } from './types'

const terms: TryTerms = {
  opensAt: at('10-12T14:00'),
  dueAt: at('10-14T16:00'),
  closesAt: at('10-15T16:00'),
  maxAttempts: 2,
  timeLimitMinutes: null,
}
const open = { number: 1, startedAt: at('10-13T10:00'), deadlineAt: null, submittedAt: null }
const done = (number: number, when = at('10-13T11:00')) => ({ ...open, number, submittedAt: when })
const noon = at('10-13T12:00')

describe('mayStart', () => {
  it('starts the first try with a deadline from the limit', () => {
    expect(mayStart([], { ...terms, timeLimitMinutes: 40 }, rules(), noon).value).toEqual({
      number: 1,
      deadlineAt: at('10-13T12:40'),
    })
    expect(mayStart([done(1)], terms, rules(), noon).value).toEqual({ number: 2, deadlineAt: null })
  })

  it('opens and closes to the millisecond', () => {
    expect(mayStart([], terms, rules(), ((terms.opensAt as number) - 1) as never).error?.code).toBe(
      'attempts/not-open-yet',
    )
    expect(mayStart([], terms, rules(), terms.opensAt as never).ok).toBe(true)
    expect(mayStart([], terms, rules(), ((terms.closesAt as number) - 1) as never).ok).toBe(true)
    expect(mayStart([], terms, rules(), terms.closesAt as never).error?.code).toBe('attempts/closed')
  })

  it('starts none beside one that is in progress, however many there may be', () => {
    const many = { ...terms, maxAttempts: null }
    expect(mayStart([done(1), { ...open, number: 2 }], many, rules(), noon).error?.code).toBe(
      'attempts/one-in-progress',
    )
  })

  it('counts tries', () => {
    expect(mayStart([done(1), done(2)], terms, rules(), noon).error).toMatchObject({
      code: 'attempts/none-left',
      used: 2,
      most: 2,
    })
    expect(mayStart([done(1), done(2)], { ...terms, maxAttempts: null }, rules(), noon).ok).toBe(true)
  })

  it('waits from the latest hand-in', () => {
    const wait = rules({ waitMinutes: 90 })
    expect(mayStart([done(1)], terms, wait, at('10-13T12:29')).error).toMatchObject({
      code: 'attempts/wait',
      until: at('10-13T12:30'),
    })
    expect(mayStart([done(1)], terms, wait, at('10-13T12:30')).ok).toBe(true)
  })
})

describe('mayChange and endingOf', () => {
  const limited = { ...open, deadlineAt: at('10-13T10:40') }

  it('gives 30 seconds of grace after a time limit, none after closing', () => {
    const ms = (text: string, plus: number) => (at(text) + plus) as never
    expect(mayChange(limited, terms, ms('10-13T10:40', 29_999)).ok).toBe(true)
    expect(mayChange(limited, terms, ms('10-13T10:40', 30_000)).error?.code).toBe('attempts/time-is-up')
    expect(mayChange(open, terms, ms('10-15T16:00', -1)).ok).toBe(true)
    expect(mayChange(open, terms, at('10-15T16:00')).error?.code).toBe('attempts/closed')
  })

  it('never changes what was handed in', () => {
    expect(mayChange(done(1), terms, noon).error?.code).toBe('attempts/already-handed-in')
    expect(endingOf(done(1), terms, at('10-20T00:00'))).toBeNull()
  })

  it('ends a try as saved at its limit or at closing, whichever comes first', () => {
    expect(endingOf(limited, terms, at('10-13T10:41'))).toEqual({
      at: at('10-13T10:40'),
      endedBy: 'time-limit',
    })
    expect(endingOf(open, terms, at('10-16T00:00'))).toEqual({ at: at('10-15T16:00'), endedBy: 'closing' })
    expect(endingOf({ ...open, deadlineAt: at('10-15T17:00') }, terms, at('10-16T00:00'))).toEqual({
      at: at('10-15T16:00'),
      endedBy: 'closing',
    })
    expect(endingOf(open, terms, noon)).toBeNull()
  })
})

describe('checkAnswer', () => {
  const items = [single('1'), multiple('2'), numeric('3'), text('4')]

  it('takes answers that fit their item', () => {
    expect(checkAnswer(items, ids.item('1'), { kind: 'single', choice: 'a' }).ok).toBe(true)
    expect(checkAnswer(items, ids.item('1'), { kind: 'single', choice: null }).ok).toBe(true)
    expect(checkAnswer(items, ids.item('2'), { kind: 'multiple', choices: [] }).ok).toBe(true)
  })

  it('takes several when each fits, and names the first that does not', () => {
    const [one, two] = [ids.item('1'), ids.item('2')]
    const right = { itemId: one, answer: { kind: 'single', choice: 'a' } } as const
    const wrong = { itemId: two, answer: { kind: 'text', text: 'x' } } as const
    expect(checkAnswers(items, []).ok).toBe(true)
    expect(checkAnswers(items, [right, { itemId: two, answer: { kind: 'multiple', choices: [] } }]).ok).toBe(
      true,
    )
    expect(checkAnswers(items, [right, wrong]).error).toMatchObject({ itemId: two })
  })

  it('refuses unknown items, other kinds, unknown and repeated options', () => {
    expect(checkAnswer(items, ids.item('9'), { kind: 'text', text: 'x' }).error?.code).toBe(
      'attempts/unknown-item',
    )
    expect(checkAnswer(items, ids.item('1'), { kind: 'text', text: 'x' }).error).toMatchObject({
      code: 'attempts/wrong-kind-of-answer',
      expected: 'single',
    })
    expect(checkAnswer(items, ids.item('1'), { kind: 'single', choice: 'z' }).error?.code).toBe(
      'attempts/unknown-option',
    )
    expect(checkAnswer(items, ids.item('2'), { kind: 'multiple', choices: ['a', 'a'] }).error?.code).toBe(
      'attempts/unknown-option',
    )
  })
})

describe('orderItems', () => {
  const of = (learnerId: string, number = 1) => ({ assignmentId: 'w', learnerId, number })

  it('keeps the written order, or shuffles the same way for the same learner and try', () => {
    expect(orderItems([1, 2, 3], 'as-written', of('l'))).toEqual([1, 2, 3])
    expect(orderItems([1, 2, 3, 4, 5, 6], 'shuffled', of('l'))).toEqual(
      orderItems([1, 2, 3, 4, 5, 6], 'shuffled', of('l')),
    )
  })

  it('loses and doubles nothing, and differs between learners', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { maxLength: 30 }), fc.string(), (list, learner) => {
        expect([...orderItems(list, 'shuffled', of(learner))].sort()).toEqual([...list].sort())
      }),
    )
    const orders = new Set(
      Array.from({ length: 40 }, (_, i) => orderItems([1, 2, 3, 4, 5, 6], 'shuffled', of(`l${i}`)).join('')),
    )
    expect(orders.size).toBeGreaterThan(30)
  })

  it('puts each item first about equally often', () => {
    const first = [0, 0, 0, 0]
    for (let i = 0; i < 4000; i++)
      first[orderItems([0, 1, 2, 3], 'shuffled', of(`learner-${i}`))[0] as number]!++
    for (const n of first) expect(Math.abs(n - 1000)).toBeLessThan(150)
  })
})

describe('what a learner sees', () => {
  it('takes every key, feedback, standard and difficulty off an item', () => {
    for (const item of [single('1'), multiple('2'), numeric('3'), text('4')]) {
      const seen = JSON.stringify(forLearner(item))
      for (const word of ['right', 'accepted', 'value', 'tolerance', 'feedback', 'standard', 'difficulty'])
        expect(seen).not.toContain(word)
    }
  })

  it('reveals by rule: at submission, after closing, never', () => {
    const at16 = at('10-15T16:00')
    const alone = { own: terms.closesAt, all: terms.closesAt }
    expect(isRevealed('submission', { own: null, all: null }, noon)).toBe(true)
    expect(isRevealed('close', alone, at('10-15T15:59'))).toBe(false)
    expect(isRevealed('close', alone, at16)).toBe(true)
    expect(isRevealed('close', { own: null, all: null }, at16)).toBe(false)
    expect(isRevealed('never', alone, at('12-15T16:00'))).toBe(false)
    // a learner with three days more: nothing is shown to the others before, unless the rule says so
    const another = { own: terms.closesAt, all: at('10-18T16:00') }
    expect(isRevealed('close', another, at16)).toBe(false)
    expect(isRevealed('own-close', another, at16)).toBe(true)
    expect(isRevealed('close', another, at('10-18T16:00'))).toBe(true)
    expect(isRevealed('close', { own: terms.closesAt, all: null }, at('12-15T16:00'))).toBe(false)
  })

  it('says the right answer in words', () => {
    expect(
      [
        single('1'),
        multiple('2'),
        numeric('3'),
        numeric('3', { tolerance: 0, unit: '' }),
        text('4', { accepted: ['a', 'b'] }),
      ].map(rightInWords),
    ).toEqual(['Option b', 'Option a; Option c', '2.5 m/s (± 0.1)', '2.5', 'a / b'])
  })

  it('places work: in progress is now, handed in is done, not yet open is next', () => {
    const facts = { notYetOpen: false, over: false, inProgress: false, handedIn: false }
    expect(placeOf(facts)).toBe('now')
    expect(placeOf({ ...facts, notYetOpen: true })).toBe('next')
    expect(placeOf({ ...facts, handedIn: true })).toBe('done')
    expect(placeOf({ ...facts, over: true })).toBe('done')
    expect(placeOf({ ...facts, handedIn: true, inProgress: true })).toBe('now')
  })
})
