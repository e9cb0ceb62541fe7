import { describe, expect, it } from 'vitest'
import { countedRatio } from '../attempts'
import type { Attempt } from '../attempts'
import type { ItemId } from '../base'
import type { Answer } from '../library'
import { P1, aTry, at, ids, extended, multiple, single, text } from '../../tests/support/made'
import { grid, tryThatCounts } from './grid'
import { itemFigures } from './itemFigures'
import type { GridInput } from './types'

const w = ids.work('w1')
const now = at('10-10T12:00')
/** Tries as a grid takes them. */
const inShort = (tries: readonly Attempt[]): GridInput['attempts'] =>
  tries.map((t) => {
    const ratio = t.score && countedRatio(t.score)
    const waitingIds = (t.score?.items ?? []).filter((s) => s.waits).map((s) => s.itemId)
    return { ...t, score: ratio === null ? null : { ratio }, waitingIds }
  })
type Made = Partial<Omit<GridInput, 'attempts'>> & { readonly attempts?: readonly Attempt[] }
const input = ({ attempts = [], ...part }: Made): GridInput => ({
  learnerIds: [ids.user('l1')],
  works: [{ assignmentId: w, pieceId: P1, kept: 'best', passPercent: null }],
  terms: [
    {
      assignmentId: w,
      pieceId: P1,
      learnerId: ids.user('l1'),
      opensAt: at('10-01T00:00'),
      dueAt: at('10-05T00:00'),
      closesAt: at('10-07T00:00'),
    },
  ],
  ...part,
  attempts: inShort(attempts),
})
const cell = (part: Made) => grid(input(part), now)[0]

describe('grid', () => {
  it('says who has not passed, by the mark of the work or by their own', () => {
    const works = [{ assignmentId: w, pieceId: P1, kept: 'best', passPercent: 80 }] as const
    const attempts = [aTry(1, 0.6)]
    const [terms] = input({}).terms
    const by = (own?: number | null) => cell({ works, attempts, terms: [{ ...terms!, passPercent: own }] })
    expect(by()).toMatchObject({ passPercent: 80, passing: 'not-yet' })
    expect(by(50)).toMatchObject({ passPercent: 50, passing: 'passed' })
    expect(by(null)).toMatchObject({ passPercent: null, passing: null })
    expect(cell({ works, attempts: [] })).toMatchObject({ passPercent: 80, passing: null })
  })

  it('shows the kept score, how many tries, and whether the kept one was late', () => {
    expect(cell({ attempts: [aTry(1, 0.5), aTry(6, 0.9)] })).toEqual({
      assignmentId: w,
      pieceId: P1,
      learnerId: 'l1',
      state: 'handed-in',
      toScore: 0,
      toRelease: 0,
      ratio: 0.9,
      passPercent: null,
      passing: null,
      attempts: 2,
      late: true,
      isParallel: false,
    })
    expect(cell({ attempts: [aTry(1, 0.9), aTry(6, 0.5)] })).toMatchObject({ ratio: 0.9, late: false })
    // a text that nobody has scored yet was late all the same
    const text = aTry(6, 0)
    const items = [{ itemId: ids.item('1'), points: 0, of: 4, waits: true as const }]
    const unscored = { ...text, score: { ...text.score!, of: 4, waiting: 4, items } }
    expect(cell({ attempts: [unscored] })).toMatchObject({ ratio: null, late: true })
    // what was only read never is
    expect(cell({ attempts: [{ ...text, score: null }] })).toMatchObject({ ratio: null, late: false })
    expect(
      cell({
        works: [{ assignmentId: w, pieceId: P1, kept: 'latest', passPercent: null }],
        attempts: [aTry(1, 0.9), aTry(6, 0.5)],
      }),
    ).toMatchObject({ ratio: 0.5, late: true })
    expect(
      cell({
        works: [{ assignmentId: w, pieceId: P1, kept: 'mean', passPercent: null }],
        attempts: [aTry(1, 0.9), aTry(6, 0.5)],
      }),
    ).toMatchObject({ ratio: 0.7, late: true })
  })

  it('tells missing from to do, not yet open and not for them', () => {
    const terms = (opens: string, due: string | null) => [
      {
        assignmentId: w,
        pieceId: P1,
        learnerId: ids.user('l1'),
        opensAt: at(opens),
        dueAt: due ? at(due) : null,
        closesAt: null,
      },
    ]
    expect(cell({})?.state).toBe('missing')
    expect(cell({ terms: terms('10-01T00:00', '10-11T00:00') })?.state).toBe('to-do')
    expect(cell({ terms: terms('10-01T00:00', null) })?.state).toBe('to-do')
    expect(cell({ terms: terms('10-11T00:00', '10-12T00:00') })?.state).toBe('not-open')
    expect(cell({ terms: [] })?.state).toBe('not-for-them')
  })

  it('shows a try in progress as such, keeping the score so far', () => {
    expect(cell({ attempts: [aTry(1, 0.5), aTry(2, 0, { submittedAt: null, score: null })] })).toMatchObject({
      state: 'in-progress',
      ratio: 0.5,
      attempts: 2,
    })
  })

  it('has a cell for every learner and work, learner by learner', () => {
    const got = grid(
      input({
        learnerIds: [ids.user('l1'), ids.user('l2')],
        works: [
          { assignmentId: w, pieceId: P1, kept: 'best', passPercent: null },
          { assignmentId: ids.work('w2'), pieceId: P1, kept: 'best', passPercent: null },
        ],
      }),
      now,
    )
    expect(got.map((c) => `${c.learnerId} ${c.assignmentId}`)).toEqual(['l1 w1', 'l1 w2', 'l2 w1', 'l2 w2'])
  })
})

