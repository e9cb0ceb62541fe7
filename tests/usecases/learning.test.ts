import { describe, expect, it } from 'vitest'
import { addMinutes, asId, mustBeOk } from '#core/base'
import type { AssignmentId, AttemptId, PageId } from '#core/base'
import type { Answer } from '#core/library'
import { attemptById, answersOf } from '#db/repositories'
import { showGrid, showItems } from '#usecases/evidence/evidence'
import { showMyPiece } from '#usecases/learning/myPiece'
import { listMyWork } from '#usecases/learning/myWork'
import { handIn, saveAnswers, startTry } from '#usecases/learning/tries'
import { aChange, at, ids, rules, only } from '../support/made'
import { aColleague, aSchool, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const RIGHT: Record<string, Answer> = {
  1: { kind: 'single', choice: 'b' },
  2: { kind: 'multiple', choices: ['a', 'c'] },
  3: { kind: 'numeric', text: '2.5' },
  4: { kind: 'text', text: 'Resting place' },
}
const saves = (...numbers: number[]) => numbers.map((n) => aChange(String(n), RIGHT[n] as Answer))
const open = { listed: null, opens: null, due: null, closes: null, putAway: null }
const start = async (school: TestSchool, id: AssignmentId, who = school.ann) =>
  mustBeOk(await startTry(school.deps, who, only(id)), 'start').attemptId
async function does(school: TestSchool, id: AssignmentId, who: TestSchool['ann'], ...right: number[]) {
  return handIn(school.deps, who, { attemptId: await start(school, id, who), saves: saves(...right) })
}
const piece = async (school: TestSchool, id: AssignmentId, who = school.ann) =>
  mustBeOk(await showMyPiece(school.deps, who, only(id)), 'piece')

describe('a try', () => {
  it('is saved answer by answer, handed in, scored, and seen by the rules', async () => {
    const school = await aSchool()
    const id = await publish(school, { window: { ...open, due: through('2026-09-10') } })
    const attemptId = await start(school, id)
    await saveAnswers(school.deps, school.ann, { attemptId, saves: saves(1) })
    await saveAnswers(school.deps, school.ann, { attemptId, saves: saves(2) })
    expect((await piece(school, id)).open?.answers).toEqual({ 1: RIGHT[1], 2: RIGHT[2] })
    mustBeOk(await handIn(school.deps, school.ann, { attemptId, saves: saves(4) }), 'in')
    const seen = (await piece(school, id)).seen[0]
    // 1 + 2 + 0 + 1 of 5 points
    expect(seen?.score).toMatchObject({ points: 4, of: 5, ratio: 0.8 })
    // what was wrong comes again in the second try: its hint stands there until then
    expect(seen?.items.map((i) => i.feedback)).toEqual(['Because.', 'Because.', undefined, 'Because.'])
    expect(seen?.items[2]).toMatchObject({ points: 0, hint: '' })
    // answers only after closing
    expect(seen?.items.some((i) => 'right' in i)).toBe(false)
    school.clock.set(at('09-12T12:00'))
    const closed = (await piece(school, id)).seen[0]
    expect(closed?.items[0]?.right).toBe('Option b')
    expect(closed?.items[2]?.feedback).toBe('Because.')
  })

  it('shows neither score nor feedback before the rules allow it', async () => {
    const school = await aSchool()
    const id = await publish(school, {
      window: { ...open, due: through('2026-09-10') },
      rules: rules({ feedback: 'close', answers: 'never' }),
    })
    await does(school, id, school.ann, 1, 2, 3, 4)
    const hidden = await piece(school, id)
    expect(hidden.seen[0]?.score).toBeNull()
    expect(JSON.stringify(hidden)).not.toContain('Because.')
    expect(hidden.work.ratio).toBeNull()
    school.clock.set(at('09-12T12:00'))
    const shown = await piece(school, id)
    expect(shown.seen[0]?.score?.ratio).toBe(1)
    expect(shown.seen[0]?.items.some((i) => 'right' in i)).toBe(false)
  })

  it('goes on where it was, for two requests at once too', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const both = await Promise.all([
      startTry(school.deps, school.ann, only(id)),
      startTry(school.deps, school.ann, only(id)),
    ])
    expect(new Set(both.map((b) => b.value?.attemptId)).size).toBe(1)
    expect((await piece(school, id)).piece.triesUsed).toBe(1)
  })

  it('is handed in once, however often and in parallel', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const attemptId = await start(school, id)
    const replies = await Promise.all(
      [1, 2, 3].map(() => handIn(school.deps, school.ann, { attemptId, saves: saves(1) })),
    )
    expect(replies.every((r) => r.ok)).toBe(true)
    expect(new Set(replies.map((r) => r.value?.submittedAt)).size).toBe(1)
    expect((await saveAnswers(school.deps, school.ann, { attemptId, saves: saves(2) })).error?.code).toBe(
      'attempts/already-handed-in',
    )
    expect((await attemptById(school.deps.store.read, attemptId))?.score?.points).toBe(1)
  })

  it('may be repeated as often as allowed, the kept rule deciding', async () => {
    const school = await aSchool()
    const id = await publish(school, { rules: rules({ kept: 'latest' }) })
    await does(school, id, school.ann, 1, 2, 3, 4)
    await does(school, id, school.ann, 1)
    expect((await piece(school, id)).piece).toMatchObject({ triesUsed: 2, ratio: 0.2, mayTry: false })
    expect((await startTry(school.deps, school.ann, only(id))).error).toMatchObject({
      code: 'attempts/none-left',
      used: 2,
      most: 2,
    })
  })
})

