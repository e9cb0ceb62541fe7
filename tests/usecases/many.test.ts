import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { AssignmentId } from '#core/base'
import { learnerWorkOf } from '#db/repositories'
import { startTry } from '#usecases/learning/tries'
import { redo, undo } from '#usecases/journal/journal'
import { actOnMany } from '#usecases/work/actOnMany'
import type { ManyAct } from '#usecases/work/actOnMany'
import { assign } from '#usecases/work/assign'
import { listWork } from '#usecases/work/listWork'
import { at, only } from '../support/made'
import { aColleague, aDraft, aSchool, anchored, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

async function versions(school: TestSchool, ids: readonly AssignmentId[]) {
  const { work } = mustBeOk(await listWork(school.deps, school.teacher), 'list')
  return ids.map((id) => ({ assignmentId: id, version: work.find((w) => w.id === id)?.version ?? 0 }))
}
const states = async (school: TestSchool, ids: readonly AssignmentId[]) => {
  const { work } = mustBeOk(await listWork(school.deps, school.teacher), 'list')
  return ids.map((id) => work.find((w) => w.id === id)?.state)
}
const act = async (school: TestSchool, ids: readonly AssignmentId[], what: ManyAct, actor = school.teacher) =>
  actOnMany(school.deps, actor, { works: await versions(school, ids), act: what })
const dueOf = async (school: TestSchool, id: AssignmentId, who = school.ann) =>
  (await learnerWorkOf(school.deps.store.read, [id])).find((r) => r.learnerId === who.userId)?.terms.due
const hold = async (school: TestSchool, title: string) =>
  mustBeOk(
    await assign(school.deps, school.teacher, { draft: aDraft(school, { title }), publish: false }),
    title,
  ).assignmentId

describe('several assignments at once', () => {
  it('are published as one step, and taken back as one', async () => {
    const school = await aSchool()
    const ids = [await hold(school, 'One'), await hold(school, 'Two')]
    const done = mustBeOk(await act(school, ids, { kind: 'publish' }), 'publish')
    expect(done).toEqual({ works: 2, learners: 6 })
    expect(await states(school, ids)).toEqual(['published', 'published'])
    const back = mustBeOk(await undo(school.deps, school.teacher), 'undo')
    expect(back?.steps.redo).toMatchObject({ what: 'published', others: 1, title: 'One' })
    expect(await states(school, ids)).toEqual(['held', 'held'])
    mustBeOk(await redo(school.deps, school.teacher), 'redo')
    expect(await states(school, ids)).toEqual(['published', 'published'])
  })

  it('are withdrawn, and come back with what learners had', async () => {
    const school = await aSchool()
    const ids = [await publish(school), await publish(school)]
    mustBeOk(await startTry(school.deps, school.ann, only(ids[0]!)), 'start')
    mustBeOk(await act(school, ids, { kind: 'withdraw' }), 'withdraw')
    expect(await states(school, ids)).toEqual(['withdrawn', 'withdrawn'])
    mustBeOk(await undo(school.deps, school.teacher), 'undo')
    expect(await states(school, ids)).toEqual(['published', 'published'])
  })

  it('move by meetings, each class by its own', async () => {
    const school = await aSchool()
    const window = aDraft(school).window
    // A meets Mon, Wed, Fri, B Tue and Thu
    const onDay = await publish(school, { window: { ...window, due: through('2026-09-04') } })
    const onLesson = await publish(school, {
      window: { ...window, due: anchored(school.lesson('1.2'), 'last') },
    })
    const before = [await dueOf(school, onLesson), await dueOf(school, onLesson, school.cleo)]
    const ids = [onDay, onLesson]
    mustBeOk(await act(school, ids, { kind: 'shift', meetings: 1 }), 'shift')
    // from Fri 4 Sep: A's next is Mon 7, B's next Tue 8; days end at 06:00 UTC
    expect([await dueOf(school, onDay), await dueOf(school, onDay, school.cleo)]).toEqual([
      at('09-08T06:00'),
      at('09-09T06:00'),
    ])
    expect(await dueOf(school, onLesson)).toBeGreaterThan(before[0] as number)
    mustBeOk(await undo(school.deps, school.teacher), 'undo')
    expect([await dueOf(school, onLesson), await dueOf(school, onLesson, school.cleo)]).toEqual(before)
    expect(await dueOf(school, onDay, school.cleo)).toBe(at('09-05T06:00'))
  })

  it('are all done or none, with the one that cannot be', async () => {
    const school = await aSchool()
    const window = aDraft(school).window
    const fine = await publish(school, { window: { ...window, due: through('2026-09-04') } })
    const last = await publish(school, {
      title: 'At the end',
      window: { ...window, due: through('2026-12-17') },
    })
    const refused = await act(school, [fine, last], { kind: 'shift', meetings: 5 })
    expect(refused.error).toEqual({ code: 'work/past-the-year', field: 'window', title: 'At the end' })
    expect(await dueOf(school, fine)).toBe(at('09-05T06:00'))
    const stale = await actOnMany(school.deps, school.teacher, {
      works: [
        { assignmentId: fine, version: 1 },
        { assignmentId: last, version: 9 },
      ],
      act: { kind: 'withdraw' },
    })
    expect(stale.error?.code).toBe('access/changed-meanwhile')
    expect(await states(school, [fine, last])).toEqual(['published', 'published'])
  })

  it('take no time from who has begun when they move earlier', async () => {
    const school = await aSchool()
    const id = await publish(school, { window: { ...aDraft(school).window, due: through('2026-09-11') } })
    mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start')
    mustBeOk(await act(school, [id], { kind: 'shift', meetings: -2 }), 'shift')
    expect(await dueOf(school, id)).toBe(at('09-12T06:00'))
    expect(await dueOf(school, id, school.ben)).toBe(at('09-08T06:00'))
  })

  it('are nobody else’s: a stranger finds none, a colleague moves only their own', async () => {
    const school = await aSchool()
    const id = await publish(school, {
      window: { ...aDraft(school).window, due: { kind: 'day', on: isoDay('2026-09-04') } },
    })
    const work = [{ assignmentId: id, version: 1 }]
    const asked = { works: work, act: { kind: 'withdraw' } as const }
    expect((await actOnMany(school.deps, school.stranger, asked)).error?.code).toBe('access/not-found')
    const colleague = await aColleague(school)
    const shift = { works: work, act: { kind: 'shift', meetings: 1 } as const }
    expect((await actOnMany(school.deps, colleague, shift)).error?.code).toBe('work/not-whole')
    mustBeOk(await actOnMany(school.deps, colleague, asked), 'their class only')
    expect(await dueOf(school, id)).toBe(at('09-05T06:00'))
    expect(await dueOf(school, id, school.cleo)).toBeUndefined()
  })

  it('are thrown away while they are held: nobody ever had them, and undo brings them back', async () => {
    const school = await aSchool()
    const ids = [await hold(school, 'One'), await hold(school, 'Two')]
    const out = await publish(school)
    mustBeOk(await act(school, ids, { kind: 'withdraw' }), 'throw away')
    mustBeOk(await act(school, [out], { kind: 'withdraw' }), 'withdraw')
    expect(await states(school, [...ids, out])).toEqual([undefined, undefined, 'withdrawn'])
    mustBeOk(await undo(school.deps, school.teacher), 'undo')
    mustBeOk(await undo(school.deps, school.teacher), 'undo')
    expect(await states(school, [...ids, out])).toEqual(['held', 'held', 'published'])
  })
})
