import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { AssignmentId, Instant } from '#core/base'
import { handIn, startTry } from '#usecases/learning/tries'
import { listMyWork } from '#usecases/learning/myWork'
import { showMyPiece } from '#usecases/learning/myPiece'
import { listLately } from '#usecases/lens/listLately'
import { showLens, showLensPiece } from '#usecases/lens/showLens'
import { assign } from '#usecases/work/assign'
import { giveMore } from '#usecases/work/giveMore'
import { withdrawWork } from '#usecases/work/withdrawWork'
import { P1, at } from '../support/made'
import { aColleague, aDraft, aSchool, aTeacher, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const moment = (day: string, minuteOfDay: number) => ({ kind: 'time' as const, on: isoDay(day), minuteOfDay })
const open = { listed: null, opens: null, due: null, closes: null, putAway: null }
async function lens(school: TestSchool, when: Instant | null = null, who = school.ann) {
  return mustBeOk(await showLens(school.deps, school.teacher, { learnerId: who.userId, at: when }), 'lens')
}
const piece = (school: TestSchool, id: AssignmentId, when: Instant | null) =>
  showLensPiece(school.deps, school.teacher, {
    learnerId: school.ann.userId,
    assignmentId: id,
    pieceId: P1,
    at: when,
  })

describe('the lens', () => {
  it('begins with who is at something, or handed it in last, in the asker’s own classes', async () => {
    const school = await aSchool()
    const { deps, ann, cleo, clock, stranger } = school
    const id = await publish(school, { title: 'Check' })
    const tries = { assignmentId: id, pieceId: P1 }
    const first = mustBeOk(await startTry(deps, cleo, tries), 'start')
    mustBeOk(await handIn(deps, cleo, { attemptId: first.attemptId, saves: [] }), 'in')
    clock.set((deps.clock.now() + 60_000) as Instant)
    mustBeOk(await startTry(deps, ann, tries), 'start')
    const { learners } = mustBeOk(await listLately(deps, school.teacher), 'lately')
    expect(learners.map((l) => [l.name, l.title, l.submittedAt === null])).toEqual([
      ['Ann Ash', 'Check', true],
      ['Cleo Cedar', 'Check', false],
    ])
    expect(mustBeOk(await listLately(deps, stranger), 'elsewhere').learners).toEqual([])
  })

  it('shows exactly what the learner is sent', async () => {
    const school = await aSchool()
    await publish(school, { title: 'One', window: { ...open, due: through('2026-09-10') } })
    const id = await publish(school, { title: 'Two' })
    const own = mustBeOk(await listMyWork(school.deps, school.ann), 'list')
    expect((await lens(school)).work).toEqual(own.work)
    const shown = mustBeOk(
      await showMyPiece(school.deps, school.ann, { assignmentId: id, pieceId: P1 }),
      'own',
    )
    expect(mustBeOk(await piece(school, id, null), 'lens')).toEqual(shown)
  })

  it('looks ahead and back by the windows, and at what was done by then', async () => {
    const school = await aSchool()
    // 9:00 to 15:00 in Denver, which is 15:00 to 21:00 UTC
    const id = await publish(school, {
      window: {
        ...open,
        listed: moment('2026-09-02', 540),
        opens: moment('2026-09-03', 540),
        due: moment('2026-09-04', 900),
        closes: moment('2026-09-07', 900),
      },
    })
    const stateAt = async (when: Instant) =>
      (await lens(school, when)).work[0]?.pieces[0]?.state ?? 'not there'
    expect(await stateAt(at('09-02T14:59'))).toBe('not there')
    expect(await stateAt(at('09-02T15:00'))).toBe('coming-up')
    expect(await stateAt(at('09-03T15:00'))).toBe('open')
    expect(await stateAt(at('09-04T21:00'))).toBe('late')
    expect(await stateAt(at('09-07T21:00'))).toBe('closed')
    school.clock.set(at('09-03T16:00'))
    const { attemptId } = mustBeOk(
      await startTry(school.deps, school.ann, { assignmentId: id, pieceId: P1 }),
      'start',
    )
    school.clock.set(at('09-03T17:00'))
    mustBeOk(await handIn(school.deps, school.ann, { attemptId, saves: [] }), 'hand in')
    const doneAt = async (when: Instant) => {
      const [card] = (await lens(school, when)).work
      return [card?.pieces[0]?.triesUsed, card?.inProgress, card?.handedInAt !== null]
    }
    expect(await doneAt(at('09-03T15:30'))).toEqual([0, false, false])
    expect(await doneAt(at('09-03T16:30'))).toEqual([1, true, false])
    expect(await doneAt(at('09-03T17:30'))).toEqual([1, false, true])
    expect(mustBeOk(await piece(school, id, at('09-03T16:30')), 'piece')).toMatchObject({
      seen: [],
      open: {},
    })
  })

  it('says of everything else why it is not there', async () => {
    const school = await aSchool()
    const { deps, teacher, ann } = school
    const hold = (title: string) =>
      assign(deps, teacher, { draft: aDraft(school, { title }), publish: false })
    await hold('Held')
    const gone = await publish(school, { title: 'Gone' })
    mustBeOk(await withdrawWork(deps, teacher, { assignmentId: gone, version: 1 }), 'withdraw')
    await publish(school, { title: 'Not Ann', exceptIds: [ann.userId] })
    const toBen = { target: { kind: 'learner' as const, learnerId: school.ben.userId }, overrides: {} }
    await publish(school, { title: 'Ben’s', targets: [toBen] })
    await publish(school, { title: 'Later', window: { ...open, listed: moment('2026-09-20', 0) } })
    await publish(school, { title: 'Past', window: { ...open, putAway: through('2026-08-31') } })
    await publish(school, { title: 'There' })
    const reasons = Object.fromEntries(
      (await lens(school)).rows.map((r) => [r.title, r.notThere?.code ?? 'there']),
    )
    expect(reasons).toEqual({
      Held: 'held',
      Gone: 'withdrawn',
      'Not Ann': 'excepted',
      'Ben’s': 'not-chosen',
      Later: 'not-listed',
      Past: 'put-away',
      There: 'there',
    })
    // before it was published nothing of it was there
    const before = await lens(school, at('09-01T11:59'))
    expect(before.work).toEqual([])
    expect(before.rows.find((r) => r.title === 'There')?.notThere?.code).toBe('published-later')
  })

  it('says what set each date, and what comes next', async () => {
    const school = await aSchool()
    const id = await publish(school, { title: 'Check', window: { ...open, due: through('2026-09-10') } })
    const more = {
      assignmentId: id,
      learnerIds: [school.ann.userId],
      more: { kind: 'until', on: isoDay('2026-09-14') },
    } as const
    mustBeOk(await giveMore(school.deps, school.teacher, more), 'more')
    const { rows, changes } = await lens(school)
    expect(rows[0]?.why).toContainEqual({
      level: 'learner',
      sourceId: null,
      fields: ['due', 'closes', 'putAway'],
    })
    expect(changes).toEqual([{ at: at('09-15T06:00'), field: 'due', title: 'Check' }])
  })

  it('is there for teachers of the learner’s class, and shows no other class', async () => {
    const school = await aSchool()
    await publish(school)
    const stranger = await aTeacher(school, 'Dora')
    const colleague = await aColleague(school)
    const of = { learnerId: school.ann.userId, at: null }
    for (const who of [stranger, colleague])
      expect((await showLens(school.deps, who, of)).error).toMatchObject({ code: 'access/not-found' })
    const cleo = { learnerId: school.cleo.userId, at: null }
    expect(mustBeOk(await showLens(school.deps, colleague, cleo), 'lens').work).toHaveLength(1)
  })
})