describe('right answers', () => {
  it('wait until everybody has closed, or only for the learner’s own closing by the rule', async () => {
    const school = await aSchool()
    const window = { ...open, due: through('2026-09-10') }
    const later = { window: { due: through('2026-09-14') } }
    const targets = [
      { target: { kind: 'class' as const, classId: school.a.classId }, overrides: {} },
      { target: { kind: 'learner' as const, learnerId: school.ben.userId }, overrides: later },
    ]
    const careful = await publish(school, { window, targets })
    const own = await publish(school, { window, targets, rules: rules({ answers: 'own-close' }) })
    for (const id of [careful, own]) await does(school, id, school.ann, 1)
    const right = async (id: AssignmentId) => (await piece(school, id)).seen[0]?.items[0]?.right
    school.clock.set(at('09-12T12:00'))
    expect(await right(careful)).toBeUndefined()
    expect(await right(own)).toBe('Option b')
    school.clock.set(at('09-15T12:00'))
    expect(await right(careful)).toBe('Option b')
  })
})

describe('answers from two devices', () => {
  const said = (text: string): Answer => ({ kind: 'text', text })
  const [laptop, phone] = [asId<PageId>('laptop'), asId<PageId>('phone')]
  const stands = async (school: TestSchool, id: AssignmentId) =>
    (await piece(school, id)).open?.answers[ids.item('4')]
  const save = (school: TestSchool, attemptId: AttemptId, change: ReturnType<typeof aChange>) =>
    saveAnswers(school.deps, school.ann, { attemptId, saves: [change] })

  it('never overwrite a newer one: made offline on A, later on B, then A is back', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const attemptId = await start(school, id)
    mustBeOk(await save(school, attemptId, aChange('4', said('first'), { writer: laptop })), 'A')
    const offline = aChange('4', said('on the train'), { from: 1, writer: laptop, edit: 2 })
    const onB = mustBeOk(
      await save(school, attemptId, aChange('4', said('at home'), { from: 1, writer: phone })),
      'B',
    )
    expect(onB).toMatchObject({ stale: [], stands: [{ answer: said('at home'), revision: 2 }] })
    const back = mustBeOk(await save(school, attemptId, offline), 'A is back')
    expect(back).toMatchObject({ stale: ['4'], stands: [{ answer: said('at home'), revision: 2 }] })
    expect(await stands(school, id)).toEqual(said('at home'))
    // the learner chooses the laptop's after all
    const chosen = { ...offline, from: 2, edit: 3 }
    expect((await save(school, attemptId, chosen)).value?.stale).toEqual([])
    expect(await stands(school, id)).toEqual(said('on the train'))
    expect((await piece(school, id)).open?.revisions).toEqual({ 4: 3 })
  })

  it('are not changed by what comes again or too late', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const attemptId = await start(school, id)
    const [first, second] = [1, 2].map((edit) => aChange('4', said(`v${edit}`), { edit, writer: laptop }))
    if (!first || !second) throw new Error('two changes')
    await save(school, attemptId, second)
    for (const late of [first, second, first])
      expect((await save(school, attemptId, late)).value).toMatchObject({
        stale: [],
        stands: [{ revision: 1 }],
      })
    expect(await stands(school, id)).toEqual(said('v2'))
  })

  it('stand when the other hands in: it is refused until the learner has chosen', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const attemptId = await start(school, id)
    await save(school, attemptId, aChange('4', said('Resting place'), { writer: phone }))
    const old = aChange('4', said('nest'), { writer: laptop })
    const early = await handIn(school.deps, school.ann, { attemptId, saves: [old] })
    expect(early.error).toMatchObject({
      code: 'attempts/answered-elsewhere',
      stands: [{ answer: said('Resting place'), revision: 1 }],
    })
    expect((await piece(school, id)).open).not.toBeNull()
    mustBeOk(await handIn(school.deps, school.ann, { attemptId, saves: [] }), 'in')
    expect((await attemptById(school.deps.store.read, attemptId))?.score?.points).toBe(1)
  })

  it('that arrive in one commit are taken in their order', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const attemptId = await start(school, id)
    const many = await Promise.all(
      Array.from({ length: 40 }, (_, i) =>
        save(school, attemptId, aChange('4', said(`${i}`), { writer: asId<PageId>(`page${i}`) })),
      ),
    )
    expect(many.filter((m) => m.value?.stale.length === 0)).toHaveLength(1)
    expect(await stands(school, id)).toEqual(said('0'))
  })
})

