import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '#core/base'
import type { ClassId, LessonId, PlanId, PresetId, ResourceId } from '#core/base'
import type { Draft, Preset } from '#core/work'
import { PLAIN_WORK, aLesson, ids, piecesOf, rules } from '../../../tests/support/made'
import { PRESETS } from '~/shared/words/rules'
import { copyFor, rulesFor, startingDraft } from './starting'
import type { Known, Start, StartingCard } from './starting'

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
  presets: [],
}
const start = (part: Partial<Start>): Start => ({
  cards: [card('check', 'check', 'b1')],
  lesson: null,
  classId: null,
  learnerIds: [],
  ...part,
})
const targetsOf = (draft: Draft) => draft.targets.map((t) => Object.values(t.target).join(' '))

describe('the draft with which work begins', () => {
  it('goes to all classes that share the plan, hung on the lesson', () => {
    const draft = startingDraft(start({}), known)
    expect(targetsOf(draft)).toEqual(['class A', 'class B'])
    expect(draft.window.due).toMatchObject({ kind: 'anchor', lessonId: W1, edge: 'last', offset: 1 })
    expect(draft.pieces.map((p) => [p.resourceId, p.revision])).toEqual([['check', 3]])
    expect(draft.title).toBe('Piece check')
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

  it('takes the rules of the check among several pieces, and the lesson’s title', () => {
    const cards = [card('text', 'reading', 'b1'), card('test', 'test', 'b1')]
    const draft = startingDraft(start({ cards }), known)
    expect(draft.rules).toEqual(PRESETS.find((p) => p.key === 'test')?.rules)
    expect(draft.title).toBe('Lesson W1')
  })
})

describe('the rules with which work begins', () => {
  const own: Preset = {
    id: asId<PresetId>('p'),
    name: 'Mine',
    rules: rules({ maxAttempts: 5 }),
    classId: asId<ClassId>('A'),
    kind: 'check',
  }
  it('are one’s own before the ready ones', () => {
    expect(rulesFor('check', asId<ClassId>('A'), [own]).maxAttempts).toBe(5)
    expect(rulesFor('check', asId<ClassId>('B'), [own]).maxAttempts).toBe(2)
    expect(rulesFor('practice-set', null, [own]).maxAttempts).toBeNull()
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
