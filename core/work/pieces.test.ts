import { describe, expect, it } from 'vitest'
import { P1, aTry, aYear, at, ids, onDays, piecesOf, rules } from '../../tests/support/made'
import { NO_ACCOMMODATION, NO_WINDOW } from '../availability'
import type { Ground, Moment, WindowSpec } from '../availability'
import { asId } from '../base'
import type { GroupId, ResourceId } from '../base'
import { meetings, zoneOf } from '../calendar'
import { faultInPieces, momentsOf, rulesOf } from './pieces'
import type { WorkPiece } from './types'
import { progressOf } from './progress'
import { classWindow } from './classWindows'
import { resolveWork } from './resolve'
import type { Resolvable } from './resolve'
import { inOrder, togetherOf } from './together'
import type { PieceStanding } from './together'

const room = ids.class('a')
const [ann, bo] = [ids.user('ann'), ids.user('bo')]
const group = asId<GroupId>('g')
const lesson = ids.lesson('l')
const [read, check] = piecesOf(asId<ResourceId>('reading'), asId<ResourceId>('check')) as [
  WorkPiece,
  WorkPiece,
]

/** Meets Mon, Wed, Fri 9:00 to 9:50 UTC from Mon 31 Aug; the lesson takes the third and fourth meeting. */
function aGround(): Ground {
  const year = { ...aYear(), zone: 'UTC' }
  const calendar = meetings(year, room, onDays(1, 3, 5), [])
  return {
    zone: zoneOf('UTC'),
    firstOn: year.firstOn,
    lastOn: year.lastOn,
    meetings: calendar.meetings,
    extents: new Map([[lesson, { first: 2, last: 3 }]]),
  }
}
const anchor = (edge: 'first' | 'last', offset: number, where: 'class-start' | 'class-end'): Moment => ({
  kind: 'anchor',
  lessonId: lesson,
  edge,
  offset,
  step: 'meetings',
  at: where,
})
const window: WindowSpec = {
  ...NO_WINDOW,
  opens: anchor('first', 0, 'class-start'),
  due: anchor('last', 1, 'class-end'),
}
const around = {
  grounds: new Map([[room, aGround()]]),
  roster: { classes: new Map([[room, [ann, bo]]]), groups: new Map([[group, [bo]]]) },
  people: new Map([ann, bo].map((id) => [id, { accommodation: NO_ACCOMMODATION }])),
}
const work = (part: Partial<Resolvable> = {}): Resolvable => ({
  pieces: [{ ...read, when: 'before', window: momentsOf('before', lesson) }, check],
  window,
  rules: rules(),
  targets: [{ target: { kind: 'class', classId: room }, overrides: {} }],
  exceptIds: [],
  ...part,
})
const rowsOf = (of: Resolvable) =>
  new Map(resolveWork(of, around).rows.map((r) => [`${r.learnerId} ${r.pieceId}`, r]))

describe('a piece that is for some', () => {
  const only = (...ids: readonly (typeof ann)[]) => [{ ...read, onlyIds: ids }, check]
  const rowsOf = (pieces: Resolvable['pieces']) =>
    resolveWork(work({ pieces }), around).rows.map((r) => `${r.learnerId} ${r.pieceId}`)

  it('is theirs, the others are everybody’s', () => {
    expect(rowsOf(only(bo)).sort()).toEqual([`ann ${check.id}`, `bo ${read.id}`, `bo ${check.id}`])
  })

  it('reaches nobody else: who has none of its pieces does not have the work', () => {
    const pieces = [{ ...read, onlyIds: [bo, ids.user('stranger')] }]
    const { reached, rows, problems } = resolveWork(work({ pieces }), around)
    expect([reached.map((r) => r.learnerId), rows.map((r) => r.learnerId), problems]).toEqual([
      [bo],
      [bo],
      [],
    ])
  })

  it('has to name somebody', () => {
    expect(faultInPieces(only())).toEqual({
      code: 'work/piece-for-nobody',
      field: 'pieces',
      pieceId: read.id,
    })
    expect(faultInPieces(only(ann))).toBeNull()
  })
})

