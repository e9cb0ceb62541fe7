import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  blanks,
  everyKind,
  extended,
  matching,
  multiple,
  numeric,
  ordering,
  single,
  text,
} from '../../../tests/support/made'
import { exampleAnswer } from '../../../standins/exampleAnswers'
import { seedOf, seededRandom } from '../../base'
import {
  ITEM_KINDS,
  KINDS,
  blanksAsTyped,
  blanksOf,
  fitsItem,
  folded,
  forLearner,
  givenInWords,
  isOmitted,
  isScoredByHand,
  leftOut,
  orderingOf,
  passageParts,
  readNumber,
  rightInWords,
  scoreItem,
  wordsIn,
} from './index'

const choices = (...list: string[]) => ({ kind: 'multiple' as const, choices: list })
const typed = (value: string) => ({ kind: 'numeric' as const, text: value })
const words = (value: string) => ({ kind: 'text' as const, text: value })

describe('scoreItem', () => {
  it('gives all or nothing for a single choice', () => {
    expect(scoreItem(single('1'), { kind: 'single', choice: 'b' })).toBe(1)
    expect(scoreItem(single('1'), { kind: 'single', choice: 'a' })).toBe(0)
    expect(scoreItem(single('1'), { kind: 'single', choice: null })).toBe(0)
  })

  it(
    'shares the points of a multiple choice: right chosen − wrong chosen, over ' +
      'the right ones, never below zero',
    () => {
      // 2 points, right are a and c
      expect(scoreItem(multiple('1'), choices('a', 'c'))).toBe(2)
      expect(scoreItem(multiple('1'), choices('a'))).toBe(1)
      expect(scoreItem(multiple('1'), choices('a', 'c', 'b'))).toBe(1)
      expect(scoreItem(multiple('1'), choices('a', 'b'))).toBe(0)
      expect(scoreItem(multiple('1'), choices('b', 'd'))).toBe(0)
      expect(scoreItem(multiple('1'), choices())).toBe(0)
    },
  )

  it('takes a number within its tolerance, edges included', () => {
    // 2.5 ± 0.1
    for (const ok of ['2.5', '2.4', '2.6', '2,55', '2.5 m/s', '2.5m/s', ' 2.50 '])
      expect(scoreItem(numeric('1'), typed(ok))).toBe(1)
    for (const no of ['2.39', '2.61', '', 'two', '2.5 kg', '2.5.1'])
      expect(scoreItem(numeric('1'), typed(no))).toBe(0)
  })

  it('is not misled by binary fractions at the edge', () => {
    expect(scoreItem(numeric('1', { value: 0.2, tolerance: 0.1, unit: '' }), typed('0.3'))).toBe(1)
  })

  it('never widens a tolerance by an absolute amount', () => {
    const charge = numeric('1', { value: 1.6e-19, tolerance: 1e-21, unit: 'C' })
    for (const ok of ['1.6e-19', '1.61e-19', '1,59e-19 C']) expect(scoreItem(charge, typed(ok)), ok).toBe(1)
    for (const no of ['0', '1.62e-19', '1e-19', '1.6000000000000000001e-18'])
      expect(scoreItem(charge, typed(no)), no).toBe(0)
    const exact = numeric('1', { value: 1, tolerance: 0, unit: '' })
    expect(scoreItem(exact, typed('1.0000000001'))).toBe(0)
    expect(scoreItem(numeric('1', { value: 1, tolerance: 0.1, unit: '' }), typed('1.1'))).toBe(1)
    expect(scoreItem(numeric('1', { value: 1e15, tolerance: 0, unit: '' }), typed('1000000000000001'))).toBe(
      0,
    )
  })

  it('counts a number that can be read in two ways when either is right', () => {
    for (const value of [1250, 1.25])
      expect(scoreItem(numeric('1', { value, tolerance: 0, unit: '' }), typed('1,250'))).toBe(1)
    const eighth = numeric('1', { value: 0.125, tolerance: 0, unit: '' })
    expect(scoreItem(eighth, typed('0,125'))).toBe(1)
    expect(scoreItem(numeric('1', { value: 125, tolerance: 0, unit: '' }), typed('0,125'))).toBe(0)
  })

  it('shares points over right answers that are named once, whatever the key says', () => {
    const doubled = multiple('1', { right: ['a', 'c', 'a'] })
    if (doubled.kind !== 'multiple') throw new Error('another kind')
    expect(scoreItem(doubled, choices('a', 'c'))).toBe(2)
    expect(KINDS.multiple.check(doubled)).toEqual({ code: 'library/right-answer-twice', field: 'right' })
  })

  it('takes a short text whatever its case and spaces', () => {
    for (const ok of ['resting place', ' Resting   Place ', 'RESTING PLACE'])
      expect(scoreItem(text('1'), words(ok))).toBe(1)
    for (const no of ['restingplace', 'resting', '']) expect(scoreItem(text('1'), words(no))).toBe(0)
  })

  it('shares the points of an order over its neighbours', () => {
    const item = ordering('1')
    if (item.kind !== 'ordering') throw new Error('another kind')
    const [a, b, c, d] = item.right as [string, string, string, string]
    const order = (...list: string[]) => scoreItem(item, { kind: 'ordering', order: list })
    // 3 points, 3 pairs of neighbours
    expect(order(a, b, c, d)).toBe(3)
    expect(order(b, c, d, a)).toBe(2)
    expect(order(a, c, b, d)).toBe(0)
    expect(order(a, b, d, c)).toBe(1)
    expect(order(d, c, b, a)).toBe(0)
    expect(order(a, b)).toBe(1)
    expect(order()).toBe(0)
    expect(fitsItem(item, { kind: 'ordering', order: [a, a] })).toBe(false)
    expect(fitsItem(item, { kind: 'ordering', order: [a, 'z'] })).toBe(false)
  })

  it('shares the points of pairs over the prompts', () => {
    const item = matching('1')
    if (item.kind !== 'matching') throw new Error('another kind')
    const pairs = (given: Readonly<Record<string, string>>) =>
      scoreItem(item, { kind: 'matching', pairs: given })
    expect(pairs(item.right)).toBe(3)
    expect(pairs({ a: item.right.a ?? '' })).toBe(1)
    expect(pairs({ a: item.right.b ?? '', b: item.right.a ?? '', c: item.right.c ?? '' })).toBe(1)
    expect(pairs({})).toBe(0)
    expect(fitsItem(item, { kind: 'matching', pairs: { a: 'a' } })).toBe(false)
    expect(fitsItem(item, { kind: 'matching', pairs: { z: item.right.a ?? '' } })).toBe(false)
  })

  it('shares the points of blanks over the blanks, whatever their case and spaces', () => {
    const words = (one: string, two: string) =>
      scoreItem(blanks('1'), { kind: 'blanks', words: { 1: one, 2: two } })
    expect(words(' The  Energy', 'MATTER')).toBe(2)
    expect(words('energy', 'air')).toBe(1)
    expect(words('', '')).toBe(0)
    expect(fitsItem(blanks('1'), { kind: 'blanks', words: { 3: 'x' } })).toBe(false)
  })

  it('leaves a longer text to a person', () => {
    expect(isScoredByHand(extended('1'))).toBe(true)
    expect(scoreItem(extended('1'), { kind: 'extended', text: 'A very good answer.' })).toBe(0)
    expect(wordsIn('  It swings\n to and fro. ')).toBe(5)
    expect(wordsIn(' ')).toBe(0)
  })

  it('gives nothing for a missing answer or one of another kind', () => {
    expect(scoreItem(single('1'), undefined)).toBe(0)
    expect(scoreItem(single('1'), words('b'))).toBe(0)
  })
})

