import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '#core/base'
import type { ClassId, LessonId, PieceId, PlanId, ResourceId } from '#core/base'
import { NO_ABOUT, rulesOf } from '#core/work'
import type { Draft } from '#core/work'
import { PLAIN_WORK, aLesson, ids, piecesOf, rules } from '../../../tests/support/made'
import { PRESETS } from '~/shared/words/rules'
import type { StartingCard } from './pieceRules'
import { copyFor, startingDraft } from './starting'
import type { Known, Start } from './starting'

const card = (id: string, kind: StartingCard['kind'], bookLessonId: string | null): StartingCard => ({
  id: asId<ResourceId>(id),
  title: `Piece ${id}`,
  kind,
  revision: 3,
  bookLessonId,
  itemCount: kind === 'reading' ? 0 : 8,
})
const W1 = asId<LessonId>('W1')
const plans = new Map([
  ['waves', { lessons: [aLesson('W1', 1, { bookLessonId: 'b1' })] }],
  ['other', { lessons: [aLesson('X1', 1, { bookLessonId: 'b1' }), aLesson('X2')] }],
])
const aClass = (id: string, plan: string | null) => ({
  id: asId<ClassId>(id),
  planId: plan === null ? null : asId<PlanId>(plan),
})
const known: Known = {
  classes: [aClass('A', 'waves'), aClass('B', 'waves'), aClass('C', null)],
  planOf: (id) => (id === null ? null : plans.get(id)),
  isOver: () => false,
  presets: [],
}
const start = (part: Partial<Start>): Start => ({
  cards: [card('check', 'check', 'b1')],
  lesson: null,
  classId: null,
  learnerIds: [],
  ...part,
})
const readyOf = (key: string) => PRESETS.find((p) => p.key === key)?.rules
const targetsOf = (draft: Draft) => draft.targets.map((t) => Object.values(t.target).join(' '))

describe('the draft with which work begins', () => {
  it('goes to the class it was begun from, alone, hung on the lesson', () => {
    const draft = startingDraft(start({ classId: asId<ClassId>('B') }), known)
    expect(targetsOf(draft)).toEqual(['class B'])
    expect(draft.window.due).toMatchObject({ kind: 'anchor', lessonId: W1, edge: 'last', offset: 1 })
    expect(draft.pieces.map((p) => [p.resourceId, p.revision])).toEqual([['check', 3]])
    expect(draft.title).toBe('Piece check')
  })

  it('goes to nobody unasked where several classes could be meant, and to the only one that can', () => {
    expect(targetsOf(startingDraft(start({}), known))).toEqual([])
    const alone = { ...known, classes: known.classes.slice(0, 1) }
    expect(targetsOf(startingDraft(start({}), alone))).toEqual(['class A'])
    const apart = { ...known, classes: [aClass('A', 'other'), aClass('B', 'waves')] }
    expect(targetsOf(startingDraft(start({}), apart))).toEqual(['class A'])
    expect(targetsOf(startingDraft(start({}), { ...known, classes: [] }))).toEqual([])
  })

  it('goes to nobody where the class that is named is none of theirs, such as one that was archived', () => {
    const draft = startingDraft(start({ classId: asId<ClassId>('gone') }), known)
    expect(targetsOf(draft)).toEqual([])
    expect(draft.window.due).toBeNull()
  })

  it('is open at once where its lesson is over, and for single learners', () => {
    const isOver = (lesson: LessonId, id: ClassId) => lesson === W1 && id === 'A'
    const of = (part: Partial<Start>) => startingDraft(start(part), { ...known, isOver }).window
    expect(of({ classId: asId<ClassId>('A') })).toMatchObject({ opens: null, due: null })
    expect(of({ classId: asId<ClassId>('B') }).due).toMatchObject({ lessonId: W1 })
    // who comes from the lesson itself means it
    expect(of({ classId: asId<ClassId>('A'), lesson: W1 }).due).toMatchObject({ lessonId: W1 })
    expect(of({ classId: asId<ClassId>('B'), learnerIds: [ids.user('l1')] })).toMatchObject({ due: null })
  })

  it('goes to the class it came from, also where that has no plan', () => {
    const draft = startingDraft(start({ classId: asId<ClassId>('C') }), known)
    expect(targetsOf(draft)).toEqual(['class C'])
    expect(draft.window).toMatchObject({ opens: null, due: null })
  })

  it('goes to the learners who were chosen, with or without a piece', () => {
    const learnerIds = [ids.user('l1'), ids.user('l2')]
    const draft = startingDraft(
      start({ cards: [], classId: asId<ClassId>('A'), lesson: W1, learnerIds }),
      known,
    )
    expect(targetsOf(draft)).toEqual(['learner l1', 'learner l2'])
    expect(draft.pieces).toEqual([])
    expect(draft.window.due).toMatchObject({ lessonId: W1 })
  })

  it('gives each of several pieces the rules of its kind, and is called after the lesson', () => {
    const cards = [
      card('text', 'reading', 'b1'),
      card('more', 'practice-set', 'b1'),
      card('test', 'test', 'b1'),
    ]
    const draft = startingDraft(start({ cards, classId: asId<ClassId>('A') }), known)
    expect(draft.title).toBe('Lesson W1')
    const [reading, practice, test] = draft.pieces.map((p) => rulesOf(draft, p))
    expect(practice).toEqual(readyOf('practice'))
    expect(test).toEqual(readyOf('test'))
    // there is nothing to rule of what is read
    expect(reading).toEqual(draft.rules)
    expect(draft.pieces[0]?.rules).toEqual({})
  })
})

