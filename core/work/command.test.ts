import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { P1, PLAIN_WORK, at, ids, piecesOf, rules } from '../../tests/support/made'
import { NO_ACCOMMODATION, NO_WINDOW } from '../availability'
import { asId, isoDay } from '../base'
import type { ResourceId, UserId } from '../base'
import { zoneOf } from '../calendar'
import { settingOf, stepped, takenBack } from './command'
import type { WorkCommand } from './command'
import { withMore as given } from './more'
import type { Had } from './more'
import type { More } from './more'
import { resolveWork } from './resolve'
import type { Assignment, Begun, Draft } from './types'

const room = ids.class('a')
const people = ['ann', 'bo', 'cy'].map((id) => ids.user(id))
const [ann, bo] = people as [UserId, UserId, UserId]
const now = at('09-02T08:00')
const nobody: Begun = { learners: 0, pieces: new Map() }
const annHas: Begun = { learners: 1, pieces: new Map([[P1, 1]]) }
const work = (part: Partial<Assignment> = {}): Assignment => ({
  pieces: piecesOf(asId<ResourceId>('check')),
  title: 'Check',
  note: '',
  ...PLAIN_WORK,
  window: { ...NO_WINDOW, due: { kind: 'day', on: isoDay('2026-09-04') } },
  rules: rules({ maxAttempts: 2 }),
  targets: [{ target: { kind: 'class', classId: room }, overrides: {} }],
  exceptIds: [],
  id: ids.work('w'),
  schoolId: asId('school'),
  authorId: ids.user('tess'),
  state: 'published',
  version: 1,
  createdAt: at('09-01T00:00'),
  publishedAt: at('09-01T09:00'),
  notFor: [],
  ruled: [],
  ...part,
})
const command = (from: Assignment | null, to: Assignment): WorkCommand => ({
  kind: 'work',
  what: 'changed',
  assignmentId: ids.work('w'),
  from: from === null ? null : settingOf(from),
  to: settingOf(to),
})

describe('acts on an assignment', () => {
  it('come back to where they began, whatever was changed', () => {
    const changes = fc.record({
      title: fc.string(),
      note: fc.string(),
      state: fc.constantFrom('held' as const, 'published' as const),
    })
    fc.assert(
      fc.property(changes, changes, (a, b) => {
        const [before, after] = [work(a), work(b)]
        const done = command(before, after)
        const back = stepped(after, takenBack(done), nobody, now)
        expect(back.ok && settingOf(back.value)).toEqual(settingOf(before))
        const again = back.ok ? stepped(back.value, done, nobody, now) : back
        expect(again.ok && settingOf(again.value)).toEqual(settingOf(after))
      }),
      { seed: 9, numRuns: 200 },
    )
  })

  it('withdraw what was made, and publish it again with its first moment kept', () => {
    const made = command(null, work())
    const back = stepped(work(), takenBack(made), nobody, now)
    expect(back.value).toMatchObject({ state: 'withdrawn', title: 'Check' })
    expect(stepped(back.value as Assignment, made, nobody, now).value).toMatchObject({
      state: 'published',
      publishedAt: at('09-01T09:00'),
    })
  })

  it('never take what learners have begun, nor go over what was changed since', () => {
    const made = command(null, work())
    expect(stepped(work(), takenBack(made), annHas, now).error).toMatchObject({
      code: 'work/has-begun',
      learners: 1,
    })
    const held = command(work({ state: 'held' }), work())
    expect(stepped(work(), takenBack(held), annHas, now).error?.code).toBe('work/has-begun')
    const forAll = command(work({ notFor: [room] }), work())
    expect(stepped(work(), takenBack(forAll), annHas, now).error?.code).toBe('work/has-begun')
    const renamed = command(work({ title: 'Before' }), work())
    expect(stepped(work(), takenBack(renamed), annHas, now).value?.title).toBe('Before')
    expect(stepped(work({ note: 'New' }), takenBack(renamed), nobody, now).error).toMatchObject({
      code: 'work/changed-since',
    })
    const other = command(work({ pieces: piecesOf(asId<ResourceId>('other')) }), work())
    expect(stepped(work(), takenBack(other), annHas, now).error?.code).toBe('work/already-begun')
  })
})