describe('what the server enforces', () => {
  it('refuses work that is not open, closed, held back, somebody else’s or unknown', async () => {
    const school = await aSchool()
    const id = await publish(school, {
      window: {
        ...open,
        listed: through('2026-09-03'),
        opens: through('2026-09-05'),
        due: through('2026-09-10'),
      },
      targets: [{ target: { kind: 'class', classId: school.a.classId }, overrides: {} }],
    })
    const code = async (who = school.ann) => (await startTry(school.deps, who, only(id))).error?.code
    expect(await code()).toBe('access/not-found')
    expect((await listMyWork(school.deps, school.ann)).value.work).toEqual([])
    school.clock.set(at('09-04T12:00'))
    expect(await code()).toBe('attempts/not-open-yet')
    expect((await listMyWork(school.deps, school.ann)).value.work.map((w) => w.place)).toEqual(['next'])
    school.clock.set(at('09-06T12:00'))
    expect(await code(school.cleo)).toBe('access/not-found')
    expect(await code()).toBeUndefined()
    school.clock.set(at('09-11T12:00'))
    expect(await code(school.ben)).toBe('attempts/closed')
  })

  it('refuses another learner’s try, unknown items, other kinds; and saves none of a mixed batch', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const attemptId = await start(school, id)
    expect((await saveAnswers(school.deps, school.ben, { attemptId, saves: saves(1) })).error?.code).toBe(
      'access/not-found',
    )
    expect((await handIn(school.deps, school.ben, { attemptId, saves: [] })).error?.code).toBe(
      'access/not-found',
    )
    expect(
      (await saveAnswers(school.deps, school.ann, { attemptId: 'gone' as AttemptId, saves: [] })).error?.code,
    ).toBe('access/not-found')
    const mixed = [...saves(1), aChange('99', RIGHT[1] as Answer)]
    expect((await saveAnswers(school.deps, school.ann, { attemptId, saves: mixed })).error?.code).toBe(
      'attempts/unknown-item',
    )
    expect(
      (
        await saveAnswers(school.deps, school.ann, {
          attemptId,
          saves: [aChange('1', RIGHT[4] as Answer)],
        })
      ).error?.code,
    ).toBe('attempts/wrong-kind-of-answer')
    expect((await answersOf(school.deps.store.read, [attemptId])).get(attemptId)?.size).toBe(0)
  })

  it('hands in as saved when the window closes over a try, and says so', async () => {
    const school = await aSchool()
    const id = await publish(school, { window: { ...open, due: through('2026-09-10') } })
    const attemptId = await start(school, id)
    await saveAnswers(school.deps, school.ann, { attemptId, saves: saves(1, 2) })
    school.clock.set(at('09-11T12:00'))
    expect((await saveAnswers(school.deps, school.ann, { attemptId, saves: saves(3) })).error?.code).toBe(
      'attempts/closed',
    )
    const seen = (await piece(school, id)).seen[0]
    expect(seen).toMatchObject({ endedBy: 'closing', score: { points: 3 } })
    expect(new Date(seen?.submittedAt ?? 0).toISOString()).toBe('2026-09-11T06:00:00.000Z')
  })

  it('counts a hand-in when it came, however long what came along had to wait', async () => {
    const school = await aSchool()
    const { deps, ann, clock } = school
    const id = await publish(school, { window: { ...open, due: through('2026-09-10') } })
    const { attemptId } = mustBeOk(await startTry(deps, ann, only(id)), 'start')
    const came = at('09-11T05:59')
    clock.set(came)
    // another process holds the database while the window closes
    const saveAnswers: typeof deps.store.saveAnswers = async (saves) => {
      clock.set(at('09-11T06:01'))
      return deps.store.saveAnswers(saves)
    }
    const slow = { ...deps, store: { ...deps.store, saveAnswers } }
    const saves = [aChange('1', { kind: 'single', choice: 'b' })]
    expect((await handIn(slow, ann, { attemptId, saves })).value).toMatchObject({ submittedAt: came })
    const [seen] = mustBeOk(await showMyPiece(deps, ann, only(id)), 'piece').seen
    expect(seen).toMatchObject({ endedBy: 'learner', late: false })
  })

  it('ends a try at its time limit with 30 s of grace', async () => {
    const school = await aSchool()
    const id = await publish(school, { rules: rules({ timeLimitMinutes: 20 }) })
    const attemptId = await start(school, id)
    const startedAt = school.clock.now()
    school.clock.set((addMinutes(startedAt, 20) + 29_000) as never)
    expect((await saveAnswers(school.deps, school.ann, { attemptId, saves: saves(1) })).ok).toBe(true)
    school.clock.set((addMinutes(startedAt, 20) + 31_000) as never)
    expect((await saveAnswers(school.deps, school.ann, { attemptId, saves: saves(2) })).error?.code).toBe(
      'attempts/time-is-up',
    )
    expect((await piece(school, id)).seen[0]).toMatchObject({
      endedBy: 'time-limit',
      submittedAt: addMinutes(startedAt, 20),
    })
  })

  it('takes points off late work, by school days, down to the floor', async () => {
    const school = await aSchool()
    const id = await publish(school, {
      window: { ...open, due: through('2026-09-10'), closes: through('2026-09-30') },
      rules: rules({ late: { percentPerDay: 20, per: 'instructional-day', floorPercent: 50 } }),
    })
    // due at the end of Thu 10 Sep; Mon 14 is the second school day after it
    school.clock.set(at('09-14T18:00'))
    await does(school, id, school.ann, 1, 2, 3, 4)
    expect((await piece(school, id)).seen[0]).toMatchObject({
      late: true,
      score: { ratio: 0.6, lateDays: 2 },
    })
    school.clock.set(at('09-25T18:00'))
    await does(school, id, school.ben, 1, 2, 3, 4)
    expect((await piece(school, id, school.ben)).work.ratio).toBe(0.5)
  })

  it('waits between tries', async () => {
    const school = await aSchool()
    const id = await publish(school, { rules: rules({ waitMinutes: 30 }) })
    await does(school, id, school.ann, 1)
    expect((await startTry(school.deps, school.ann, only(id))).error?.code).toBe('attempts/wait')
    expect((await piece(school, id)).waitUntil).toBe(addMinutes(school.clock.now(), 30))
    school.clock.set(addMinutes(school.clock.now(), 30))
    expect((await startTry(school.deps, school.ann, only(id))).ok).toBe(true)
  })
})