describe('what is mixed', () => {
  it('never stands as it was given, and its names tell nothing', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.string({ minLength: 1 }), { minLength: 2, maxLength: 10 }), (texts) => {
        const { options, right } = orderingOf(texts)
        expect(options.map((o) => o.text)).not.toEqual(texts)
        expect(options.map((o) => o.id)).toEqual(options.map((_, i) => 'abcdefghij'[i]))
        expect(right.map((id) => options.find((o) => o.id === id)?.text)).toEqual(texts)
        expect(orderingOf(texts)).toEqual({ options, right })
      }),
    )
  })

  it('is refused where its order tells the answer', () => {
    const item = ordering('1')
    if (item.kind !== 'ordering') throw new Error('another kind')
    const told = { ...item, right: item.options.map((o) => o.id) }
    expect(KINDS.ordering.check(told)).toEqual({ code: 'library/order-tells-answer', field: 'options' })
    const short = { ...item, right: item.right.slice(1) }
    expect(KINDS.ordering.check(short)).toEqual({ code: 'library/no-right-answer', field: 'right' })
    const pairs = matching('1')
    if (pairs.kind !== 'matching') throw new Error('another kind')
    const inRow = Object.fromEntries(pairs.prompts.map((p, i) => [p.id, pairs.partners[i]?.id ?? '']))
    expect(KINDS.matching.check({ ...pairs, right: inRow })?.code).toBe('library/order-tells-answer')
    expect(KINDS.matching.check({ ...pairs, right: {} })?.code).toBe('library/no-right-answer')
  })

  it('reads words in brackets as blanks, and writes them again', () => {
    const typed = 'A [wave | pulse] carries [energy], see 3 [ ].'
    const read = blanksOf(typed)
    expect(read).toEqual({
      passage: 'A [1] carries [2], see 3 [3].',
      accepted: { 1: ['wave', 'pulse'], 2: ['energy'], 3: [] },
    })
    expect(blanksAsTyped(read)).toBe('A [wave | pulse] carries [energy], see 3 [].')
    expect(passageParts(read.passage).filter((p) => 'blank' in p)).toEqual([
      { blank: '1' },
      { blank: '2' },
      { blank: '3' },
    ])
    const item = blanks('1', read)
    if (item.kind !== 'blanks') throw new Error('another kind')
    expect(KINDS.blanks.check(item)).toEqual({ code: 'library/no-right-answer', field: 'right' })
    expect(KINDS.blanks.check({ ...item, passage: 'No blank.' })).toEqual({
      code: 'library/no-blank',
      field: 'passage',
    })
  })
})

