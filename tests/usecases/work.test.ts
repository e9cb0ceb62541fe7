import { describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { AssignmentId, ResourceId, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import type { Draft } from '#core/work'
import { addResource, learnerWorkOf } from '#db/repositories'
import { setAccommodation } from '#usecases/teaching/classes'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { startTry } from '#usecases/learning/tries'
import { assign } from '#usecases/work/assign'
import { changeWork } from '#usecases/work/changeWork'
import { listRecipients } from '#usecases/work/listRecipients'
import { listWork } from '#usecases/work/listWork'
import { publishWork } from '#usecases/work/publishWork'
import { showWork } from '#usecases/work/showWork'
import { withdrawWork } from '#usecases/work/withdrawWork'
import { previewWork } from '#usecases/work/previewWork'
import { aCheck, at, rules, single, only, piecesOf } from '../support/made'
import { aColleague, aDraft, aLearner, aSchool, anchored, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const open = { listed: null, opens: null, due: null, closes: null, putAway: null }
const rowsOf = async (school: TestSchool, id: never) =>
  new Map((await learnerWorkOf(school.deps.store.read, [id])).map((r) => [r.learnerId, r]))
const asNew = (draft: Draft) => ({ assignmentId: null, draft })
async function aGroup(school: TestSchool, name: string, ...learners: { userId: string }[]) {
  return mustBeOk(
    await keepGroup(school.deps, school.teacher, {
      classId: school.a.classId,
      groupId: null,
      name,
      learnerIds: learners.map((l) => l.userId) as never,
      rule: null,
    }),
    name,
  ).groupId
}

describe('preview', () => {
  it('resolves each class before publishing, with head-counts and meetings inside', async () => {
    const school = await aSchool()
    const window = {
      ...open,
      opens: anchored(school.lesson('1.2'), 'first'),
      due: anchored(school.lesson('1.2'), 'last', 1),
    }
    const got = await previewWork(school.deps, school.teacher, asNew(aDraft(school, { window })))
    expect(got.value).toMatchObject({ learners: 3, targetCounts: [2, 1], problems: [] })
    expect(got.value?.classes.map((c) => [c.name, c.learners, c.span?.meetings, c.span?.tight])).toEqual([
      ['Class A', 2, 3, false],
      ['Class B', 1, 3, false],
    ])
    expect(got.value?.who.map((w) => w.name)).toEqual(['Ann Ash', 'Ben Birch', 'Cleo Cedar'])
    expect((await listWork(school.deps, school.teacher)).value?.work).toEqual([])
  })

  it('names the class in which a window cannot stand', async () => {
    const school = await aSchool()
    const got = await previewWork(
      school.deps,
      school.teacher,
      asNew(
        aDraft(school, {
          window: { ...open, opens: through('2026-09-10'), due: anchored(school.lesson('1.1'), 'last', 1) },
        }),
      ),
    )
    expect(got.value?.classes.map((c) => c.problem)).toEqual([
      { code: 'availability/out-of-order', field: 'due', before: 'opens' },
      { code: 'availability/out-of-order', field: 'due', before: 'opens' },
    ])
  })

  it('says what is missing instead of failing, and denies strangers', async () => {
    const school = await aSchool()
    expect(
      (await previewWork(school.deps, school.teacher, asNew(aDraft(school, { targets: [] })))).value
        ?.problems,
    ).toEqual([{ code: 'audience/nobody-chosen', field: 'targets' }])
    expect((await previewWork(school.deps, school.stranger, asNew(aDraft(school)))).error?.code).toBe(
      'audience/unknown-target',
    )
  })
})

describe('assigning', () => {
  it('reaches classes, groups and learners, each once, without the excepted', async () => {
    const school = await aSchool()
    const groupId = await aGroup(school, 'G', school.ann, school.ben)
    const made = await assign(school.deps, school.teacher, {
      publish: true,
      draft: aDraft(school, {
        targets: [
          { target: { kind: 'group', groupId }, overrides: {} },
          { target: { kind: 'learner', learnerId: school.ann.userId }, overrides: {} },
          { target: { kind: 'class', classId: school.b.classId }, overrides: {} },
        ],
        exceptIds: [school.ben.userId],
      }),
    })
    expect(made.value?.learners).toBe(2)
    expect([...(await rowsOf(school, made.value?.assignmentId as never)).keys()].sort()).toEqual(
      [school.ann.userId, school.cleo.userId].sort(),
    )
  })

  it('lets a learner’s own setting win over the group’s over the class’s, with reasons', async () => {
    const school = await aSchool()
    const groupId = await aGroup(school, 'G', school.ann, school.ben)
    const id = await publish(school, {
      window: { ...open, due: through('2026-09-10') },
      targets: [
        {
          target: { kind: 'class', classId: school.a.classId },
          overrides: { window: { due: through('2026-09-11') } },
        },
        {
          target: { kind: 'group', groupId },
          overrides: { window: { due: through('2026-09-14') }, maxAttempts: 5 },
        },
        {
          target: { kind: 'learner', learnerId: school.ben.userId },
          overrides: { window: { due: through('2026-09-09') } },
        },
      ],
    })
    const rows = await rowsOf(school, id as never)
    expect(
      [school.ann, school.ben].map((l) =>
        new Date(rows.get(l.userId)?.terms.due ?? 0).toISOString().slice(5, 10),
      ),
    ).toEqual(['09-15', '09-10'])
    expect([school.ann, school.ben].map((l) => rows.get(l.userId)?.terms.maxAttempts)).toEqual([5, 5])
    expect(rows.get(school.ben.userId)?.because.find((b) => b.field === 'due')).toMatchObject({
      level: 'learner',
      sourceId: school.ben.userId,
    })
  })

  it.each<[string, (school: TestSchool) => Parameters<typeof aDraft>[1]]>([
    ['attempts/bad-rules', () => ({ rules: rules({ maxAttempts: 0 }) })],
    ['audience/nobody-chosen', () => ({ targets: [] })],
    [
      'audience/unknown-target',
      () => ({ targets: [{ target: { kind: 'class', classId: 'gone' as never }, overrides: {} }] }),
    ],
    [
      'audience/unknown-target',
      (school) => ({
        targets: [{ target: { kind: 'learner', learnerId: school.stranger.userId }, overrides: {} }],
      }),
    ],
    ['access/not-found', () => ({ pieces: piecesOf('gone' as never) })],
    [
      'availability/out-of-order',
      () => ({ window: { ...open, opens: through('2026-09-10'), due: through('2026-09-09') } }),
    ],
    [
      'availability/anchor-past-year',
      (school) => ({ window: { ...open, due: anchored(school.lesson('1.1'), 'last', 300) } }),
    ],
    [
      'availability/lesson-not-laid-out',
      () => ({ window: { ...open, due: anchored('gone' as never, 'last') } }),
    ],
  ])('refuses with %s and keeps nothing', async (code, part) => {
    const school = await aSchool()
    expect(
      (await assign(school.deps, school.teacher, { draft: aDraft(school, part(school)), publish: true }))
        .error?.code,
    ).toBe(code)
    expect((await listWork(school.deps, school.teacher)).value?.work).toEqual([])
  })

  it('gives work only to classes one teaches', async () => {
    const school = await aSchool()
    expect(
      (await assign(school.deps, school.stranger, { draft: aDraft(school), publish: true })).error?.code,
    ).toBe('audience/unknown-target')
    expect((await listRecipients(school.deps, school.stranger)).value).toEqual({ classes: [], groups: [] })
  })
})

describe('held, published, changed, withdrawn', () => {
  it('keeps held work from learners until it is published', async () => {
    const school = await aSchool()
    const held = mustBeOk(
      await assign(school.deps, school.teacher, { draft: aDraft(school), publish: false }),
      'hold',
    ).assignmentId
    expect((await rowsOf(school, held as never)).size).toBe(0)
    expect((await listWork(school.deps, school.teacher)).value?.work[0]).toMatchObject({
      need: 'to-publish',
      learners: 3,
      handedIn: 0,
    })
    expect(
      (await publishWork(school.deps, school.teacher, { assignmentId: held, version: 1 })).value,
    ).toEqual({ learners: 3 })
    expect(
      (await publishWork(school.deps, school.teacher, { assignmentId: held, version: 1 })).error?.code,
    ).toBe('access/changed-meanwhile')
    expect((await listWork(school.deps, school.teacher)).value?.work[0]?.need).toBe('open')
  })

  it('gives a learner who joins later the class’s work', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const dora = await aLearner(school, school.a.joinCode, 'Dora Dill')
    expect((await rowsOf(school, id as never)).has(dora.userId)).toBe(true)
  })

  it('follows an accommodation at once', async () => {
    const school = await aSchool()
    const id = await publish(school, { rules: rules({ timeLimitMinutes: 20 }) })
    await setAccommodation(school.deps, school.teacher, {
      classId: school.a.classId,
      learnerId: school.ann.userId,
      accommodation: { timeFactor: 1.5, extraAttempts: 1, extraDays: 0 },
    })
    expect((await rowsOf(school, id as never)).get(school.ann.userId)?.terms).toMatchObject({
      timeLimitMinutes: 30,
      maxAttempts: 3,
    })
  })

  it('changes everything but the piece once learners have begun, and refuses an outdated change', async () => {
    const school = await aSchool()
    const id = await publish(school)
    mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start')
    const change = (part: Parameters<typeof aDraft>[1], version = 1, actor = school.teacher) =>
      changeWork(school.deps, actor, {
        assignmentId: id,
        version,
        draft: aDraft(school, part),
        publish: false,
      })
    const another = asId<ResourceId>('another')
    await school.deps.store.write((tx) =>
      addResource(tx, {
        resource: aCheck([single('1')], { id: another, code: 'other1' }),
        schoolId: null,
        ownerId: null,
        bookId: null,
        bookLessonId: null,
        position: 0,
        isShared: true,
        revision: 1,
      }),
    )
    expect((await change({ pieces: piecesOf(another) })).error?.code).toBe('work/already-begun')
    expect((await change({ title: 'New title' })).ok).toBe(true)
    expect((await showWork(school.deps, school.teacher, id)).value).toMatchObject({
      version: 2,
      begun: 1,
      draft: { title: 'New title' },
    })
    expect((await change({ title: 'Late' })).error).toMatchObject({
      code: 'access/changed-meanwhile',
      seen: 1,
      now: 2,
    })
    expect((await change({}, 2, school.stranger)).error?.code).toBe('access/not-found')
    expect((await showWork(school.deps, school.stranger, id)).error?.code).toBe('access/not-found')
  })

  it('withdraws without losing what was done, and comes back', async () => {
    const school = await aSchool()
    const id = await publish(school)
    expect(
      (await withdrawWork(school.deps, school.stranger, { assignmentId: id, version: 1 })).error?.code,
    ).toBe('access/not-found')
    expect((await withdrawWork(school.deps, school.teacher, { assignmentId: id, version: 1 })).ok).toBe(true)
    expect((await startTry(school.deps, school.ann, only(id))).error?.code).toBe('access/not-found')
    expect(
      (
        await changeWork(school.deps, school.teacher, {
          assignmentId: id,
          version: 2,
          draft: aDraft(school),
          publish: false,
        })
      ).error?.code,
    ).toBe('work/withdrawn')
    expect((await publishWork(school.deps, school.teacher, { assignmentId: id, version: 2 })).ok).toBe(true)
    expect((await startTry(school.deps, school.ann, only(id))).ok).toBe(true)
  })

  it('sorts the list by what needs the teacher', async () => {
    const school = await aSchool()
    school.clock.set(at('09-08T18:00'))
    await publish(school, { title: 'Over', window: { ...open, due: through('2026-09-03') } })
    await publish(school, { title: 'To come', window: { ...open, opens: through('2026-09-20') } })
    await publish(school, {
      title: 'Late',
      window: { ...open, due: through('2026-09-07'), closes: through('2026-09-20') },
    })
    await publish(school, { title: 'Open' })
    await assign(school.deps, school.teacher, { draft: aDraft(school, { title: 'Held' }), publish: false })
    expect(
      (await listWork(school.deps, school.teacher)).value?.work.map((w) => `${w.need} ${w.title}`),
    ).toEqual(['to-publish Held', 'late Late', 'open Open', 'coming-up To come', 'done Over'])
    expect((await listWork(school.deps, school.stranger)).value?.work).toEqual([])
  })
})

describe('a co-teacher of one of its classes', () => {
  const learnersWith = async (school: TestSchool, id: AssignmentId) =>
    [...(await rowsOf(school, id as never)).keys()].sort()
  const at2 = async (school: TestSchool, id: AssignmentId, who: Teacher) => {
    const { version } = mustBeOk(await showWork(school.deps, who, id), 'work')
    return { assignmentId: id, version }
  }

  it('takes it back from that class only; its author, from all', async () => {
    const school = await aSchool()
    const { deps, ann, ben, cleo } = school
    const carla = await aColleague(school)
    const id = await publish(school)
    mustBeOk(await withdrawWork(deps, carla, await at2(school, id, carla)), 'withdrawn')
    expect(await learnersWith(school, id)).toEqual([ann.userId, ben.userId].sort())
    expect((await startTry(deps, cleo, only(id))).error?.code).toBe('access/not-found')
    const [row] = mustBeOk(await listWork(deps, school.teacher), 'list').work
    expect(row).toMatchObject({ state: 'published', learners: 2 })
    expect(row?.classes.map((c) => [c.name, c.isGiven])).toEqual([
      ['Class A', true],
      ['Class B', false],
    ])
    // a change of the roster gives it to nobody whose teacher took it back
    await aLearner(school, school.b.joinCode, 'Dan Dogwood')
    expect(await learnersWith(school, id)).toHaveLength(2)
    mustBeOk(await publishWork(deps, carla, await at2(school, id, carla)), 'given again')
    expect(await learnersWith(school, id)).toHaveLength(4)
    mustBeOk(await withdrawWork(deps, school.teacher, await at2(school, id, school.teacher)), 'all')
    expect((await startTry(deps, ann, only(id))).error?.code).toBe('access/not-found')
  })

  it('publishes what waits for that class only', async () => {
    const school = await aSchool()
    const carla = await aColleague(school)
    const made = await assign(school.deps, school.teacher, { draft: aDraft(school), publish: false })
    const id = made.value?.assignmentId as AssignmentId
    mustBeOk(await publishWork(school.deps, carla, await at2(school, id, carla)), 'published')
    expect(await learnersWith(school, id)).toEqual([school.cleo.userId])
    mustBeOk(await publishWork(school.deps, school.teacher, await at2(school, id, school.teacher)), 'all')
    expect(await learnersWith(school, id)).toHaveLength(3)
  })

  it('gives that class more time, and changes nothing for the other', async () => {
    const school = await aSchool()
    const carla = await aColleague(school)
    const id = await publish(school, { window: { ...open, due: through('2026-09-10') } })
    const before = await rowsOf(school, id as never)
    const { draft, isWhole } = mustBeOk(await showWork(school.deps, carla, id), 'work')
    expect(isWhole).toBe(false)
    const change = async (next: Partial<Draft>) =>
      changeWork(school.deps, carla, {
        ...(await at2(school, id, carla)),
        draft: { ...draft, ...next },
        publish: false,
      })
    const { targets: all } = mustBeOk(await showWork(school.deps, school.teacher, id), 'whole').draft
    const [ofA, ofB] = all as [Draft['targets'][number], Draft['targets'][number]]
    expect(draft.targets).toEqual([ofB])
    const later = { overrides: { window: { due: through('2026-09-17') } } }
    expect((await change({ title: 'Hers' })).error).toEqual({ code: 'work/not-whole', field: 'title' })
    expect((await change({ targets: [{ ...ofA, ...later }, ofB] })).error?.code).toBe('work/not-whole')
    expect((await change({ exceptIds: [school.ann.userId] })).error?.code).toBe('audience/bad-exception')
    const longer = { ...draft, targets: [{ ...ofB, ...later }] }
    const preview = (await previewWork(school.deps, carla, { assignmentId: id, draft: longer })).value
    expect(preview?.problems).toEqual([])
    expect([preview?.learners, preview?.who.map((w) => w.name)]).toEqual([1, ['Cleo Cedar']])
    mustBeOk(await change(longer), 'extended')
    const after = await rowsOf(school, id as never)
    const dueOf = (rows: typeof after, who: UserId) => rows.get(who)?.terms.due
    expect(dueOf(after, school.ann.userId)).toBe(dueOf(before, school.ann.userId))
    expect(dueOf(after, school.cleo.userId)).toBe(at('09-18T06:00'))
  })

  it('learns nothing of the other class: not its counts, not what its learners have of their own', async () => {
    const school = await aSchool()
    const { deps, teacher, ann, ben } = school
    const carla = await aColleague(school)
    const anns = {
      target: { kind: 'learner' as const, learnerId: ann.userId },
      overrides: { maxAttempts: 7 },
    }
    const of = aDraft(school)
    const draft = { ...of, targets: [...of.targets, anns], exceptIds: [ben.userId] }
    const { assignmentId: id } = mustBeOk(await assign(deps, teacher, { draft, publish: true }), 'assign')
    mustBeOk(await startTry(deps, ann, only(id)), 'start')
    const [row] = mustBeOk(await listWork(deps, carla), 'list').work
    expect(row).toMatchObject({ learners: 1, inProgress: 0 })
    expect(row?.classes.map((c) => c.name)).toEqual(['Class B'])
    const shown = mustBeOk(await showWork(deps, carla, id), 'work')
    expect(shown.begun).toBe(0)
    for (const secret of [ann.userId, ben.userId, school.a.classId])
      expect(JSON.stringify(shown)).not.toContain(secret)
    // what she does not see stays, whatever she changes
    const input = { ...(await at2(school, id, carla)), draft: shown.draft, publish: false }
    mustBeOk(await changeWork(deps, carla, input), 'changed')
    expect(mustBeOk(await showWork(deps, teacher, id), 'whole').draft).toMatchObject(draft)
  })
})
