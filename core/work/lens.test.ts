import { describe, expect, it } from 'vitest'
import { PLAIN_WORK, at, ids, piecesOf, rules } from '../../tests/support/made'
import { NO_WINDOW } from '../availability'
import type { LearnerTerms } from '../availability'
import { asId } from '../base'
import type { AssignmentId, GroupId, ResourceId } from '../base'
import { changesAfter, concerns, notThere, whyOf } from './lens'
import type { Assignment } from './types'

const [room, ann] = [ids.class('a'), ids.user('ann')]
const group = asId<GroupId>('g')
const joinedAt = new Map([[room, at('09-05T00:00')]])
const learner = {
  id: ann,
  classIds: [room],
  groupIds: [],
  queued: new Set<AssignmentId>(),
  joinedAt,
  startsAt: joinedAt,
}
const work = (part: Partial<Assignment> = {}): Assignment => ({
  id: ids.work('w'),
  schoolId: asId('school'),
  authorId: ids.user('teacher'),
  pieces: piecesOf(asId<ResourceId>('r')),
  title: 'Check',
  note: '',
  ...PLAIN_WORK,
  window: NO_WINDOW,
  rules: rules(),
  targets: [{ target: { kind: 'class', classId: room }, overrides: {} }],
  exceptIds: [],
  state: 'published',
  notFor: [],
  ruled: [],
  version: 1,
  createdAt: at('09-01T00:00'),
  publishedAt: at('09-02T00:00'),
  ...part,
})
const terms = (part: Partial<LearnerTerms> = {}): LearnerTerms => ({
  ...NO_WINDOW,
  maxAttempts: null,
  timeLimitMinutes: null,
  ...part,
})
const now = at('09-10T00:00')

describe('why a learner does not see work', () => {
  it('is said by its state before anything else', () => {
    expect(notThere(work({ state: 'held' }), {}, learner, null, now)?.code).toBe('held')
    expect(notThere(work({ state: 'withdrawn' }), {}, learner, { terms: terms() }, now)?.code).toBe(
      'withdrawn',
    )
  })

  it('is said by who it goes to, where nothing is resolved for them', () => {
    const of = (part: Partial<Assignment>) => notThere(work(part), {}, learner, null, now)?.code
    expect(of({ exceptIds: [ann] })).toBe('excepted')
    const waiting = { ...learner, queued: new Set([ids.work('w')]) }
    expect(notThere(work(), {}, waiting, null, now)?.code).toBe('queued')
    expect(of({ notFor: [room] })).toBe('class-waits')
    // the class has it and they have nothing of it: it was over before their start line, the 5th
    expect(of({})).toBe('before-start')
    expect(of({ publishedAt: at('09-06T00:00') })).toBe('not-chosen')
    // joined on the 5th: too late for what went out on the 2nd, in time for what went out on the 6th
    expect(of({ newcomers: false })).toBe('joined-later')
    expect(of({ newcomers: false, publishedAt: at('09-06T00:00') })).toBe('not-chosen')
    expect(of({ newcomers: false, targets: [] })).toBe('not-chosen')
  })

  it('is said by its window, and nothing when they do see it', () => {
    const of = (part: Partial<LearnerTerms>, when = now) =>
      notThere(work(), {}, learner, { terms: terms(part) }, when)
    const listed = at('09-12T00:00')
    expect(of({ listed })).toEqual({ code: 'not-listed', at: listed })
    expect(of({ listed }, listed)).toBeNull()
    expect(of({ putAway: now })).toEqual({ code: 'put-away', at: now })
    expect(of({}, at('09-01T00:00'))).toEqual({ code: 'published-later', at: at('09-02T00:00') })
    expect(of({ closes: at('09-05T00:00') })).toBeNull()
  })
})

describe('work that somebody has nothing of', () => {
  it('is still about them when it is published, or names a class or group of theirs, or them', () => {
    const held = (target: Assignment['targets'][number]['target']) =>
      concerns(work({ state: 'held', targets: [{ target, overrides: {} }] }), {
        ...learner,
        groupIds: [group],
      })
    expect(held({ kind: 'class', classId: room })).toBe(true)
    expect(held({ kind: 'class', classId: ids.class('b') })).toBe(false)
    expect(held({ kind: 'group', groupId: group })).toBe(true)
    expect(held({ kind: 'group', groupId: asId<GroupId>('other') })).toBe(false)
    expect(held({ kind: 'learner', learnerId: ann })).toBe(true)
    expect(held({ kind: 'learner', learnerId: ids.user('bo') })).toBe(false)
    const other = [{ target: { kind: 'learner' as const, learnerId: ids.user('bo') }, overrides: {} }]
    expect(concerns(work({ targets: other }), learner)).toBe(true)
  })
})

describe('what comes', () => {
  it('is told soonest first, once, and no more than asked for', () => {
    const due = at('09-12T00:00')
    const windows = [
      { title: 'One', terms: terms({ opens: at('09-09T00:00'), due, closes: due }) },
      { title: 'Two', terms: terms({ opens: at('09-11T00:00'), due, closes: at('09-14T00:00') }) },
    ]
    expect(changesAfter(windows, now, 9).map((c) => `${c.title} ${c.field}`)).toEqual([
      'Two opens',
      'One due',
      'Two due',
      'Two closes',
    ])
    expect(changesAfter(windows, now, 1)).toHaveLength(1)
    expect(changesAfter(windows, at('09-14T00:00'), 9)).toEqual([])
  })
})

describe('reasons', () => {
  it('stand together by what set them; which class or group is said, which learner is not', () => {
    expect(
      whyOf([
        { field: 'opens', level: 'assignment', sourceId: room },
        { field: 'due', level: 'group', sourceId: 'g1' },
        { field: 'closes', level: 'group', sourceId: 'g2' },
        { field: 'maxAttempts', level: 'assignment', sourceId: null },
        { field: 'timeLimitMinutes', level: 'learner', sourceId: ann },
      ]),
    ).toEqual([
      { level: 'assignment', sourceId: null, fields: ['opens', 'maxAttempts'] },
      { level: 'group', sourceId: 'g1', fields: ['due'] },
      { level: 'group', sourceId: 'g2', fields: ['closes'] },
      { level: 'learner', sourceId: null, fields: ['timeLimitMinutes'] },
    ])
  })
})
