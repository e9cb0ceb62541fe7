import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aLesson, aPlan, ids, rules } from '../../tests/support/made'
import { asId } from '../base'
import type { ClassId, LessonId, ResourceId, UnitId } from '../base'
import type { Moment } from '../availability'
import {
  STANDING_FIELDS,
  checkStanding,
  draftFor,
  offerOf,
  ontoLessons,
  readyWork,
  settingOfPiece,
  standingOf,
  usualWindow,
  withChanges,
} from './index'
import type { LessonPiece, StandingPiece } from './index'

const [a, b] = [ids.lesson('a'), ids.lesson('b')]
const piece = (part: Partial<LessonPiece> = {}): LessonPiece => ({
  resourceId: asId<ResourceId>('check'),
  revision: 2,
  title: 'Check',
  kind: 'check',
  role: 'core',
  ...part,
})
const standing = (part: Partial<StandingPiece> = {}): StandingPiece => ({
  ...standingOf(a, piece(), usualWindow(a, 'after')),
  ...part,
})
const at = (lessonId: LessonId): Moment => ({
  kind: 'anchor',
  lessonId,
  edge: 'last',
  offset: 0,
  step: 'meetings',
  at: 'class-end',
})

describe('what a textbook’s lesson usually sets', () => {
  it('is its core reading before class, its test in class, the rest afterwards, under the rules of its kind', () => {
    const made = readyWork(
      a,
      [
        piece({ kind: 'reading', title: 'Read' }),
        piece(),
        piece({ kind: 'test', title: 'Test' }),
        piece({ kind: 'practice-set', title: 'Practice' }),
        piece({ role: 'reteach', title: 'Again' }),
      ],
      { isFirst: false, isLast: false },
    )
    expect(made.map((m) => [m.title, m.pieces[0]?.when, m.rules.maxAttempts])).toEqual([
      ['Read', 'before', null],
      ['Check', 'after', 2],
      ['Test', 'in', 1],
    ])
    expect(made[0]?.window).toMatchObject({
      opens: { edge: 'first', offset: -1, at: 'class-end' },
      due: { edge: 'first', offset: 0, at: 'class-start' },
    })
    expect(made[1]?.window.due).toMatchObject({ edge: 'last', offset: 1, at: 'class-end' })
  })

  it('has no meeting before the first lesson and none after the last', () => {
    const reading = piece({ kind: 'reading' })
    const [first] = readyWork(a, [reading], { isFirst: true, isLast: false })
    expect(first?.pieces[0]?.when).toBe('after')
    const [last] = readyWork(a, [piece()], { isFirst: false, isLast: true })
    expect(last?.window.due).toMatchObject({ offset: 0, at: 'end-of-day' })
  })
})

describe('standing work of a plan', () => {
  const plan = aPlan([aLesson('a'), aLesson('b')])

  it('hangs on lessons of the plan only, and on no date', () => {
    const check = (part: Partial<StandingPiece>) => checkStanding(standing(part), plan).error?.code
    expect(check({})).toBeUndefined()
    expect(check({ window: { ...standing().window, due: at(b) } })).toBeUndefined()
    expect(check({ lessonId: ids.lesson('x') })).toBe('standing/unknown-lesson')
    expect(check({ window: { ...standing().window, due: at(ids.lesson('x')) } })).toBe(
      'standing/unknown-lesson',
    )
    const dated = { kind: 'day', on: '2026-10-05' } as unknown as Moment
    expect(check({ window: { ...standing().window, due: dated } })).toBe('standing/no-dates')
    expect(check({ pieces: [] })).toBe('work/no-pieces')
  })

  it('hangs on no lesson of another part, which might not be laid with it', () => {
    const [unit] = plan.units
    const later = { ...unit!, id: asId<UnitId>('later') }
    const parted = {
      units: [
        { ...unit!, partId: 'one' },
        { ...later, partId: 'two' },
      ],
      lessons: plan.lessons.map((l) => (l.id === b ? { ...l, unitId: later.id } : l)),
    }
    const early = standing({ lessonId: b, window: { ...standing().window, opens: at(a), due: at(b) } })
    expect(checkStanding(early, parted).error).toMatchObject({
      code: 'standing/anchor-in-other-part',
      lessonId: a,
    })
  })

  it('becomes work for all of a class', () => {
    const classId = asId<ClassId>('7e')
    expect(draftFor(standing(), classId)).toMatchObject({
      title: 'Check',
      targets: [{ target: { kind: 'class', classId }, overrides: {} }],
      newcomers: true,
    })
  })

  it('goes along with a copy of the plan', () => {
    const copies = new Map([[a, ids.lesson('copy-a')]])
    const copied = ontoLessons(standing(), copies)
    expect(copied?.lessonId).toBe('copy-a')
    expect(copied?.window.due).toMatchObject({ lessonId: 'copy-a' })
    expect(ontoLessons(standing({ lessonId: b }), copies)).toBeNull()
    expect(ontoLessons(standing({ window: { ...standing().window, due: at(b) } }), copies)).toBeNull()
  })
})

describe('what a plan offers a class', () => {
  const base = settingOfPiece(standing())
  const later = { ...base, window: { ...base.window, due: at(b) } }

  it('is what changed since it was laid', () => {
    expect(offerOf(base, { base, copy: base })).toEqual({ kind: 'settled' })
    expect(offerOf(later, { base, copy: base })).toEqual({ kind: 'changed', fields: ['window'], keeps: [] })
    expect(offerOf(base, null)).toEqual({ kind: 'new' })
    expect(offerOf(null, { base, copy: base })).toEqual({ kind: 'gone' })
    expect(offerOf(later, { base, copy: null })).toEqual({ kind: 'settled' })
  })

  it('leaves alone what the class made its own', () => {
    const own = { ...base, title: 'Our check' }
    const next = { ...later, title: 'Check 2' }
    expect(offerOf(next, { base, copy: own })).toEqual({
      kind: 'changed',
      fields: ['window'],
      keeps: ['title'],
    })
    expect(withChanges(own, base, next)).toEqual({ ...later, title: 'Our check' })
    const sameAsPlan = { ...base, title: 'Check 2' }
    expect(offerOf(sameAsPlan, { base, copy: own })).toEqual({ kind: 'settled' })
  })

  it('is settled once it was taken over, whatever the class and the plan changed', () => {
    const anySetting = fc
      .record({
        title: fc.constantFrom('Check', 'Test', 'Other'),
        isFirst: fc.boolean(),
        note: fc.constantFrom('', 'Bring a ruler'),
        window: fc.constantFrom(base.window, later.window),
        rules: fc.constantFrom(base.rules, rules({ maxAttempts: 5 })),
      })
      .map((part) => ({ ...base, ...part }))
    fc.assert(
      fc.property(anySetting, anySetting, anySetting, (laid, copy, next) => {
        const taken = withChanges(copy, laid, next)
        expect(offerOf(next, { base: next, copy: taken })).toEqual({ kind: 'settled' })
        for (const field of STANDING_FIELDS) expect([next[field], copy[field]]).toContainEqual(taken[field])
      }),
    )
  })
})
