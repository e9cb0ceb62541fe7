import { describe, expect, it } from 'vitest'
import { P1, PLAIN_WORK, at, ids, piecesOf, rules } from '../../tests/support/made'
import { NO_WINDOW } from '../availability'
import { asId } from '../base'
import type { GroupId, PieceId, ResourceId, TrailId } from '../base'
import { changed, published, withdrawn } from './acts'
import { checkPart, reachOnWork, publishedBy, withdrawnBy } from './part'
import { checkDraft } from './checkDraft'
import { isSameWork, mergeForBegun } from './merge'
import { byNeed, needOf } from './need'
import { progressOf } from './progress'
import { anchoredLessons, namedClasses, windowOfClass } from './classWindows'
import type { Assignment, Draft, LearnerWork } from './types'

const [a, b] = [ids.class('a'), ids.class('b')]
const group = asId<GroupId>('g')
const [ann, bo, cy] = [ids.user('ann'), ids.user('bo'), ids.user('cy')]
const piece = asId<ResourceId>('piece')

function aDraft(part: Partial<Draft> = {}): Draft {
  const target = { target: { kind: 'class' as const, classId: a }, overrides: {} }
  return {
    pieces: piecesOf(piece),
    title: 'Check',
    note: '',
    ...PLAIN_WORK,
    window: NO_WINDOW,
    rules: rules(),
    targets: [target],
    exceptIds: [],
    ...part,
  }
}
const anAssignment = (part: Partial<Assignment> = {}): Assignment => ({
  ...aDraft(),
  id: ids.work('w'),
  schoolId: asId('school'),
  authorId: ids.user('tess'),
  state: 'held',
  version: 1,
  createdAt: at('09-01T00:00'),
  publishedAt: null,
  notFor: [],
  ruled: [],
  ...part,
})
const row = (learnerId: typeof ann, due: string | null): LearnerWork => ({
  assignmentId: ids.work('w'),
  learnerId,
  pieceId: P1,
  classId: a,
  terms: {
    ...NO_WINDOW,
    due: due === null ? null : at(due),
    closes: due === null ? null : at(due),
    maxAttempts: 1,
    timeLimitMinutes: null,
  },
  rules: {},
  version: null,
  because: [
    { field: 'due', level: 'class', sourceId: a },
    { field: 'maxAttempts', level: 'assignment', sourceId: null },
  ],
})

describe('acts', () => {
  it('keeps the first moment of publishing, whatever comes between', () => {
    const first = published(anAssignment(), at('09-02T08:00'))
    expect(first).toMatchObject({ state: 'published', publishedAt: at('09-02T08:00') })
    const again = published(withdrawn(first), at('09-05T08:00'))
    expect(again).toMatchObject({ state: 'published', publishedAt: at('09-02T08:00') })
  })

  it('changes all but the piece of what learners have begun, and nothing that is withdrawn', () => {
    const other = aDraft({ pieces: piecesOf(asId<ResourceId>('other')) })
    const [none, begun] = [new Map<PieceId, number>(), new Map([[P1, 1]])]
    expect(changed(anAssignment(), other, none).value?.pieces[0]?.resourceId).toBe('other')
    expect(changed(anAssignment(), other, begun).error).toMatchObject({
      code: 'work/already-begun',
      pieceId: P1,
    })
    expect(changed(anAssignment(), aDraft({ title: 'New' }), begun).value).toMatchObject({ title: 'New' })
    expect(changed(anAssignment({ state: 'withdrawn' }), aDraft(), none).error?.code).toBe('work/withdrawn')
  })

  it('lets pieces that nobody has begun come and go beside one that somebody has', () => {
    const [first, second] = piecesOf(piece, asId<ResourceId>('second'))
    const both = anAssignment({ pieces: [first!, second!] })
    const begun = new Map([[second!.id, 1]])
    expect(changed(both, aDraft({ pieces: [second!] }), begun).ok).toBe(true)
    expect(changed(both, aDraft({ pieces: [second!, first!] }), begun).ok).toBe(true)
    expect(changed(both, aDraft({ pieces: [first!] }), begun).error?.code).toBe('work/already-begun')
  })
})

