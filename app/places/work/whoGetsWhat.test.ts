import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { ClassId, GroupId, PieceId, TrailId } from '#core/base'
import { NO_WINDOW } from '#core/availability'
import type { Preview, Recipients } from '#shared/contracts/work'
import { at, ids } from '../../../tests/support/made'
import { hasOwn, limitsOf, withLimits, withVersion } from './draft'
import { asTable, whoRows, windowOfTargets } from './whoGetsWhat'
import { sayLimits } from './words/rulesInWords'

const ZONE = 'America/Denver'
const [ann, ben] = [ids.user('ann'), ids.user('ben')]
const row = (learnerId: typeof ann, name: string, due: string, because: object[]) => ({
  learnerId,
  pieceId: asId<PieceId>('p1'),
  name,
  classId: asId<ClassId>('A'),
  terms: { ...NO_WINDOW, due: at(due), closes: at(due), maxAttempts: 2, timeLimitMinutes: 20 },
  because,
})
const preview = {
  who: [
    row(ann, '=Ann', '10-15T06:00', [{ field: 'due', level: 'assignment', sourceId: null }]),
    row(ben, 'Ben', '10-21T20:30', [
      { field: 'due', level: 'group', sourceId: 'g' },
      { field: 'maxAttempts', level: 'learner', sourceId: 'ben' },
    ]),
  ],
} as unknown as Preview
const group = (id: string, learnerIds: readonly string[]) => ({ id, name: 'North', classId: 'A', learnerIds })
const recipients = {
  classes: [{ id: 'A', name: 'Science A' }],
  groups: [group('g', ['ben']), group('all', ['ann', 'ben']), group('none', [])],
} as unknown as Recipients

describe('who gets what', () => {
  const rows = whoRows(preview, recipients, [{ id: asId<PieceId>('p1'), title: 'Check' }])

  it('says what differs, and because of what', () => {
    expect(rows.map((r) => [r.className, r.piece, r.why])).toEqual([
      ['Science A', '', []],
      ['Science A', '', ['due: North', 'tries: for this learner']],
    ])
  })

  it('is a table with a head, a row each', () => {
    const [head, first, second] = asTable(rows, ZONE)
    expect(head?.slice(0, 5)).toEqual(['Learner', 'Class', 'Piece', 'Opens', 'Due'])
    expect(first?.slice(0, 5)).toEqual(['=Ann', 'Science A', '', '', 'Wed 14 Oct, end of day'])
    expect(second?.slice(4)).toEqual([
      'Wed 21 Oct, 2:30 pm',
      'Wed 21 Oct, 2:30 pm',
      '2',
      '20',
      'due: North; tries: for this learner',
    ])
  })

  it('gives a row of the grid its window where there is one', () => {
    const of = (groupId: string) =>
      windowOfTargets([{ kind: 'group', groupId: asId<GroupId>(groupId) }], preview, recipients)?.due ?? null
    expect([of('g'), of('all'), of('none')]).toEqual([at('10-21T20:30'), null, null])
    const learner = windowOfTargets([{ kind: 'learner', learnerId: ann }], preview, recipients)
    expect(learner?.due).toBe(at('10-15T06:00'))
  })
})

const limits = (maxAttempts: number | null, timeLimitMinutes: number | null) => ({
  maxAttempts,
  timeLimitMinutes,
})

describe('limits of one target', () => {
  it('stand in place of what it had, and are said', () => {
    const target = { kind: 'learner', learnerId: ann } as const
    const own = { maxAttempts: 3, timeLimitMinutes: 20 }
    const had = { target, overrides: { window: { due: null }, ...own }, rules: { waitMinutes: 0 } }
    expect(limitsOf(had)).toEqual({ ...own, waitMinutes: 0 })
    expect(withLimits(had, { maxAttempts: null, passPercent: null })).toEqual({
      target,
      overrides: { window: { due: null }, maxAttempts: null },
      rules: { passPercent: null },
    })
    expect(withLimits(had, {})).toEqual({ target, overrides: { window: { due: null } } })
    expect([hasOwn(had), hasOwn({ target, overrides: {} })]).toEqual([true, false])
  })

  it('are said in a few words', () => {
    expect([limits(3, 20), limits(null, null), { maxAttempts: 1 }, {}].map(sayLimits)).toEqual([
      '3 tries, 20 min',
      'any number of tries, no time limit',
      '1 try',
      '',
    ])
    expect(sayLimits({ waitMinutes: 0, passPercent: 50, help: ['hints', 'calculator'] })).toBe(
      'no wait, passed from 50 %, help: hints, a calculator',
    )
    expect(sayLimits({ waitMinutes: 5, passPercent: null, help: [] })).toBe(
      '5 min between tries, no pass mark, help: none',
    )
  })
})

describe('a version of one’s own in a work', () => {
  const p1 = asId<PieceId>('p1')
  const guided = { kind: 'trail', trailId: asId<TrailId>('guided') } as const

  it('comes with a target of the learner, beside what it has, and goes again', () => {
    const had = [{ target: { kind: 'learner' as const, learnerId: ann }, overrides: { maxAttempts: 3 } }]
    const once = withVersion(had, ann, p1, guided)
    expect(once).toEqual([{ ...had[0], versions: { p1: guided } }])
    expect(withLimits(once[0]!, { maxAttempts: 2 })).toMatchObject({ versions: { p1: guided } })
    expect(withVersion(once, ann, p1, null)).toEqual(had)
    expect(withVersion(had, ben, p1, guided)).toHaveLength(2)
    expect(hasOwn(once[0]!)).toBe(true)
  })
})
