import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { AssignmentId, UserId } from '#core/base'
import { learnerWorkOf } from '#db/repositories'
import { handIn, startTry } from '#usecases/learning/tries'
import { undo } from '#usecases/journal/journal'
import { doCommand } from '#usecases/pacing/doCommand'
import { changeWork } from '#usecases/work/changeWork'
import { listWork } from '#usecases/work/listWork'
import { P1, at, only } from '../support/made'
import { aDraft, aLearner, aSchool, anchored, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const dueOf = async (school: TestSchool, id: AssignmentId, who: UserId = school.ann.userId) =>
  (await learnerWorkOf(school.deps.store.read, [id])).find((r) => r.learnerId === who)?.terms.due
const listed = async (school: TestSchool, id: AssignmentId) =>
  mustBeOk(await listWork(school.deps, school.teacher), 'list').work.find((w) => w.id === id)

describe('work whose ground gives way', () => {
  it('keeps the moments it had when its lesson is taken out, says so, and follows again afterwards', async () => {
    const school = await aSchool()
    const lessonId = school.lesson('1.2')
    const id = await publish(school, {
      window: { ...aDraft(school).window, due: anchored(lessonId, 'last') },
    })
    const before = await dueOf(school, id)
    const out = mustBeOk(
      await doCommand(school.deps, school.teacher, {
        kind: 'lesson',
        classId: school.a.classId,
        lessonId,
        part: 'left',
        from: null,
        to: 'let-go',
      }),
      'taken out',
    )
    expect(out.stuck).toEqual(['Check'])
    expect(await dueOf(school, id)).toBe(before)
    const { classes } = (await listed(school, id)) ?? {}
    expect(classes?.map((c) => [c.name, c.isStuck, c.window.due])).toEqual([
      ['Class A', true, before],
      ['Class B', false, await dueOf(school, id, school.cleo.userId)],
    ])
    mustBeOk(await undo(school.deps, school.teacher), 'back in')
    expect((await listed(school, id))?.classes.map((c) => c.isStuck)).toEqual([false, false])
  })

  it('keeps its end on the right day where the clock changes inside its window', async () => {
    const school = await aSchool()
    // Denver leaves summer time on Sun 1 Nov 2026: a day ends at 06:00 UTC before, at 07:00 after
    const window = { ...aDraft(school).window, opens: through('2026-10-30') }
    const id = await publish(school, { window: { ...window, due: through('2026-11-02') } })
    expect(await dueOf(school, id)).toBe(at('11-03T07:00'))
    school.clock.set(at('11-03T06:30'))
    const started = await startTry(school.deps, school.ann, only(id))
    expect(started.ok).toBe(true)
    school.clock.set(at('11-03T07:00'))
    expect((await startTry(school.deps, school.ben, only(id))).error?.code).toBe('attempts/closed')
  })

  it('takes what was handed in at the closing second, and ends as saved what was not', async () => {
    const school = await aSchool()
    const id = await publish(school, { window: { ...aDraft(school).window, due: through('2026-09-04') } })
    const closing = at('09-05T06:00')
    school.clock.set((closing - 60_000) as typeof closing)
    const mine = mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start')
    const other = mustBeOk(await startTry(school.deps, school.ben, only(id)), 'start')
    school.clock.set((closing - 1) as typeof closing)
    const first = mustBeOk(
      await handIn(school.deps, school.ann, { attemptId: mine.attemptId, saves: [] }),
      'in time',
    )
    school.clock.set((closing + 60_000) as typeof closing)
    // from another device, after it closed: the same answer, nothing changed
    const again = await handIn(school.deps, school.ann, { attemptId: mine.attemptId, saves: [] })
    expect(again.ok && again.value.submittedAt).toBe(first.submittedAt)
    const late = await handIn(school.deps, school.ben, { attemptId: other.attemptId, saves: [] })
    expect(late.ok).toBe(false)
    const { handedIn } = (await listed(school, id))?.classes.find((c) => c.name === 'Class A') ?? {}
    expect(handedIn).toBe(2)
  })
})

describe('very many personal changes', () => {
  it('of a class of 200 are each their own, and nobody else’s', { timeout: 120_000 }, async () => {
    const school = await aSchool()
    const people: UserId[] = []
    for (let n = 0; n < 60; n++)
      people.push((await aLearner(school, school.a.joinCode, `Learner ${n}`)).userId)
    const window = { ...aDraft(school).window, due: through('2026-09-04') }
    const id = await publish(school, { window })
    const targets = [
      ...aDraft(school).targets,
      ...people.map((learnerId, n) => ({
        target: { kind: 'learner' as const, learnerId },
        overrides: {
          window: {
            due: { kind: 'day' as const, on: isoDay(`2026-10-${String(1 + (n % 28)).padStart(2, '0')}`) },
          },
          maxAttempts: 1 + (n % 5),
          moreTries: { [P1]: 1 + (n % 3) },
        },
      })),
    ]
    const change = {
      assignmentId: id,
      version: 1,
      draft: aDraft(school, { window, targets }),
      publish: false,
    }
    mustBeOk(await changeWork(school.deps, school.teacher, change), 'change')
    const rows = await learnerWorkOf(school.deps.store.read, [id])
    for (const [n, learnerId] of people.entries()) {
      const terms = rows.find((r) => r.learnerId === learnerId)?.terms
      expect(terms?.maxAttempts, `learner ${n}`).toBe(1 + (n % 5) + 1 + (n % 3))
      expect(terms?.due).toBe(at(`10-${String(2 + (n % 28)).padStart(2, '0')}T06:00`))
    }
    expect(await dueOf(school, id)).toBe(at('09-05T06:00'))
  })
})