describe('work of several classes', () => {
  const where = { groups: new Map([[group, { classId: b, alsoIn: [] }]]), learners: new Map([[ann, [a]]]) }
  const both = {
    targets: [a, b].map((classId) => ({ target: { kind: 'class' as const, classId }, overrides: {} })),
  }
  const mine = new Set([b])
  const now = at('09-02T08:00')

  it('is whole in the hand of its author and of who teaches all of it', () => {
    expect(reachOnWork(true, [a, b], new Set())).toBe('whole')
    expect(reachOnWork(false, [a, b], new Set([a, b]))).toBe('whole')
    expect(reachOnWork(false, [a, b], new Set([b, ids.class('c')]))).toEqual(mine)
  })

  it('is published and taken back class by class', () => {
    const held = anAssignment(both)
    const first = publishedBy(mine, held, [a, b], now)
    expect(first).toMatchObject({ state: 'published', notFor: [a] })
    expect(publishedBy(new Set([a]), first, [a, b], now).notFor).toEqual([])
    expect(publishedBy('whole', first, [a, b], now).notFor).toEqual([])
    const back = withdrawnBy(mine, publishedBy('whole', held, [a, b], now), [a, b])
    expect(back).toMatchObject({ state: 'published', notFor: [b] })
    expect(withdrawnBy(new Set([a]), back, [a, b]).state).toBe('withdrawn')
    expect(withdrawnBy('whole', back, [a, b]).state).toBe('withdrawn')
  })

  it('is changed only in one’s own part', () => {
    const stands = aDraft(both)
    const may = (draft: Draft) => checkPart(mine, stands, draft, where)
    const [ofA, ofB] = both.targets as [Draft['targets'][number], Draft['targets'][number]]
    const later = { overrides: { maxAttempts: 5 } }
    expect(may(aDraft({ targets: [ofA, { ...ofB, ...later }] })).ok).toBe(true)
    const byGroup = { target: { kind: 'group' as const, groupId: group }, ...later }
    expect(may(aDraft({ targets: [ofA, byGroup] })).ok).toBe(true)
    expect(may(aDraft({ targets: [{ ...ofA, ...later }, ofB] })).error).toEqual({
      code: 'work/not-whole',
      field: 'targets',
    })
    expect(may(aDraft({ targets: [ofB] })).error?.field).toBe('targets')
    expect(may(aDraft({ ...both, title: 'Mine' })).error?.field).toBe('title')
    expect(may(aDraft({ ...both, exceptIds: [ann] })).error?.field).toBe('targets')
    expect(checkPart('whole', stands, aDraft({ title: 'Mine' }), where).ok).toBe(true)
  })
})

describe('checkDraft', () => {
  const recipients = {
    classes: new Map([
      [a, { isMine: true }],
      [b, { isMine: false }],
    ]),
    groups: new Map([[group, { classId: b, alsoIn: [] }]]),
    learners: new Map([
      [ann, [a]],
      [bo, [b]],
    ]),
  }
  const to = (target: Draft['targets'][number]['target']) =>
    checkDraft(aDraft({ targets: [{ target, overrides: {} }] }), recipients)

  it('lets a teacher give work to their own classes, groups and learners only', () => {
    expect(to({ kind: 'class', classId: a }).ok).toBe(true)
    expect(to({ kind: 'learner', learnerId: ann }).ok).toBe(true)
    // somebody else's answers like one that is not there, without a name
    const foreign = [
      to({ kind: 'class', classId: b }),
      to({ kind: 'group', groupId: group }),
      to({ kind: 'learner', learnerId: bo }),
      to({ kind: 'class', classId: ids.class('gone') }),
    ]
    expect(foreign.map((f) => f.error)).toEqual(
      [b, group, bo, 'gone'].map((id) => ({ code: 'audience/unknown-target', field: 'targets', id })),
    )
  })

  it('takes exceptions of known learners, each once; what stands already may stay', () => {
    const except = (...exceptIds: (typeof ann)[]) => checkDraft(aDraft({ exceptIds }), recipients)
    expect(except(ann).ok).toBe(true)
    for (const [list, id] of [
      [[ann, ann], ann],
      [[bo], bo],
      [[ids.user('gone')], 'gone'],
    ] as const)
      expect(except(...list).error).toEqual({ code: 'audience/bad-exception', field: 'exceptIds', id })
    const stands = aDraft({
      targets: [{ target: { kind: 'class', classId: b }, overrides: {} }],
      exceptIds: [bo],
    })
    expect(checkDraft(stands, recipients, stands).ok).toBe(true)
  })

  it('wants recipients, and rules a learner can meet', () => {
    expect(checkDraft(aDraft({ targets: [] }), recipients).error?.code).toBe('audience/nobody-chosen')
    const mine = { target: { kind: 'class' as const, classId: a }, overrides: {} }
    expect(checkDraft(aDraft({ targets: [mine, mine] }), recipients).error).toEqual({
      code: 'audience/same-target-twice',
      field: 'targets',
      id: a,
    })
    expect(checkDraft(aDraft({ rules: rules({ maxAttempts: 0 }) }), recipients).error).toMatchObject({
      code: 'attempts/bad-rules',
      field: 'maxAttempts',
    })
  })
})