describe('standingTry', () => {
  const tries = [aTry(1, 0.5), aTry(2, 0.9), aTry(3, 0.7)]

  it('is the try that counts; for a mean, the latest', () => {
    expect(
      (['best', 'first', 'latest', 'mean'] as const).map((kept) => tryThatCounts(tries, kept)?.number),
    ).toEqual([2, 1, 3, 3])
    expect(tryThatCounts([aTry(1, 0, { submittedAt: null })], 'best')).toBeNull()
  })

  it('takes the earlier of two equal best tries', () => {
    expect(tryThatCounts([aTry(1, 0.9), aTry(2, 0.9)], 'best')?.number).toBe(1)
  })
})

describe('itemFigures', () => {
  const items = [single('1'), multiple('2')]
  const answers = (choice: string | null, choices: string[], itemIds: readonly ItemId[] | null = null) => ({
    answers: new Map<ItemId, Answer>([
      [ids.item('1'), { kind: 'single', choice }],
      [ids.item('2'), { kind: 'multiple', choices }],
    ]),
    itemIds,
    score: null,
  })

  it('counts right, omitted and each option, hardest first', () => {
    const [hard, easy] = itemFigures(items, [
      answers('b', ['a', 'c']),
      answers('b', ['a']),
      answers('a', []),
      answers('b', ['b']),
    ])
    // item 1: 3 of 4; item 2: 2 + 1 + 0 + 0 of 8 points
    expect(hard).toMatchObject({
      itemId: '2',
      n: 4,
      rightCount: 1,
      rightRatio: 0.25,
      meanRatio: 0.375,
      omittedCount: 1,
      options: { a: 2, b: 1, c: 1, d: 0 },
    })
    expect(easy).toMatchObject({
      itemId: '1',
      rightCount: 3,
      meanRatio: 0.75,
      options: { a: 1, b: 3, c: 0, d: 0 },
    })
  })

  it('tells the commonest of what was typed, alike but for case and spaces, and none of what is chosen', () => {
    const typed = ['Wave', ' wave ', 'sound', 'wave', '', 'light', 'light'].map((given) => ({
      answers: new Map<ItemId, Answer>([[ids.item('3'), { kind: 'text', text: given }]]),
      itemIds: null,
      score: null,
    }))
    const [figures] = itemFigures([text('3', { accepted: ['wave'] })], typed)
    expect(figures?.commonest).toEqual([
      { text: 'Wave', count: 3, isRight: true },
      { text: 'light', count: 2, isRight: false },
      { text: 'sound', count: 1, isRight: false },
    ])
    expect(itemFigures(items, [answers('b', [])]).map((f) => f.commonest)).toEqual([[], []])
  })

  it('counts an item among the tries that had it only', () => {
    const [first, second] = itemFigures(items, [
      answers('a', [], [ids.item('1')]),
      answers(null, ['a', 'c'], [ids.item('2')]),
      answers(null, ['a'], [ids.item('2')]),
    ])
    expect(first).toMatchObject({ itemId: '1', n: 1, meanRatio: 0, omittedCount: 0 })
    expect(second).toMatchObject({ itemId: '2', n: 2, meanRatio: 0.75, omittedCount: 0 })
  })

  it('says of enough tries how well an item tells who knows the rest', () => {
    const three = [single('1'), single('2'), single('3')]
    const tried = (...right: readonly boolean[]) => ({
      answers: new Map<ItemId, Answer>(
        right.map((is, i) => [ids.item(`${i + 1}`), { kind: 'single', choice: is ? 'b' : 'a' }]),
      ),
      itemIds: null,
      score: null,
    })
    // who has 2 and 3 has 1 as well; the key of an item that the strong miss may be wrong
    const good = Array.from({ length: 4 }, () => tried(true, true, true))
    const weak = Array.from({ length: 4 }, () => tried(false, false, true))
    const of = (tries: typeof good) =>
      Object.fromEntries(itemFigures(three, tries).map((f) => [f.itemId, f.discrimination]))
    // items 1 and 2: 1 against 0 of the one other that varies; item 3 is right for all
    expect(of([...good, ...weak])).toEqual({ 1: 1, 2: 1, 3: null })
    const turned = [...good.map(() => tried(false, true, true)), ...weak.map(() => tried(true, false, false))]
    expect(of(turned)[1]).toBeCloseTo(-1, 12)
    expect(of([...good, ...weak.slice(1)])).toEqual({ 1: null, 2: null, 3: null })
  })

  it('takes what a person gave, and leaves out what waits for one', () => {
    const item = extended('8')
    const written = (score: object) => ({
      answers: new Map<ItemId, Answer>([[item.id, { kind: 'extended', text: 'It swings.' }]]),
      itemIds: null,
      score: { items: [{ itemId: item.id, points: 0, of: 4, ...score }] },
    })
    const [figures] = itemFigures(
      [item],
      [written({ points: 4 }), written({ points: 1 }), written({ waits: true })],
    )
    expect(figures).toMatchObject({ n: 2, rightCount: 1, meanRatio: 5 / 8, waitingCount: 1 })
  })

  it('says when there are few, and is not led astray by none', () => {
    expect(
      itemFigures(
        items,
        Array.from({ length: 7 }, () => answers('b', ['a'])),
      )[0]?.few,
    ).toBe(true)
    expect(
      itemFigures(
        items,
        Array.from({ length: 8 }, () => answers('b', ['a'])),
      )[0]?.few,
    ).toBe(false)
    expect(itemFigures(items, [])[0]).toMatchObject({ n: 0, rightRatio: 0, meanRatio: 0 })
  })
})