describe('more for some learners', () => {
  const around = {
    grounds: new Map([
      [
        room,
        {
          zone: zoneOf('UTC'),
          firstOn: isoDay('2026-08-31'),
          lastOn: isoDay('2027-06-11'),
          meetings: [],
          extents: null,
        },
      ],
    ]),
    roster: { classes: new Map([[room, people]]), groups: new Map() },
    people: new Map(
      people.map((id) => [
        id,
        {
          accommodation:
            id === bo ? { ...NO_ACCOMMODATION, extraAttempts: 1, extraDays: 1 } : NO_ACCOMMODATION,
        },
      ]),
    ),
  }
  /** Given to an assignment as it stands. */
  const withMore = (of: Draft, who: readonly UserId[], more: More, handedIn: Had['handedIn'] = []) =>
    given(of, who, more, { rows: resolveWork(of, around).rows, grounds: around.grounds, handedIn })
  const rowsOf = (of: Parameters<typeof resolveWork>[0]) =>
    new Map(resolveWork(of, around).rows.map((r) => [r.learnerId, r]))

  it('is a try on top of what they have, accommodation included, and on top again', () => {
    const once = withMore(work(), [ann, bo], { kind: 'try', pieceId: P1 })
    const twice = withMore(once, [bo], { kind: 'try', pieceId: P1 })
    const rows = rowsOf(twice)
    expect(people.map((id) => rows.get(id)?.terms.maxAttempts)).toEqual([3, 5, 2])
    expect(rows.get(bo)?.because.find((b) => b.field === 'maxAttempts')?.level).toBe('learner')
    // of another piece, and without a limit, it changes nothing
    const ofOther = withMore(work(), [ann], { kind: 'try', pieceId: asId('p2') })
    expect(rowsOf(ofOther).get(ann)?.terms.maxAttempts).toBe(2)
    const unlimited = withMore(work({ rules: rules({ maxAttempts: null }) }), [ann], {
      kind: 'try',
      pieceId: P1,
    })
    expect(rowsOf(unlimited).get(ann)?.terms.maxAttempts).toBeNull()
  })

  it('is time through a day, also after closing, with extra days on top', () => {
    const more = withMore(work(), [ann, bo], { kind: 'until', on: isoDay('2026-09-09') })
    const rows = rowsOf(more)
    expect(people.map((id) => rows.get(id)?.terms.closes)).toEqual([
      at('09-10T00:00'),
      at('09-11T00:00'),
      at('09-05T00:00'),
    ])
  })

  it('is both at once where it is opened again, and a try only for who has handed it in', () => {
    const again: More = { kind: 'again', pieceId: P1, on: isoDay('2026-09-09') }
    const rows = rowsOf(withMore(work(), [ann, bo], again, [{ learnerId: ann, pieceId: P1 }]))
    // bo has one extra try and one extra day by accommodation
    expect(people.map((id) => rows.get(id)?.terms.maxAttempts)).toEqual([3, 3, 2])
    expect(people.map((id) => rows.get(id)?.terms.due)).toEqual([
      at('09-10T00:00'),
      at('09-11T00:00'),
      at('09-05T00:00'),
    ])
    const ofOther = withMore(work(), [ann], again, [{ learnerId: ann, pieceId: asId('p2') }])
    expect(rowsOf(ofOther).get(ann)?.terms.maxAttempts).toBe(2)
  })

  it('is never less: an earlier day changes nothing, and late work stays open as long as it was', () => {
    const until = (day: string): More => ({ kind: 'until', on: isoDay(day) })
    expect(withMore(work(), [ann], until('2026-09-03'))).toEqual(work())
    expect(withMore(work(), [ann], until('2026-09-04'))).toEqual(work())
    const closing = { kind: 'day', on: isoDay('2026-09-20') } as const
    const late = work({ window: { ...work().window, closes: closing } })
    const terms = rowsOf(withMore(late, [ann], until('2026-09-09'))).get(ann)?.terms
    expect([terms?.due, terms?.closes]).toEqual([at('09-10T00:00'), at('09-21T00:00')])
    const never = work({ window: NO_WINDOW })
    expect(withMore(never, [ann], until('2026-09-09'))).toEqual(never)
  })

  it('excuses, and no longer does; the others are as before', () => {
    const excused = withMore(work(), [ann], { kind: 'excused' })
    expect([...rowsOf(excused).keys()]).toEqual(people.slice(1))
    expect(withMore(withMore(excused, [ann], { kind: 'excused' }), [ann], { kind: 'not-excused' })).toEqual(
      work(),
    )
  })
})
