import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { at, ids } from '../../tests/support/made'
import { asId } from '../base'
import type { PieceId } from '../base'
import { NO_ABOUT } from './about'
import { firstInWay, withBlocks } from './blocking'
import { togetherOf } from './together'
import type { LearnerCard, LearnerPiece } from './together'

const piece = (id: string, part: Partial<LearnerPiece> = {}): LearnerPiece => ({
  pieceId: asId<PieceId>(id),
  title: `Piece ${id}`,
  kind: 'check',
  when: 'in',
  minutes: 10,
  itemCount: 4,
  state: 'open',
  place: 'now',
  opensAt: null,
  dueAt: null,
  closesAt: null,
  triesUsed: 0,
  triesMost: null,
  timeLimitMinutes: null,
  inProgress: false,
  handedInAt: null,
  ratio: null,
  mayTry: true,
  passPercent: null,
  passing: null,
  blockedBy: null,
  ...part,
})
const done = { place: 'done', handedInAt: at('10-01T10:00') } as const
function card(id: string, pieces: readonly LearnerPiece[], part: Partial<LearnerCard> = {}): LearnerCard {
  return {
    id: ids.work(id),
    title: `Work ${id}`,
    note: '',
    about: NO_ABOUT,
    isFirst: false,
    inTurn: false,
    classId: ids.class('a'),
    series: null,
    className: '8 A',
    pieces,
    ...togetherOf(pieces),
    ...part,
  }
}
const blockers = (cards: readonly LearnerCard[]) =>
  withBlocks(cards).map((c) => c.pieces.map((p) => p.blockedBy?.title ?? null))

describe('first things first', () => {
  const first = card('first', [piece('p1')], { isFirst: true })

  it('keeps other work of the class waiting while it is open', () => {
    expect(blockers([first, card('other', [piece('p1')])])).toEqual([[null], ['Work first']])
    expect(withBlocks([first, card('other', [piece('p1')])])[1]).toMatchObject({
      mayTry: false,
      place: 'now',
    })
  })

  it('keeps nothing waiting of another class, of what comes first as well, or that has begun', () => {
    const elsewhere = card('b', [piece('p1')], { classId: ids.class('b') })
    const second = card('second', [piece('p1')], { isFirst: true })
    const begun = card('begun', [piece('p1', { inProgress: true }), piece('p2', done)])
    expect(blockers([first, elsewhere, second, begun])).toEqual([[null], [null], [null], [null, null]])
  })

  it('is over once handed in, closed, or not yet open', () => {
    const other = card('other', [piece('p1')])
    for (const part of [done, { place: 'done' }, { place: 'next' }] as const)
      expect(blockers([card('first', [piece('p1', part)], { isFirst: true }), other])[1]).toEqual([null])
  })

  it('is said to what waits for it, such as practice; what is only recommended comes before nothing', () => {
    const [a, b] = [ids.class('a'), ids.class('b')]
    expect([firstInWay([first], a), firstInWay([first], b)]).toEqual(['Work first', null])
    expect(firstInWay([card('first', [piece('p1', done)], { isFirst: true })], a)).toBeNull()
    const offered = { ...first, about: { ...NO_ABOUT, isRecommended: true } }
    expect(firstInWay([offered], a)).toBeNull()
    expect(blockers([offered, card('other', [piece('p1')])])[1]).toEqual([null])
  })

  it('asks for the pass mark while another try could reach it', () => {
    const failed = { ...done, passPercent: 70, passing: 'not-yet' } as const
    const other = card('other', [piece('p1')])
    const of = (part: Partial<LearnerPiece>) =>
      blockers([card('first', [piece('p1', part)], { isFirst: true }), other])[1]
    expect(of(failed)).toEqual(['Work first'])
    expect(of({ ...failed, mayTry: false })).toEqual([null])
    expect(of({ ...failed, passing: 'passed' })).toEqual([null])
  })
})

describe('one after the other', () => {
  const inTurn = (...pieces: readonly LearnerPiece[]) => card('w', pieces, { inTurn: true })

  it('opens a piece when those before it are finished', () => {
    expect(blockers([inTurn(piece('p1'), piece('p2'), piece('p3'))])).toEqual([
      [null, 'Piece p1', 'Piece p1'],
    ])
    expect(blockers([inTurn(piece('p1', done), piece('p2'), piece('p3'))])).toEqual([
      [null, null, 'Piece p2'],
    ])
    expect(blockers([card('w', [piece('p1'), piece('p2')])])).toEqual([[null, null]])
  })

  it('does not wait for what can no longer be done, but for what opens later', () => {
    expect(blockers([inTurn(piece('p1', { place: 'done' }), piece('p2'))])).toEqual([[null, null]])
    expect(blockers([inTurn(piece('p1', { place: 'next' }), piece('p2'))])).toEqual([[null, 'Piece p1']])
  })
})

it('never leaves a learner without anything to do', () => {
  const places = fc.constantFrom('now' as const, 'done' as const)
  const cards = fc.array(
    fc.record({
      isFirst: fc.boolean(),
      inTurn: fc.boolean(),
      pieces: fc.array(places, { minLength: 1, maxLength: 3 }),
    }),
    { minLength: 1, maxLength: 5 },
  )
  fc.assert(
    fc.property(cards, (list) => {
      const made = list.map((c, i) =>
        card(
          `w${i}`,
          c.pieces.map((place, n) => piece(`p${n}`, place === 'done' ? done : {})),
          { isFirst: c.isFirst, inTurn: c.inTurn },
        ),
      )
      const somethingToDo = made.some((c) => c.pieces.some((p) => p.place === 'now'))
      const free = withBlocks(made).some((c) => c.pieces.some((p) => p.place === 'now' && !p.blockedBy))
      expect(free).toBe(somethingToDo)
    }),
  )
})