describe('a copy for another class', () => {
  const anchor = (lessonId: LessonId) =>
    ({ kind: 'anchor', lessonId, edge: 'first', offset: 2, step: 'meetings', at: 'class-end' }) as const
  const draft: Draft = {
    ...PLAIN_WORK,
    title: 'T',
    note: '',
    pieces: piecesOf(asId<ResourceId>('r')).map((p) => ({ ...p, window: { opens: anchor(W1), due: null } })),
    rules: rules(),
    window: {
      listed: null,
      opens: { kind: 'day', on: isoDay('2026-10-12') },
      due: anchor(W1),
      closes: null,
      putAway: null,
    },
    targets: [{ target: { kind: 'class', classId: asId<ClassId>('A') }, overrides: { maxAttempts: 9 } }],
    exceptIds: [ids.user('l')],
    teams: [[ids.user('l'), ids.user('m')]],
  }
  const from = [plans.get('waves')!]

  it('keeps its anchors where the class follows the same plan', () => {
    const { draft: copy, lost } = copyFor(draft, asId<ClassId>('B'), { from, to: from[0]! })
    expect(lost).toBe(false)
    expect(copy.window).toEqual(draft.window)
    expect(copy.targets).toEqual([{ target: { kind: 'class', classId: 'B' }, overrides: {} }])
    expect([copy.exceptIds, copy.teams]).toEqual([[], []])
  })

  it('gives there all of it to everybody, and follows nothing up', () => {
    const followsUp = { assignmentId: ids.work('w'), pieceId: asId<PieceId>('p1') }
    const some = {
      ...draft,
      about: { ...NO_ABOUT, category: 'Practice', followsUp },
      pieces: draft.pieces.map((p) => ({ ...p, onlyIds: [ids.user('l')] })),
    }
    const { draft: copy } = copyFor(some, asId<ClassId>('B'), { from, to: from[0]! })
    expect(copy.pieces.map((p) => 'onlyIds' in p)).toEqual([false])
    expect(copy.about).toEqual({ ...NO_ABOUT, category: 'Practice' })
  })

  it('hangs on the same lesson of the book in another plan', () => {
    const { draft: copy } = copyFor(draft, asId<ClassId>('D'), { from, to: plans.get('other')! })
    expect(copy.window.due).toEqual(anchor(asId<LessonId>('X1')))
    expect(copy.pieces[0]?.window).toEqual({ opens: anchor(asId<LessonId>('X1')), due: null })
  })

  it('says so where there is no such lesson', () => {
    const { draft: copy, lost } = copyFor(draft, asId<ClassId>('C'), { from, to: null })
    expect(lost).toBe(true)
    expect(copy.window.due).toBeNull()
    expect(copy.window.opens).toEqual({ kind: 'day', on: '2026-10-12' })
    expect(copy.pieces[0]?.window).toEqual({ due: null })
  })
})