describe('mergeForBegun', () => {
  const had = [row(ann, '09-10T16:00'), row(bo, '09-10T16:00'), row(cy, '09-10T16:00')]

  it('takes no time from who has begun, and says so', () => {
    const [forAnn, forBo] = mergeForBegun(ids.work('w'), {
      rows: [row(ann, '09-08T16:00'), row(bo, '09-08T16:00')],
      had,
      begun: new Set([ann]),
      now: at('09-01T00:00'),
    })
    expect(forAnn?.terms.due).toBe(at('09-10T16:00'))
    expect(forAnn?.because[0]).toEqual({ field: 'due', level: 'started', sourceId: null })
    expect(forAnn?.because[1]).toMatchObject({ level: 'assignment' })
    expect(forBo?.terms.due).toBe(at('09-08T16:00'))
    expect(forBo?.because[0]).toMatchObject({ level: 'class' })
  })

  it('keeps the version that somebody has begun or that was due, and gives others theirs anew', () => {
    const given = (trail: string) => ({ trailId: asId<TrailId>(trail), instead: null })
    const before = had.map((r) => ({ ...r, version: given('guided') }))
    const anew = [ann, bo, cy].map((id) => ({ ...row(id, '09-10T16:00'), version: given('bare') }))
    const versions = (now: string) =>
      mergeForBegun(ids.work('w'), { rows: anew, had: before, begun: new Set([ann]), now: at(now) }).map(
        (r) => r.version?.trailId,
      )
    expect(versions('09-01T00:00')).toEqual(['guided', 'bare', 'bare'])
    expect(versions('09-10T16:00')).toEqual(['guided', 'guided', 'guided'])
  })

  it('leaves the work with who has begun and is no longer reached, and takes it from who has not', () => {
    const next = mergeForBegun(ids.work('w'), { rows: [], had, begun: new Set([cy]), now: at('09-01T00:00') })
    expect(next).toEqual([had[2]])
  })

  it('sees the same work whatever the order and the reasons', () => {
    const turned = [...had].reverse().map((r) => ({ ...r, because: [] }))
    expect(isSameWork(had, turned)).toBe(true)
    expect(isSameWork(had, had.slice(1))).toBe(false)
    expect(isSameWork(had, [row(ann, null), ...had.slice(1)])).toBe(false)
  })
})

describe('need', () => {
  it('is the most urgent of what the classes say', () => {
    expect(needOf('held', ['late'])).toBe('to-publish')
    expect(needOf('withdrawn', ['open'])).toBe('withdrawn')
    expect(needOf('published', ['closed', 'open', 'late'])).toBe('late')
    expect(needOf('published', ['coming-up', 'open'])).toBe('open')
    expect(needOf('published', ['closed', 'not-listed'])).toBe('coming-up')
    expect(needOf('published', ['closed', 'put-away'])).toBe('done')
    const sorted = (['done', 'open', 'to-publish'] as const).map((need) => ({ need })).sort(byNeed)
    expect(sorted.map((s) => s.need)).toEqual(['to-publish', 'open', 'done'])
  })
})

describe('progressOf', () => {
  const aTry = (learnerId: typeof ann, number: number, ratio: number | null) => ({
    id: ids.try(`${learnerId}${number}`),
    assignmentId: ids.work('w'),
    pieceId: P1,
    revision: 1,
    learnerId,
    number,
    startedAt: at('09-02T08:00'),
    deadlineAt: null,
    submittedAt: ratio === null ? null : at('09-02T09:00'),
    endedBy: null,
    itemIds: null,
    sharedFrom: null,
    score: ratio === null ? null : { points: ratio, of: 1, ratio, lateDays: 0, deductedRatio: 0, items: [] },
  })

  it('counts learners, not tries, and only those asked for', () => {
    const tries = [aTry(ann, 1, 0.4), aTry(ann, 2, 0.8), aTry(bo, 1, null), aTry(cy, 1, 1)]
    // best of Ann's two is 0.8; Cy is of another class
    expect(progressOf([ann, bo], tries, [{ id: P1, kept: 'best' }])).toEqual({
      learners: 2,
      handedIn: 1,
      inProgress: 1,
      meanRatio: 0.8,
    })
    expect(progressOf([ann, cy], tries, [{ id: P1, kept: 'mean' }]).meanRatio).toBeCloseTo(0.8)
    expect(progressOf([bo], tries, [{ id: P1, kept: 'best' }]).meanRatio).toBeNull()
  })
})

describe('windows of an assignment', () => {
  it('are a class’s own where it has them', () => {
    const lesson = ids.lesson('l')
    const anchor = {
      kind: 'anchor' as const,
      lessonId: lesson,
      edge: 'last' as const,
      offset: 1,
      step: 'meetings' as const,
      at: 'class-end' as const,
    }
    const draft = aDraft({
      window: { ...NO_WINDOW, due: anchor, closes: anchor },
      targets: [
        { target: { kind: 'class', classId: a }, overrides: { window: { due: null } } },
        { target: { kind: 'group', groupId: group }, overrides: {} },
        { target: { kind: 'class', classId: b }, overrides: {} },
      ],
    })
    expect(namedClasses(draft)).toEqual([a, b])
    expect(anchoredLessons(draft)).toEqual([lesson])
    expect(windowOfClass(draft, a)).toEqual({ ...NO_WINDOW, due: null, closes: anchor })
    expect(windowOfClass(draft, b).due).toEqual(anchor)
  })
})
