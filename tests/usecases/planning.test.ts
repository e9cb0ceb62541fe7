import { describe, expect, it } from 'vitest'
import { asId, isoDay, mustBeOk } from '#core/base'
import type { ClassId, LessonId } from '#core/base'
import { planCommand } from '#core/pacing'
import type { PacingCommand, Plan, Way } from '#core/pacing'
import { classById, learnerWorkOf, plansById, yearsById } from '#db/repositories'
import type { ClassRecord } from '#db/repositories'
import { redo, showHistory, undo } from '#usecases/journal/journal'
import { doCommand } from '#usecases/pacing/doCommand'
import { showDesk } from '#usecases/pacing/desk'
import { changeFeed, classFile, planFile, readFeed, showFeed } from '#usecases/pacing/files'
import { layPlan } from '#usecases/pacing/layPlan'
import { copyPlan, showPlan } from '#usecases/pacing/plans'
import { previewRipple } from '#usecases/pacing/previewRipple'
import { startTry } from '#usecases/learning/tries'
import { makeClass } from '#usecases/teaching/makeClass'
import { at, closure, onDays, only } from '../support/made'
import { aColleague, aSchool, anchored, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const classOf = async (school: TestSchool, id: ClassId) =>
  (await classById(school.deps.store.read, id)) as ClassRecord
const planOf = async (school: TestSchool) =>
  (await plansById(school.deps.store.read, [school.planId])).get(school.planId)?.plan as Plan
async function noteOf(
  school: TestSchool,
  day: string,
  part: Parameters<typeof closure>[2] = {},
): Promise<PacingCommand> {
  return {
    kind: 'note',
    yearId: (await classOf(school, school.a.classId)).yearId,
    from: null,
    to: closure(day, day, { name: 'Snow day', ...part }),
  }
}
const everything = async (school: TestSchool) =>
  JSON.stringify(
    [
      await classOf(school, school.a.classId),
      await classOf(school, school.b.classId),
      [
        ...(
          await yearsById(school.deps.store.read, [(await classOf(school, school.a.classId)).yearId])
        ).values(),
      ],
    ].map((x) => JSON.parse(JSON.stringify(x), (k, v) => (k === 'version' ? undefined : v))),
  )

describe('a snow day', () => {
  it('has its five ways out for every class it reaches, with what each would move', async () => {
    const school = await aSchool()
    // lesson 1.2 begins Wed 2 Sep in A; B does not meet that day
    const work = await publish(school, {
      window: {
        listed: null,
        opens: anchored(school.lesson('1.2'), 'first'),
        due: null,
        closes: null,
        putAway: null,
      },
    })
    const got = mustBeOk(
      await previewRipple(school.deps, school.teacher, await noteOf(school, '2026-09-02')),
      'ripple',
    )
    expect(got.classes.map((c) => [c.classId, c.lostMeetings, c.ways.map((w) => w.way)])).toEqual([
      [school.a.classId, 1, ['push-on', 'use-slack', 'tighten', 'let-go', 'hold']],
      [school.b.classId, 0, ['push-on', 'use-slack', 'tighten', 'let-go', 'hold']],
    ])
    const [a, b] = got.classes
    expect(a?.ways.find((w) => w.way === 'use-slack')).toMatchObject({
      work: [
        {
          assignmentId: work,
          begun: false,
          stuck: false,
          opensAt: at('09-02T15:00'),
          newOpensAt: at('09-04T15:00'),
        },
      ],
    })
    expect(a?.ways.find((w) => w.way === 'use-slack')?.consequence.moved).toHaveLength(3)
    expect(b?.ways.every((w) => w.work.length === 0 && w.consequence.moved.length === 0)).toBe(true)
    // looking changes nothing
    expect((await classOf(school, school.a.classId)).version).toBe(2)
  })

  it.each<Way>(['push-on', 'use-slack', 'tighten', 'let-go', 'hold'])(
    'taken by “%s” moves what was shown, in one step that undo takes back',
    async (way) => {
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
      const opens = async () =>
        (await learnerWorkOf(school.deps.store.read, [work])).find((r) => r.learnerId === school.ann.userId)
          ?.terms.opens
      const [before, start] = [await opens(), await everything(school)]
      const change = await noteOf(school, '2026-09-02')
      const shown = mustBeOk(await previewRipple(school.deps, school.teacher, change), 'ripple').classes
      const ways = shown.map((c) => c.ways.find((w) => w.way === way))
      const command: PacingCommand = {
        kind: 'together',
        purpose: { code: 'ripple', way, cause: 'Snow day' },
        commands: [change as never, ...ways.flatMap((w) => w?.commands ?? [])],
      }
      const done = mustBeOk(await doCommand(school.deps, school.teacher, command), way)
      expect(done.year?.notes).toHaveLength(1)
      expect(await opens()).toBe(ways[0]?.work[0]?.newOpensAt ?? before)
      const after = await everything(school)
      expect(mustBeOk(await undo(school.deps, school.teacher), 'undo')).toMatchObject({
        steps: { undo: { kind: 'work', what: 'published' } },
      })
      expect([await opens(), await everything(school)]).toEqual([before, start])
      await redo(school.deps, school.teacher)
      expect(await everything(school)).toBe(after)
    },
  )

  it('only grows the window of a learner who has begun', async () => {
    const school = await aSchool()
    const work = await publish(school, {
      window: {
        listed: null,
        opens: anchored(school.lesson('1.1'), 'first'),
        due: anchored(school.lesson('1.3'), 'last'),
        closes: null,
        putAway: null,
      },
    })
    school.clock.set(at('09-01T12:00'))
    expect((await startTry(school.deps, school.ann, only(work))).ok).toBe(true)
    const ripple = mustBeOk(
      await previewRipple(school.deps, school.teacher, await noteOf(school, '2026-09-02')),
      'ripple',
    )
    expect(ripple.classes[0]?.ways[1]?.work).toMatchObject([
      { begun: true, dueAt: at('09-09T15:50'), newDueAt: at('09-11T15:50') },
    ])
  })

  it('for the whole school is the office’s to announce; a teacher may do it for the classes they teach', async () => {
    const school = await aSchool()
    const colleague = await aColleague(school)
    expect((await doCommand(school.deps, colleague, await noteOf(school, '2026-09-02'))).error?.code).toBe(
      'access/denied',
    )
    expect(
      (await previewRipple(school.deps, colleague, await noteOf(school, '2026-09-02'))).error?.code,
    ).toBe('access/denied')
    expect(
      (
        await doCommand(
          school.deps,
          colleague,
          await noteOf(school, '2026-09-02', { classIds: [school.a.classId] }),
        )
      ).error?.code,
    ).toBe('access/not-found')
    expect(
      (
        await doCommand(
          school.deps,
          colleague,
          await noteOf(school, '2026-09-03', { classIds: [school.b.classId] }),
        )
      ).ok,
    ).toBe(true)
    expect(
      (await doCommand(school.deps, school.stranger, await noteOf(school, '2026-09-02'))).error?.code,
    ).toBe('access/not-found')
  })
})

describe('changing a plan', () => {
  it('moves every class that follows it, as one act with its undo', async () => {
    const school = await aSchool()
    const plan = await planOf(school)
    const longer = {
      ...plan,
      lessons: plan.lessons.map((l) =>
        l.number === '1.1' ? { ...l, length: { ...l.length, typical: 2, max: 4 } } : l,
      ),
    }
    const work = await publish(school, {
      window: {
        listed: null,
        opens: anchored(school.lesson('1.2'), 'first'),
        due: null,
        closes: null,
        putAway: null,
      },
    })
    const command = planCommand(plan, longer) as PacingCommand
    const done = mustBeOk(await doCommand(school.deps, school.teacher, command), 'plan')
    expect(done).toMatchObject({
      moved: 1,
      plans: [{ id: plan.id }],
      affected: [school.a.classId, school.b.classId],
    })
    const opens = async () =>
      (await learnerWorkOf(school.deps.store.read, [work]))
        .map((r) => new Date(r.terms.opens ?? 0).toISOString().slice(5, 10))
        .sort()
    expect(await opens()).toEqual(['09-04', '09-04', '09-08'])
    await undo(school.deps, school.teacher)
    expect(await opens()).toEqual(['09-02', '09-02', '09-03'])
    expect(await planOf(school)).toEqual(plan)
  })

  it('by two people: other lessons go through, the same lesson is a conflict with both values', async () => {
    const school = await aSchool()
    const plan = await planOf(school)
    const rename = (number: string, title: string) =>
      planCommand(plan, {
        ...plan,
        lessons: plan.lessons.map((l) => (l.number === number ? { ...l, title } : l)),
      }) as PacingCommand
    expect((await doCommand(school.deps, school.teacher, rename('1.1', 'Mine'))).ok).toBe(true)
    expect((await doCommand(school.deps, school.teacher, rename('1.2', 'Also mine'))).ok).toBe(true)
    expect((await doCommand(school.deps, school.teacher, rename('1.1', 'Theirs'))).error).toMatchObject({
      code: 'pacing/changed-meanwhile',
      seen: { of: 'lesson', lesson: { title: 'First' } },
      now: { of: 'lesson', lesson: { title: 'Mine' } },
    })
    expect((await planOf(school)).lessons.map((l) => l.title)).toEqual([
      'Mine',
      'Also mine',
      'Third',
      'Fourth',
    ])
  })

  it('is its owner’s; others read, copy and adopt it', async () => {
    const school = await aSchool()
    const colleague = await aColleague(school)
    const plan = await planOf(school)
    const command = planCommand(plan, { ...plan, lessons: plan.lessons.slice(1) }) as PacingCommand
    expect((await doCommand(school.deps, colleague, command)).error?.code).toBe('access/denied')
    expect((await doCommand(school.deps, school.stranger, command)).error?.code).toBe('access/not-found')
    expect(mustBeOk(await showPlan(school.deps, colleague, school.planId), 'show')).toMatchObject({
      mayEdit: false,
      owner: 'Tess',
      classes: [{ name: 'Class B' }],
    })
    const copied = mustBeOk(await copyPlan(school.deps, colleague, school.planId), 'copy')
    expect(mustBeOk(await showPlan(school.deps, colleague, copied.planId), 'show')).toMatchObject({
      mayEdit: true,
      plan: { title: 'Copy of Plan' },
    })
    expect((await showPlan(school.deps, school.stranger, school.planId)).error?.code).toBe('access/not-found')
  })

  it('refuses fixed dates on a closed day, and against the order', async () => {
    const school = await aSchool()
    await doCommand(school.deps, school.teacher, await noteOf(school, '2026-09-07'))
    const fix = (number: string, day: string): PacingCommand => ({
      kind: 'lesson',
      classId: school.a.classId,
      lessonId: school.lesson(number),
      part: 'fixed',
      from: null,
      to: { kind: 'on', on: isoDay(day) },
    })
    expect((await doCommand(school.deps, school.teacher, fix('1.2', '2026-09-07'))).error).toMatchObject({
      code: 'pacing/fixed-on-closure',
      closedBy: 'Snow day',
    })
    expect((await doCommand(school.deps, school.teacher, fix('1.2', '2026-09-14'))).ok).toBe(true)
    expect((await doCommand(school.deps, school.teacher, fix('1.3', '2026-09-09'))).error).toMatchObject({
      code: 'pacing/fixed-out-of-order',
      lesson: '1.3',
      before: '1.2',
    })
  })
})

describe('what was changed', () => {
  it('is listed with who and when, for those who see the class', async () => {
    const school = await aSchool()
    await doCommand(school.deps, school.teacher, await noteOf(school, '2026-09-02'))
    await doCommand(school.deps, school.teacher, {
      kind: 'length',
      classId: school.a.classId,
      lessonId: school.lesson('1.1'),
      from: null,
      to: 4,
    })
    await undo(school.deps, school.teacher)
    expect(
      mustBeOk(await showHistory(school.deps, school.teacher), 'history').acts.map((a) => [
        a.command.kind,
        a.by,
        a.undone,
      ]),
    ).toEqual([
      ['length', 'Tess', true],
      ['note', 'Tess', false],
    ])
    expect(mustBeOk(await showHistory(school.deps, school.stranger), 'history').acts).toEqual([])
  })

  it('starts anew for a class that gets another plan, with that layout as the baseline', async () => {
    const school = await aSchool()
    await doCommand(school.deps, school.teacher, {
      kind: 'length',
      classId: school.a.classId,
      lessonId: school.lesson('1.1'),
      from: null,
      to: 4,
    })
    const { planId } = mustBeOk(await copyPlan(school.deps, school.teacher, school.planId), 'copy')
    mustBeOk(await layPlan(school.deps, school.teacher, { planId, classIds: [school.a.classId] }), 'lay')
    const { pacing } = await classOf(school, school.a.classId)
    expect([pacing.lengths, Object.keys(pacing.baseline?.lessons ?? {}).length]).toEqual([{}, 4])
    expect((await undo(school.deps, school.teacher)).value).toBeNull()
    expect(mustBeOk(await showDesk(school.deps, school.teacher), 'desk')).toMatchObject({
      mayEditYear: true,
      myPlanIds: expect.arrayContaining([planId]),
    })
  })
})

describe('a plan that is laid in the middle of the year', () => {
  const fromOn = isoDay('2026-09-14')

  it('begins on that day with that lesson, and leaves nothing behind', async () => {
    const school = await aSchool()
    const { deps, teacher, planId, a } = school
    const lay = { planId, classIds: [a.classId], from: { fromOn, nextId: school.lesson('1.2') } }
    // the class has the plan, and nothing is recorded: it begins anew
    const { placed, notPlaced } = mustBeOk(await layPlan(deps, teacher, lay), 'lay')
    expect([placed, notPlaced]).toEqual([3, []])
    const { pacing } = await classOf(school, a.classId)
    expect(pacing.left).toEqual({ [school.lesson('1.1')]: 'not-ours' })
    expect(pacing.begins?.on).toBe('2026-09-11')
    const { text } = mustBeOk(await classFile(deps, teacher, a.classId, 'layout'), 'csv')
    expect(text).toContain('One,1.1,First,lesson,,,,before this class began')
    expect(text).toContain('One,1.2,Second,lesson,2026-09-14')
    // without a beginning it stays as it is
    mustBeOk(await layPlan(deps, teacher, { planId, classIds: [a.classId] }), 'lay')
    expect((await classOf(school, a.classId)).pacing.begins?.on).toBe('2026-09-11')
  })

  it('is that of a class that is made with it, and of no lesson that the plan has not', async () => {
    const school = await aSchool()
    const { deps, teacher, planId } = school
    const { yearId } = await classOf(school, school.a.classId)
    const made = await makeClass(deps, teacher, {
      yearId,
      name: 'Class C',
      shortName: 'C',
      course: 'Science',
      pattern: onDays(1),
      planId,
      from: { fromOn, nextId: null },
    })
    const { classId } = mustBeOk(made, 'make')
    expect((await classOf(school, classId)).pacing.begins?.on).toBe('2026-09-07')
    const gone = { fromOn, nextId: asId<LessonId>('gone') }
    const lay = { planId, classIds: [classId], from: gone }
    expect((await layPlan(deps, teacher, lay)).error).toEqual({ code: 'access/not-found', what: 'lesson' })
  })

  it('stays as it is once a class has something of its own', async () => {
    const school = await aSchool()
    const { deps, teacher, planId, a } = school
    const longer = {
      kind: 'length',
      classId: a.classId,
      lessonId: school.lesson('1.1'),
      from: null,
      to: 4,
    } as const
    mustBeOk(await doCommand(deps, teacher, longer), 'longer')
    const lay = { planId, classIds: [a.classId], from: { fromOn, nextId: null } }
    mustBeOk(await layPlan(deps, teacher, lay), 'lay')
    const { pacing } = await classOf(school, a.classId)
    expect([pacing.begins, pacing.lengths]).toEqual([null, { [school.lesson('1.1')]: 4 }])
  })

  it('stays as it is once something is recorded', async () => {
    const school = await aSchool()
    const { deps, teacher, planId, a } = school
    const held = { on: isoDay('2026-08-31'), startMinute: 510, halves: 2 }
    const record = { outcome: 'covered' as const, held: [held], moreHalves: 0 }
    mustBeOk(
      await doCommand(deps, teacher, {
        kind: 'lesson',
        classId: a.classId,
        lessonId: school.lesson('1.1'),
        part: 'records',
        from: null,
        to: record,
      }),
      'record',
    )
    const again = { planId, classIds: [a.classId], from: { fromOn, nextId: null } }
    expect(mustBeOk(await layPlan(deps, teacher, again), 'lay').kept).toEqual(['Class A'])
    expect((await classOf(school, a.classId)).pacing.begins).toBeNull()
  })
})

describe('files and feeds', () => {
  it('give a class’s calendar and layout, and a plan, to those who may see them', async () => {
    const school = await aSchool()
    const calendar = mustBeOk(
      await classFile(school.deps, school.teacher, school.a.classId, 'calendar'),
      'ics',
    )
    expect([calendar.name, calendar.type]).toEqual(['class-a.ics', 'text/calendar; charset=utf-8'])
    expect(calendar.text).toContain('SUMMARY:Class A: 1.1 First')
    expect(
      mustBeOk(await classFile(school.deps, school.teacher, school.a.classId, 'layout'), 'csv').text,
    ).toContain('One,1.1,First,lesson,2026-08-31,2026-08-31,1,planned')
    expect(mustBeOk(await planFile(school.deps, school.teacher, school.planId), 'plan').text).toContain(
      'Unit,Number,Title',
    )
    expect((await classFile(school.deps, school.stranger, school.a.classId, 'calendar')).error?.code).toBe(
      'access/not-found',
    )
    expect((await planFile(school.deps, school.stranger, school.planId)).error?.code).toBe('access/not-found')
  })

  it('a feed follows the plan until it is revoked or renewed', async () => {
    const school = await aSchool()
    expect(mustBeOk(await showFeed(school.deps, school.teacher, school.a.classId), 'none').path).toBeNull()
    const first = mustBeOk(
      await changeFeed(school.deps, school.teacher, { classId: school.a.classId, to: 'new' }),
      'new',
    )
    const token = first.path?.split('/').pop() ?? ''
    expect(token.length).toBeGreaterThan(40)
    const titles = async (of: string) =>
      [...String(mustBeOk(await readFeed(school.deps, of), 'feed').text).matchAll(/SUMMARY:(.*)\r/g)]
        .map((m) => m[1])
        .slice(0, 3)
    expect(await titles(token)).toEqual([
      'Class A: 1.1 First',
      'Class A: 1.2 Second',
      'Class A: 1.2 Second · 1.3 Third',
    ])
    await doCommand(school.deps, school.teacher, {
      kind: 'length',
      classId: school.a.classId,
      lessonId: school.lesson('1.1'),
      from: null,
      to: 4,
    })
    expect(await titles(token)).toEqual(['Class A: 1.1 First', 'Class A: 1.1 First', 'Class A: 1.2 Second'])
    const second =
      mustBeOk(
        await changeFeed(school.deps, school.teacher, { classId: school.a.classId, to: 'new' }),
        'renew',
      )
        .path?.split('/')
        .pop() ?? ''
    expect((await readFeed(school.deps, token)).error?.code).toBe('access/not-found')
    await changeFeed(school.deps, school.teacher, { classId: school.a.classId, to: 'none' })
    expect((await readFeed(school.deps, second)).error?.code).toBe('access/not-found')
    expect(
      (await changeFeed(school.deps, school.stranger, { classId: school.a.classId, to: 'new' })).error?.code,
    ).toBe('access/not-found')
  })
})
