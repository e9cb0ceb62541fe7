import { describe, expect, it } from 'vitest'
import { at } from '../../tests/support/made'
import { asId } from '../base'
import type { AssignmentId, ClassId, PieceId } from '../base'
import type { LearnerCard, LearnerPiece } from '../work'
import { folderOf, hasCopy } from './index'

const piece = (part: Partial<LearnerPiece> = {}) =>
  ({
    pieceId: asId<PieceId>('p1'),
    title: 'Its piece',
    kind: 'page',
    place: 'now',
    opensAt: null,
    dueAt: null,
    handedInAt: null,
    inProgress: false,
    ratio: null,
    ...part,
  }) as LearnerPiece
const card = (id: string, heading: string, pieces: readonly LearnerPiece[], room = '8b') =>
  ({
    id: asId<AssignmentId>(id),
    title: id,
    about: { heading },
    classId: asId<ClassId>(room),
    className: `Science ${room}`,
    pieces,
  }) as LearnerCard
const said = (cards: readonly LearnerCard[], headings: readonly string[] = ['Labs', 'Trips']) =>
  folderOf(cards, headings).map((c) => [
    c.className,
    ...c.parts.map((p) => `${p.heading}: ${p.copies.map((copy) => copy.title).join(', ')}`),
  ])

describe('a learner’s folder', () => {
  it('has own copies of pages class by class, under headings in the order of the class', () => {
    const cards = [
      card('hill', 'Trips', [piece()]),
      card('tray', 'labs ', [piece({ opensAt: at('09-10T15:00') })]),
      card('swings', 'Labs', [piece({ opensAt: at('09-02T15:00') })]),
      card('loose', '', [piece()]),
      card('other', 'Odds', [piece()]),
      card('else', 'Labs', [piece()], '7e'),
    ]
    // the oldest first; without a heading before all, and what the class does not name after all
    expect(said(cards)).toEqual([
      ['Science 8b', ': loose', 'labs: swings, tray', 'Trips: hill', 'Odds: other'],
      ['Science 7e', 'Labs: else'],
    ])
  })

  it('leaves out what is no page, and what has not opened yet', () => {
    const check = piece({ kind: 'check' })
    const coming = piece({ place: 'next' })
    const cards = [card('check', 'Labs', [check]), card('coming', 'Labs', [coming])]
    expect(said(cards)).toEqual([])
    expect(cards.some(hasCopy)).toBe(false)
    // one of several pieces goes by its own name
    expect(said([card('both', 'Labs', [check, piece()])])).toEqual([['Science 8b', 'Labs: Its piece']])
  })

  it('tells what became of each copy', () => {
    const pieces = [
      piece(),
      piece({ inProgress: true, handedInAt: at('09-10T15:00') }),
      piece({ place: 'done', handedInAt: at('09-10T15:00') }),
      piece({ place: 'done' }),
    ]
    const copies = folderOf([card('all', '', pieces)], [])[0]?.parts[0]?.copies
    expect(copies?.map((c) => c.state)).toEqual(['blank', 'begun', 'handed-in', 'missed'])
  })
})
