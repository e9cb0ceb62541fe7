import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { AssignmentId } from '#core/base'
import { learnerWorkOf } from '#db/repositories'
import { handIn, startTry } from '#usecases/learning/tries'
import { redo, showHistory, undo } from '#usecases/journal/journal'
import { changeWork } from '#usecases/work/changeWork'
import { giveMore } from '#usecases/work/giveMore'
import { showWork } from '#usecases/work/showWork'
import { withdrawWork } from '#usecases/work/withdrawWork'
import { P1, at, only } from '../support/made'
import { aColleague, aDraft, aSchool, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const shown = async (school: TestSchool, id: AssignmentId) =>
  mustBeOk(await showWork(school.deps, school.teacher, id), 'show')
const termsOf = async (school: TestSchool, id: AssignmentId, who = school.ann) =>
  (await learnerWorkOf(school.deps.store.read, [id])).find((r) => r.learnerId === who.userId)?.terms
const back = (school: TestSchool, actor = school.teacher) => undo(school.deps, actor)

describe('what was done to an assignment', () => {
  it('is taken back and done again, step by step, and written in the history', async () => {
    const school = await aSchool()
    const id = await publish(school, { window: { ...aDraft(school).window, due: through('2026-09-04') } })
    const draft = aDraft(school, {
      title: 'Better',
      window: { ...aDraft(school).window, due: through('2026-09-08') },
    })
    const change = { assignmentId: id, version: 1, draft, publish: false }
    mustBeOk(await changeWork(school.deps, school.teacher, change), 'change')
    mustBeOk(await withdrawWork(school.deps, school.teacher, { assignmentId: id, version: 2 }), 'withdraw')
    const states = async () => {
      const { state, draft: of } = await shown(school, id)
      return [state, of.title, (await termsOf(school, id))?.due]
    }
    const first = mustBeOk(await back(school), 'undo withdraw')
    expect(first?.steps.undo).toMatchObject({ kind: 'work', what: 'changed', title: 'Better' })
    expect(await states()).toEqual(['published', 'Better', at('09-09T06:00')])
    mustBeOk(await back(school), 'undo change')
    expect(await states()).toEqual(['published', 'Check', at('09-05T06:00')])
    mustBeOk(await back(school), 'undo publish')
    expect((await states())[0]).toBe('withdrawn')
    for (let i = 0; i < 3; i++) mustBeOk(await redo(school.deps, school.teacher), 'redo')
    expect((await states()).slice(0, 2)).toEqual(['withdrawn', 'Better'])
    const { acts } = mustBeOk(await showHistory(school.deps, school.teacher), 'history')
    expect(acts.slice(0, 3).map((a) => ('what' in a.command ? a.command.what : ''))).toEqual([
      'withdrawn',
      'changed',
      'published',
    ])
    // the history says what was done, not to whom
    expect(JSON.stringify(acts)).not.toContain('exceptIds')
  })

  it('stays when a learner has begun it, or when somebody changed it since', async () => {
    const school = await aSchool()
    const id = await publish(school)
    mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start')
    expect((await back(school)).error).toMatchObject({ code: 'work/has-begun', learners: 1 })
    expect((await shown(school, id)).state).toBe('published')
    mustBeOk(
      await giveMore(school.deps, school.teacher, {
        assignmentId: id,
        learnerIds: [school.ben.userId],
        more: { kind: 'excused' },
      }),
      'excuse',
    )
    const colleague = await aColleague(school)
    mustBeOk(
      await giveMore(school.deps, colleague, {
        assignmentId: id,
        learnerIds: [school.cleo.userId],
        more: { kind: 'try', pieceId: P1 },
      }),
      'a try from the colleague',
    )
    expect((await back(school)).error).toMatchObject({ code: 'work/changed-since', title: 'Check' })
    mustBeOk(await back(school, colleague), 'the colleague takes theirs back')
    mustBeOk(await back(school), 'then it can be taken back')
    expect((await shown(school, id)).draft.exceptIds).toEqual([])
  })
})

describe('more for single learners', () => {
  it('lets one try again, opens for one what has closed, excuses one, each undone', async () => {
    const school = await aSchool()
    const id = await publish(school, {
      window: { ...aDraft(school).window, due: through('2026-09-02') },
      rules: { ...aDraft(school).rules, maxAttempts: 1 },
    })
    const started = mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start')
    mustBeOk(await handIn(school.deps, school.ann, { attemptId: started.attemptId, saves: [] }), 'in')
    const give = (more: Parameters<typeof giveMore>[2]['more'], who = [school.ann]) =>
      giveMore(school.deps, school.teacher, {
        assignmentId: id,
        learnerIds: who.map((w) => w.userId),
        more,
      })
    const code = async (who = school.ann) => (await startTry(school.deps, who, only(id))).error?.code
    expect(await code()).toBe('attempts/none-left')
    expect(mustBeOk(await give({ kind: 'try', pieceId: P1 }, [school.ann, school.ann]), 'try').learners).toBe(
      1,
    )
    expect((await termsOf(school, id))?.maxAttempts).toBe(2)
    expect((await termsOf(school, id, school.ben))?.maxAttempts).toBe(1)

    school.clock.set(at('09-05T12:00'))
    expect([await code(), await code(school.ben)]).toEqual(['attempts/closed', 'attempts/closed'])
    mustBeOk(await give({ kind: 'until', on: isoDay('2026-09-07') }), 'time')
    expect([await code(), await code(school.ben)]).toEqual([undefined, 'attempts/closed'])
    expect(mustBeOk(await give({ kind: 'until', on: isoDay('2026-09-06') }), 'less').learners).toBe(0)
    // Ann has begun her second try by now: taking the time back leaves it to her
    mustBeOk(await back(school), 'undo time')
    expect((await termsOf(school, id))?.closes).toEqual(at('09-08T06:00'))

    mustBeOk(await give({ kind: 'excused' }, [school.ben]), 'excuse')
    expect(await termsOf(school, id, school.ben)).toBeUndefined()
    mustBeOk(await give({ kind: 'not-excused' }, [school.ben]), 'no longer')
    expect((await termsOf(school, id, school.ben))?.maxAttempts).toBe(1)
  })

  it('is given within one’s own classes, to who has the work', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const colleague = await aColleague(school)
    const give = (actor: typeof school.teacher, who: typeof school.ann) =>
      giveMore(school.deps, actor, {
        assignmentId: id,
        learnerIds: [who.userId],
        more: { kind: 'excused' },
      })
    expect((await give(colleague, school.ann)).ok).toBe(false)
    expect((await give(colleague, school.cleo)).ok).toBe(true)
    expect((await give(school.stranger, school.ann)).error?.code).toBe('access/not-found')
    const unknown = { kind: 'try' as const, pieceId: 'p9' as never }
    const asked = { assignmentId: id, learnerIds: [school.ann.userId], more: unknown }
    expect((await giveMore(school.deps, school.teacher, asked)).error?.code).toBe('access/not-found')
  })
})