describe('the teacher’s view of it', () => {
  it('shows learners × work with kept scores, tries and late marks', async () => {
    const school = await aSchool()
    const id = await publish(school, {
      window: { ...open, due: through('2026-09-10'), closes: through('2026-09-30') },
    })
    await does(school, id, school.ann, 1)
    await does(school, id, school.ann, 1, 2, 3, 4)
    school.clock.set(at('09-12T12:00'))
    await does(school, id, school.ben, 1, 2)
    const got = mustBeOk(await showGrid(school.deps, school.teacher, school.a.classId), 'grid')
    expect(got.cells.map((c) => [c.ratio, c.attempts, c.late, c.state])).toEqual([
      [1, 2, false, 'handed-in'],
      [0.6, 1, true, 'handed-in'],
    ])
    expect(got.columns[0]).toMatchObject({ handedIn: 2, reached: 2, mean: 0.8 })
    const other = mustBeOk(await showGrid(school.deps, school.teacher, school.b.classId), 'grid')
    expect(other.cells.map((c) => c.state)).toEqual(['missing'])
  })

  it('shows items hardest first over each learner’s try that counts, for one class or all', async () => {
    const school = await aSchool()
    const id = await publish(school)
    await does(school, id, school.ann, 1)
    await does(school, id, school.ann, 1, 2, 3)
    await does(school, id, school.cleo, 1, 2)
    const all = mustBeOk(
      await showItems(school.deps, school.teacher, { assignmentId: id, pieceId: null, classId: null }),
      'items',
    )
    expect(all).toMatchObject({ tries: 2, className: null })
    expect(all.figures.map((f) => [f.itemId, f.rightCount])).toEqual([
      ['4', 0],
      ['3', 1],
      ['1', 2],
      ['2', 2],
    ])
    const one = mustBeOk(
      await showItems(school.deps, school.teacher, {
        assignmentId: id,
        pieceId: null,
        classId: school.b.classId,
      }),
      'items',
    )
    expect(one).toMatchObject({ tries: 1, className: 'Class B' })
  })

  it('shows a colleague the tries of their own classes only', async () => {
    const school = await aSchool()
    const colleague = await aColleague(school)
    const id = await publish(school)
    await does(school, id, school.ann, 1)
    await does(school, id, school.cleo, 1, 2)
    const got = mustBeOk(
      await showItems(school.deps, colleague, { assignmentId: id, pieceId: null, classId: null }),
      'items',
    )
    expect(got.tries).toBe(1)
    expect(
      (
        await showItems(school.deps, colleague, {
          assignmentId: id,
          pieceId: null,
          classId: school.a.classId,
        })
      ).error?.code,
    ).toBe('access/not-found')
  })

  it('shows neither to strangers', async () => {
    const school = await aSchool()
    const id = await publish(school)
    expect((await showGrid(school.deps, school.stranger, school.a.classId)).error?.code).toBe(
      'access/not-found',
    )
    expect(
      (await showItems(school.deps, school.stranger, { assignmentId: id, pieceId: null, classId: null }))
        .error?.code,
    ).toBe('access/not-found')
  })
})
