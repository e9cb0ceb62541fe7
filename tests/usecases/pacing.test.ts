import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { ClassId } from '#core/base'
import type { PacingCommand } from '#core/pacing'
import { classById, learnerWorkOf } from '#db/repositories'
import { redo, undo } from '#usecases/journal/journal'
import { doCommand } from '#usecases/pacing/doCommand'
import { showDesk } from '#usecases/pacing/desk'
import { at, only } from '../support/made'
import { aSchool, anchored, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const lose = (classId: ClassId, day: string): PacingCommand => ({
  kind: 'meeting',
  classId,
  on: isoDay(day),
  startMinute: 540,
  from: null,
  to: { kind: 'cancel', on: isoDay(day), startMinute: 540, why: 'Snow day' },
})
const opens = async (school: TestSchool, assignmentId: never, learner: { userId: string }) =>
  new Date(
    (await learnerWorkOf(school.deps.store.read, [assignmentId])).find((r) => r.learnerId === learner.userId)
      ?.terms.opens ?? 0,
  )
    .toISOString()
    .slice(5, 16)

describe('planning acts', () => {
  it('gives one anchored assignment different, correct moments in classes of different days', async () => {
    const school = await aSchool()
    // lesson 1.2 follows one whole meeting: Wed 2 Sep in A, Thu 3 Sep in B
    const work = await publish(school, {
      window: {
        listed: null,
        opens: anchored(school.lesson('1.2'), 'first'),
        due: anchored(school.lesson('1.2'), 'last', 1),
        closes: null,
        putAway: null,
      },
    })
    expect(await opens(school, work as never, school.ann)).toBe('09-02T15:00')
    expect(await opens(school, work as never, school.cleo)).toBe('09-03T15:00')
    const due = new Map(
      (await learnerWorkOf(school.deps.store.read, [work])).map((r) => [
        r.learnerId,
        new Date(r.terms.due ?? 0).toISOString().slice(5, 16),
      ]),
    )
    // 1.2 takes 1½ meetings: last on Fri 4 in A, Tue 8 in B; the next meetings are Mon 7 and Thu 10
    expect(due.get(school.ann.userId)).toBe('09-07T15:50')
    expect(due.get(school.cleo.userId)).toBe('09-10T15:50')
  })

  it('moves the window of that class only when it loses a meeting before it', async () => {
    const school = await aSchool()
    const work = await publish(school, {
      window: {
        listed: null,
        opens: anchored(school.lesson('1.2'), 'first'),
        due: null,
        closes: null,
        putAway: null,
      },
    })
    const got = await doCommand(school.deps, school.teacher, lose(school.a.classId, '2026-08-31'))
    expect(got.value).toMatchObject({ moved: 1, stuck: [] })
    expect(await opens(school, work as never, school.ann)).toBe('09-04T15:00')
    expect(await opens(school, work as never, school.cleo)).toBe('09-03T15:00')
  })

  it('undoes and does again, byte for byte, over a new session', async () => {
    const school = await aSchool()
    const work = await publish(school, {
      window: {
        listed: null,
        opens: anchored(school.lesson('1.3'), 'first'),
        due: null,
        closes: null,
        putAway: null,
      },
    })
    const stored = async () =>
      JSON.stringify((await classById(school.deps.store.read, school.a.classId))?.pacing)
    const [start, before] = [await stored(), await opens(school, work as never, school.ann)]
    await doCommand(school.deps, school.teacher, lose(school.a.classId, '2026-09-02'))
    await doCommand(school.deps, school.teacher, {
      kind: 'length',
      classId: school.a.classId,
      lessonId: school.lesson('1.1'),
      from: null,
      to: 4,
    })
    const after = await stored()
    expect((await showDesk(school.deps, school.teacher)).value.steps.undo).toMatchObject({
      kind: 'length',
      to: 4,
    })
    await undo(school.deps, school.teacher)
    const first = mustBeOk(await undo(school.deps, school.teacher), 'undo')
    expect([await stored(), await opens(school, work as never, school.ann)]).toEqual([start, before])
    // before the two acts of planning, only the work was published
    expect(first?.steps.undo).toMatchObject({ kind: 'work', what: 'published' })
    await redo(school.deps, school.teacher)
    await redo(school.deps, school.teacher)
    expect(await stored()).toBe(after)
    expect((await redo(school.deps, school.teacher)).value).toBeNull()
  })

  it('forgets what could be done again once something new is done', async () => {
    const school = await aSchool()
    await doCommand(school.deps, school.teacher, lose(school.a.classId, '2026-09-02'))
    await undo(school.deps, school.teacher)
    await doCommand(school.deps, school.teacher, lose(school.a.classId, '2026-09-04'))
    expect((await redo(school.deps, school.teacher)).value).toBeNull()
  })

  it('refuses strangers, lost updates, and meetings that are not there; nothing is then changed', async () => {
    const school = await aSchool()
    const command = lose(school.a.classId, '2026-09-02')
    expect((await doCommand(school.deps, school.stranger, command)).error?.code).toBe('access/not-found')
    expect(
      (await doCommand(school.deps, school.teacher, lose(school.a.classId, '2026-09-03'))).error?.code,
    ).toBe('pacing/no-such-meeting')
    expect((await doCommand(school.deps, school.teacher, command)).ok).toBe(true)
    expect((await doCommand(school.deps, school.teacher, command)).error).toMatchObject({
      code: 'pacing/changed-meanwhile',
      seen: { of: 'meeting', change: null },
      now: { of: 'meeting', change: { kind: 'cancel', why: 'Snow day' } },
    })
    expect((await undo(school.deps, school.stranger)).value).toBeNull()
  })

  it('leaves work where it was, and says so, when its lesson no longer fits the year', async () => {
    const school = await aSchool()
    const work = await publish(school, {
      window: {
        listed: null,
        opens: anchored(school.lesson('2.1'), 'first'),
        due: null,
        closes: null,
        putAway: null,
      },
    })
    const lengthen = (lesson: string) =>
      doCommand(school.deps, school.teacher, {
        kind: 'length',
        classId: school.b.classId,
        lessonId: school.lesson(lesson),
        from: null,
        to: 40,
      })
    // 20 of the 32 meetings: it still fits; 20 more: it does not
    expect((await lengthen('1.1')).value).toMatchObject({ moved: 1, stuck: [] })
    const before = await opens(school, work as never, school.cleo)
    expect((await lengthen('1.2')).value).toMatchObject({ moved: 0, stuck: ['Check'] })
    expect(await opens(school, work as never, school.cleo)).toBe(before)
  })

  it('never takes time from a learner who has begun', async () => {
    const school = await aSchool()
    school.clock.set(at('09-04T12:00'))
    const { startTry } = await import('#usecases/learning/tries')
    const work = await publish(school, {
      window: {
        listed: null,
        opens: anchored(school.lesson('1.1'), 'first'),
        due: anchored(school.lesson('1.3'), 'last'),
        closes: null,
        putAway: null,
      },
    })
    expect((await startTry(school.deps, school.ann, only(work))).ok).toBe(true)
    const due = async (who: { userId: string }) =>
      (await learnerWorkOf(school.deps.store.read, [work])).find((r) => r.learnerId === who.userId)?.terms
        .due ?? 0
    const before = await due(school.ann)
    await doCommand(school.deps, school.teacher, {
      kind: 'length',
      classId: school.a.classId,
      lessonId: school.lesson('1.3'),
      from: null,
      to: 1,
    })
    expect(await due(school.ann)).toBe(before)
    expect(await due(school.ben)).toBeLessThan(before)
    const row = (await learnerWorkOf(school.deps.store.read, [work])).find(
      (r) => r.learnerId === school.ann.userId,
    )
    expect(row?.because.find((b) => b.field === 'due')?.level).toBe('started')
  })
})