describe('pieces of an assignment', () => {
  it('are due before class, open then, and have their own reasons', () => {
    const rows = rowsOf(work())
    // the third meeting is Fri 4 Sep, the fourth Mon 7 Sep (Labor Day is no closure here), one more Wed 9 Sep
    expect(rows.get('ann p1')?.terms).toMatchObject({ opens: null, due: at('09-04T09:00') })
    expect(rows.get('ann p2')?.terms).toMatchObject({ opens: at('09-04T09:00'), due: at('09-09T09:50') })
    const why = rows.get('ann p1')?.because ?? []
    expect(why.find((b) => b.field === 'due')?.level).toBe('piece')
    expect(why.find((b) => b.field === 'maxAttempts')?.level).toBe('assignment')
    expect(rows.size).toBe(4)
  })

  it('open afterwards when the last meeting of the lesson ends', () => {
    const after = { ...check, when: 'after' as const, window: momentsOf('after', lesson) }
    expect(rowsOf(work({ pieces: [after] })).get('bo p2')?.terms.opens).toEqual(at('09-07T09:50'))
    expect(momentsOf('in', lesson)).toEqual({})
    expect(momentsOf('before', null)).toEqual({})
  })

  it('keep their own moments whatever a class says, but not whatever a group says', () => {
    const later = anchor('last', 4, 'class-end')
    const ofClass = rowsOf(
      work({
        targets: [{ target: { kind: 'class', classId: room }, overrides: { window: { due: later } } }],
      }),
    )
    expect(ofClass.get('bo p1')?.terms.due).toEqual(at('09-04T09:00'))
    expect(ofClass.get('bo p2')?.terms.due).toEqual(at('09-16T09:50'))
    const ofGroup = rowsOf(
      work({
        targets: [
          ...work().targets,
          { target: { kind: 'group', groupId: group }, overrides: { window: { due: later } } },
        ],
      }),
    )
    expect(ofGroup.get('bo p1')?.terms.due).toEqual(at('09-16T09:50'))
    expect(ofGroup.get('ann p1')?.terms.due).toEqual(at('09-04T09:00'))
  })

  it('have their own limits where their rules differ', () => {
    const pieces = [read, { ...check, rules: { maxAttempts: 5, timeLimitMinutes: 12 } }]
    const rows = rowsOf(work({ pieces, rules: rules({ maxAttempts: 2 }) }))
    expect(rows.get('ann p1')?.terms).toMatchObject({ maxAttempts: 2, timeLimitMinutes: null })
    expect(rows.get('ann p2')?.terms).toMatchObject({ maxAttempts: 5, timeLimitMinutes: 12 })
    expect(rulesOf({ rules: rules({ kept: 'best' }) }, { rules: { kept: 'mean' } }).kept).toBe('mean')
  })

  it('show a class one window: from the first that opens to the last that is due', () => {
    expect(classWindow(work(), room, aGround())).toMatchObject({ opens: null, due: at('09-09T09:50') })
    expect(classWindow(work({ pieces: [check] }), room, aGround())?.opens).toEqual(at('09-04T09:00'))
  })

  it('say in which class a moment of theirs cannot stand', () => {
    const gone = { ...read, window: momentsOf('before', ids.lesson('gone')) }
    expect(resolveWork(work({ pieces: [gone, check] }), around).problems).toMatchObject([
      { classId: room, refusal: { code: 'availability/lesson-not-laid-out', field: 'due' } },
    ])
  })

  it('are at least one, and none twice', () => {
    expect(faultInPieces([])?.code).toBe('work/no-pieces')
    expect(faultInPieces([read, { ...check, id: read.id }])?.code).toBe('work/piece-twice')
    expect(faultInPieces([read, check])).toBeNull()
  })
})

describe('progress over several pieces', () => {
  const counted = [read, check].map((p) => ({ id: p.id, kept: 'best' as const }))
  const ofBo = { learnerId: bo, assignmentId: ids.work('w') }

  it('counts who has done all of them as handed in, and half of them as at it', () => {
    const tries = [
      aTry(1, 0, { ...ofBo, pieceId: read.id, score: null }),
      aTry(2, 0.5, { ...ofBo, pieceId: check.id }),
      aTry(3, 0, { ...ofBo, learnerId: ann, pieceId: read.id, score: null }),
    ]
    // what is only read has no score: the mean is over the one check
    expect(progressOf([ann, bo], tries, counted)).toEqual({
      learners: 2,
      handedIn: 1,
      inProgress: 1,
      meanRatio: 0.5,
    })
    expect(progressOf([bo], [aTry(1, 0.7, { ...ofBo, pieceId: P1 })], counted).handedIn).toBe(0)
  })
})

describe('pieces together', () => {
  const one = (part: Partial<PieceStanding>): PieceStanding => ({
    place: 'now',
    minutes: 10,
    opensAt: at('09-04T09:00'),
    dueAt: at('09-09T09:50'),
    closesAt: at('09-09T09:50'),
    handedInAt: null,
    ratio: null,
    mayTry: true,
    inProgress: false,
    ...part,
  })
  const done = one({ place: 'done', handedInAt: at('09-03T08:00'), mayTry: false, dueAt: at('09-04T09:00') })

  it('stand where the next thing to do stands, with its due date', () => {
    expect(togetherOf([done, one({})])).toMatchObject({
      place: 'now',
      minutes: 20,
      dueAt: at('09-09T09:50'),
      handedInAt: null,
      done: 1,
    })
    expect(togetherOf([done, one({ place: 'next' })]).place).toBe('next')
    expect(togetherOf([one({ dueAt: at('09-04T09:00') }), one({ place: 'next' })]).dueAt).toEqual(
      at('09-04T09:00'),
    )
  })

  it('are done when all are, at the moment of the last, with the mean of the scores shown', () => {
    const scored = { ...done, ratio: 0.4, handedInAt: at('09-05T08:00') }
    expect(togetherOf([done, scored, { ...scored, ratio: 0.8 }])).toMatchObject({
      place: 'done',
      handedInAt: at('09-05T08:00'),
      ratio: expect.closeTo(0.6),
      done: 3,
      mayTry: false,
    })
    expect(togetherOf([done, one({ place: 'done', mayTry: false })]).handedInAt).toBeNull()
  })

  it('come before class first, else as the teacher put them', () => {
    const list = [
      { id: 'c', when: 'in' as const },
      { id: 'x', when: 'after' as const },
      { id: 'r', when: 'before' as const },
      { id: 'd', when: 'in' as const },
    ]
    expect(inOrder(list).map((p) => p.id)).toEqual(['r', 'c', 'd', 'x'])
  })
})