describe('readNumber', () => {
  it.each<[string, number | null]>([
    ['12', 12],
    ['-3', -3],
    ['−3', -3],
    ['+3', 3],
    ['1,234', 1234],
    ['1,234,567.5', 1234567.5],
    ['0,5', 0.5],
    ['1 500', 1500],
    ['0,125', 0.125],
    ['-1,250', -1250],
    ['1.234,5', 1234.5],
    ['1.234.567', 1234567],
    ['12 345,5', 12345.5],
    ['- 3', -3],
    ['10²', null],
    ['x₂', null],
    ['½', null],
    ['2 5', null],
    ['1,2,3', null],
    ['1.2.3', null],
    ['.5', 0.5],
    ['5.', 5],
    ['3e8', 3e8],
    ['1e9999', null],
    ['', null],
    ['-', null],
    ['0x10', null],
    ['Infinity', null],
  ])('reads %s as %s', (given, value) => {
    expect(readNumber(given, '')).toBe(value)
  })

  it('drops the unit if it was typed', () => {
    expect(readNumber('250 Hz', 'Hz')).toBe(250)
    expect(readNumber('250hz', 'Hz')).toBe(250)
    expect(readNumber('250 cm', 'Hz')).toBeNull()
    expect(readNumber('12 m²', 'm²')).toBe(12)
    expect(readNumber('12m2', 'm²')).toBe(12)
    expect(readNumber('m²', 'm²')).toBeNull()
  })
})

describe('what is left out', () => {
  it('is an answer of the kind, without points', () => {
    for (const item of everyKind()) {
      const answer = leftOut(item)
      expect(answer.kind).toBe(item.kind)
      expect(isOmitted(answer)).toBe(true)
      expect(fitsItem(item, answer)).toBe(true)
      expect(scoreItem(item, answer)).toBe(0)
    }
    expect(leftOut(single('1'))).toEqual({ kind: 'single', choice: null })
  })

  it('tells hints only where they are allowed', () => {
    const item = single('1', { hint: 'Think.' })
    expect('hint' in forLearner(item)).toBe(false)
    expect(forLearner(item, true)).toMatchObject({ hint: 'Think.' })
    expect('hint' in forLearner(single('2'), true)).toBe(false)
  })
})

describe('folded and isOmitted', () => {
  it('folds composed and decomposed letters alike', () => {
    expect(folded('Ze\u0301bra')).toBe(folded('Z\u00e9bra'))
  })

  it('knows what was left out', () => {
    expect(
      [undefined, { kind: 'single' as const, choice: null }, choices(), typed(' '), words('')].every(
        isOmitted,
      ),
    ).toBe(true)
    expect(
      [{ kind: 'single' as const, choice: 'a' }, choices('a'), typed('0'), words('x')].some(isOmitted),
    ).toBe(false)
  })
})

describe('every kind', () => {
  const items = everyKind()

  it('has an example here, under its own name', () => {
    expect(items.map((i) => i.kind)).toEqual(ITEM_KINDS)
    expect(ITEM_KINDS.map((name) => KINDS[name].name)).toEqual(ITEM_KINDS)
  })

  it.each(items)(
    'gives a right answer of kind $kind all its points, and fits what anybody may give',
    (item) => {
      const random = seededRandom(seedOf(item.kind))
      const right = exampleAnswer(item, true, random)
      expect(scoreItem(item, right)).toBe(isScoredByHand(item) ? 0 : item.points)
      for (let i = 0; i < 50; i++) {
        const other = exampleAnswer(item, false, random)
        expect(fitsItem(item, other)).toBe(true)
        expect(scoreItem(item, other)).toBeGreaterThanOrEqual(0)
        expect(scoreItem(item, other)).toBeLessThanOrEqual(item.points)
      }
    },
  )

  it.each(items)('shows a learner of kind $kind only what tells nothing', (item) => {
    const known = ['id', 'kind', 'stem', 'points', ...KINDS[item.kind].shown]
    expect(Object.keys(forLearner(item)).sort()).toEqual(known.sort())
    expect(JSON.stringify(forLearner(item))).not.toMatch(/"right"|"accepted"|"guide"/)
  })

  it.each(items)('says what was given and what is right, kind $kind', (item) => {
    const right = exampleAnswer(item, true, () => 0)
    const given = givenInWords(item, right)
    expect(given).not.toBe('')
    // of several accepted words in a blank, one was given; what is scored by hand has no right text
    if (item.kind === 'blanks') expect(rightInWords(item)).toBe('energy / the energy, matter')
    else if (!isScoredByHand(item)) expect(rightInWords(item)).toContain(given)
  })
})
