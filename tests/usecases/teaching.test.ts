import { describe, expect, it } from 'vitest'
import type { GroupId, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import { isoDay, mustBeOk } from '#core/base'
import type { SchoolYear } from '#core/calendar'
import { undo } from '#usecases/journal/journal'
import { doCommand } from '#usecases/pacing/doCommand'
import { showDesk } from '#usecases/pacing/desk'
import { layPlan } from '#usecases/pacing/layPlan'
import { adoptBook, makePlan } from '#usecases/pacing/plans'
import { setAccommodation, showClass } from '#usecases/teaching/classes'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { makeClass } from '#usecases/teaching/makeClass'
import { setMember } from '#usecases/teaching/setMember'
import { addRoster, readRoster } from '#usecases/teaching/roster'
import { showOverview } from '#usecases/teaching/showOverview'
import { makeYear, readClosures } from '#usecases/teaching/years'
import { aYear, closure, onDays } from '../support/made'
import { aBench, aColleague, aSchool, aTeacher, rosterOf } from '../support/world'

const { id: _, ...year } = aYear()

describe('school year', () => {
  it('is made once it agrees with itself, by the office only', async () => {
    const bench = await aBench()
    const teacher = await aTeacher(bench, 'Tess')
    expect((await makeYear(bench.deps, teacher, { ...year, lastOn: isoDay('2026-08-01') })).error?.code).toBe(
      'calendar/year-ends-before-start',
    )
    expect((await makeYear(bench.deps, { ...teacher, office: false }, year)).error?.code).toBe(
      'access/denied',
    )
    expect((await makeYear(bench.deps, teacher, year)).ok).toBe(true)
    expect((await showOverview(bench.deps, teacher)).value.years.map((y) => y.year.name)).toEqual(['2026/27'])
  })

  it('lays every class out anew when it changes, and refuses an outdated change', async () => {
    const school = await aSchool()
    const known = (await showOverview(school.deps, school.teacher)).value.years[0]
    const yearId = known?.year.id as never
    const before = (await showClass(school.deps, school.teacher, school.a.classId)).value?.meetings ?? 0
    const from = known?.year as SchoolYear
    const to = { ...from, notes: [closure('2026-09-07', '2026-09-11')] }
    const change = { kind: 'year' as const, yearId, from, to }
    expect((await doCommand(school.deps, school.teacher, change)).ok).toBe(true)
    expect((await showClass(school.deps, school.teacher, school.a.classId)).value?.meetings).toBe(before - 3)
    expect(
      (await doCommand(school.deps, school.teacher, { ...change, to: { ...from, name: 'Mine' } })).error,
    ).toEqual({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: { of: 'year', changed: ['notes'] },
      now: { of: 'year', changed: ['notes'] },
    })
    expect((await doCommand(school.deps, school.stranger, change)).error?.code).toBe('access/not-found')
    expect((await undo(school.deps, school.teacher)).ok).toBe(true)
    expect((await showOverview(school.deps, school.teacher)).value.years[0]?.year).toEqual(from)
    expect((await showClass(school.deps, school.teacher, school.a.classId)).value?.meetings).toBe(before)
  })

  it('changes no other school’s year by an id in the new values', async () => {
    const school = await aSchool()
    const foreign = mustBeOk(await makeYear(school.deps, school.stranger, year), 'their year')
    const from = (await showOverview(school.deps, school.teacher)).value.years[0]?.year as SchoolYear
    const change = {
      kind: 'year' as const,
      yearId: from.id,
      from,
      to: { ...from, id: foreign.yearId, name: 'Taken' },
    }
    expect((await doCommand(school.deps, school.teacher, change)).error?.code).toBe('pacing/ids-disagree')
    expect((await showOverview(school.deps, school.stranger)).value.years).toMatchObject([
      { version: 1, year: { id: foreign.yearId, name: year.name } },
    ])
  })

  it('keeps a rotation that a class still meets by', async () => {
    const bench = await aBench()
    const teacher = await aTeacher(bench, 'Tess')
    const rotation = { labels: ['A', 'B'], advance: 'instructional' as const, overrides: [] }
    const { yearId } = mustBeOk(await makeYear(bench.deps, teacher, { ...year, rotation }), 'year')
    mustBeOk(
      await makeClass(bench.deps, teacher, {
        yearId,
        name: 'A',
        shortName: 'A',
        course: 'C',
        pattern: [{ day: { label: 'B' }, startMinute: 540, minutes: 50 }],
      }),
      'class',
    )
    const from = { ...year, id: yearId, rotation }
    expect(
      (
        await doCommand(bench.deps, teacher, {
          kind: 'year',
          yearId,
          from,
          to: { ...from, rotation: { ...rotation, labels: ['A'] } },
        })
      ).error,
    ).toMatchObject({ code: 'calendar/unknown-label', label: 'B' })
  })

  it('reads closures without changing anything, for teachers only', async () => {
    const school = await aSchool()
    const input = { text: 'no calendar', firstOn: year.firstOn, lastOn: year.lastOn, zone: 'America/Denver' }
    expect((await readClosures(school.deps, school.teacher, input)).error?.code).toBe(
      'formats/not-a-calendar',
    )
  })
})

describe('classes', () => {
  it('makes a class with its plan in one, or nothing at all', async () => {
    const school = await aSchool()
    const yearId = (await showOverview(school.deps, school.teacher)).value.years[0]?.year.id as never
    const input = { yearId, name: 'New', shortName: 'N', course: 'C', pattern: onDays(1, 2) }
    const made = mustBeOk(
      await makeClass(school.deps, school.teacher, { ...input, planId: school.planId }),
      'class',
    )
    const { classes } = mustBeOk(await showOverview(school.deps, school.teacher), 'overview')
    expect(classes.find((c) => c.id === made.classId)).toMatchObject({ name: 'New' })
    expect(mustBeOk(await showClass(school.deps, school.teacher, made.classId), 'page').planTitle).toBe(
      'Plan',
    )

    const refused = await makeClass(school.deps, school.teacher, { ...input, planId: 'none' as never })
    expect(refused.error).toEqual({ code: 'access/not-found', what: 'plan' })
    const foreign = await makeClass(school.deps, school.stranger, { ...input, planId: school.planId })
    expect(foreign.error?.code).toBe('access/not-found')
    expect(mustBeOk(await showOverview(school.deps, school.teacher), 'overview').classes).toHaveLength(
      classes.length,
    )
  })

  it('refuses a class without meetings or of a foreign year', async () => {
    const school = await aSchool()
    const yearId = (await showOverview(school.deps, school.teacher)).value.years[0]?.year.id as never
    const input = { yearId, name: 'X', shortName: 'X', course: 'C', pattern: [] }
    expect((await makeClass(school.deps, school.teacher, input)).error?.code).toBe('calendar/no-meetings')
    expect(
      (await makeClass(school.deps, school.stranger, { ...input, pattern: onDays(1) })).error?.code,
    ).toBe('access/not-found')
  })

  it('changes when it meets, for those who teach it', async () => {
    const school = await aSchool()
    const { classId } = school.a
    const from = (await showClass(school.deps, school.teacher, classId)).value?.pattern ?? []
    const change = { kind: 'pattern' as const, classId, from, to: onDays(1) }
    expect((await doCommand(school.deps, school.stranger, change)).error?.code).toBe('access/not-found')
    expect((await doCommand(school.deps, school.teacher, { ...change, to: [] })).error?.code).toBe(
      'calendar/no-meetings',
    )
    expect((await doCommand(school.deps, school.teacher, change)).value?.classes).toMatchObject([
      { id: classId, pattern: onDays(1) },
    ])
    expect((await doCommand(school.deps, school.teacher, { ...change, to: onDays(2) })).error?.code).toBe(
      'pacing/changed-meanwhile',
    )
    expect((await undo(school.deps, school.teacher)).value?.classes).toMatchObject([
      { id: classId, pattern: from },
    ])
  })

  it('keeps overlapping groups of its own learners', async () => {
    const school = await aSchool()
    const { classId } = school.a
    const keep = (name: string, learnerIds: never[], groupId = null) =>
      keepGroup(school.deps, school.teacher, { classId, groupId, name, learnerIds, rule: null })
    const ann = school.ann.userId as never
    const ben = school.ben.userId as never
    const one = await keep('One', [ann, ben])
    await keep('Two', [ann])
    expect(
      (await showClass(school.deps, school.teacher, classId)).value?.learners.map((l) => l.groupIds.length),
    ).toEqual([2, 1])
    await keep('One', [ben], one.value?.groupId as never)
    expect(
      (await showClass(school.deps, school.teacher, classId)).value?.learners.map((l) => l.groupIds.length),
    ).toEqual([1, 1])
    expect((await keep('Three', [school.cleo.userId as never])).error?.code).toBe('audience/not-in-class')
    expect(
      (
        await keepGroup(school.deps, school.stranger, {
          classId,
          groupId: null,
          name: 'X',
          learnerIds: [],
          rule: null,
        })
      ).error?.code,
    ).toBe('access/not-found')
  })

  it('is somebody’s own where they made it, and only taught together where another did', async () => {
    const school = await aSchool()
    const own = async (who: Teacher) =>
      (await showOverview(school.deps, who)).value.classes.map((c) => [c.name, c.mine, c.isOwn])
    const colleague = await aColleague(school)
    expect(await own(school.teacher)).toEqual([
      ['Class A', true, true],
      ['Class B', true, true],
    ])
    expect(await own(colleague)).toContainEqual(['Class B', true, false])
  })

  it('puts learners into a group one by one, so that two ticks at once lose none', async () => {
    const school = await aSchool()
    const { classId } = school.a
    const made = await keepGroup(school.deps, school.teacher, {
      classId,
      groupId: null,
      name: 'One',
      learnerIds: [],
      rule: null,
    })
    const groupId = made.value?.groupId as GroupId
    const set = (actor: Teacher, learnerId: UserId, isIn: boolean) =>
      setMember(school.deps, actor, { classId, groupId, learnerId, isIn })
    const members = async () =>
      (await showClass(school.deps, school.teacher, classId)).value?.learners
        .filter((l) => l.groupIds.includes(groupId))
        .map((l) => l.id)
    await Promise.all([
      set(school.teacher, school.ann.userId, true),
      set(school.teacher, school.ben.userId, true),
      set(school.teacher, school.ben.userId, true),
    ])
    expect(await members()).toEqual([school.ann.userId, school.ben.userId])
    await set(school.teacher, school.ann.userId, false)
    expect(await members()).toEqual([school.ben.userId])
    const stranger = await set(school.teacher, school.cleo.userId, true)
    expect(stranger.error?.code).toBe('audience/not-in-class')
    expect((await set(school.stranger, school.ann.userId, true)).error?.code).toBe('access/not-found')
    expect(await members()).toEqual([school.ben.userId])
  })

  it('sets an accommodation for its own learners only', async () => {
    const school = await aSchool()
    const accommodation = { timeFactor: 1.5, extraAttempts: 1, extraDays: 2 }
    const set = (learnerId: typeof school.ann.userId, actor = school.teacher) =>
      setAccommodation(school.deps, actor, { classId: school.a.classId, learnerId, accommodation })
    expect((await set(school.ann.userId)).ok).toBe(true)
    expect((await rosterOf(school, school.a.classId))[0]?.accommodation).toEqual(accommodation)
    expect((await set(school.cleo.userId)).error?.code).toBe('audience/not-in-class')
    expect((await set(school.ann.userId, school.stranger)).error?.code).toBe('access/not-found')
    // a grade comes along in the same act, and stays where none is said
    const gradeOf = async () => (await rosterOf(school, school.a.classId))[0]?.grade
    const also = { classId: school.a.classId, learnerId: school.ann.userId, accommodation, grade: 7 }
    expect((await setAccommodation(school.deps, school.teacher, also)).ok).toBe(true)
    expect(await gradeOf()).toBe(7)
    await set(school.ann.userId)
    expect(await gradeOf()).toBe(7)
  })
})

describe('rosters', () => {
  const text = 'name,sign-in,groups\nDora Dill,dora,Front\n,nobody\nAnn Ash,,Front;Back\nEve Elm,tess'

  it('tries a roster first: who is new, who is there, which rows are bad', async () => {
    const school = await aSchool()
    const got = await readRoster(school.deps, school.teacher, { classId: school.a.classId, text })
    expect(got.value).toMatchObject({
      fresh: ['Dora Dill', 'Eve Elm'],
      known: ['Ann Ash'],
      bad: [{ line: 3, fault: 'no-name' }],
    })
    expect((await rosterOf(school, school.a.classId)).length).toBe(2)
    expect(
      (await readRoster(school.deps, school.stranger, { classId: school.a.classId, text })).error?.code,
    ).toBe('access/not-found')
  })

  it('adds all or nothing', async () => {
    const school = await aSchool()
    const add = (skipBad: boolean, rows = text) =>
      addRoster(school.deps, school.teacher, { classId: school.a.classId, text: rows, skipBad })
    expect((await add(false)).error).toMatchObject({ code: 'audience/bad-rows', lines: [3] })
    // the sign-in of line 5 is the teacher's own
    expect((await add(true)).error).toMatchObject({ code: 'audience/sign-in-taken', line: 5, signIn: 'tess' })
    expect((await rosterOf(school, school.a.classId)).length).toBe(2)
    expect((await add(true, text.replace('tess', 'eve'))).value).toEqual({ added: 2, known: 1 })
    expect(
      (await showClass(school.deps, school.teacher, school.a.classId)).value?.groups.map((g) => g.name),
    ).toEqual(['Back', 'Front'])
  })
})

describe('plans', () => {
  it('comes from an outline, all or nothing', async () => {
    const school = await aSchool()
    const make = (text: string, actor = school.teacher) =>
      makePlan(school.deps, actor, { title: 'P', course: 'C', text })
    expect((await make('One,First,nine\nOne,Second,1')).error).toMatchObject({
      code: 'audience/bad-rows',
      lines: [1],
    })
    expect((await make('')).error?.code).toBe('formats/empty')
    expect((await showOverview(school.deps, school.teacher)).value.plans.length).toBe(1)
  })

  it('lists what does not fit into the year, with the reason', async () => {
    const school = await aSchool()
    const { planId } = mustBeOk(
      await makePlan(school.deps, school.teacher, {
        title: 'Long',
        course: 'C',
        text: 'One,A,30\nOne,B,20\nOne,C,1',
      }),
      'plan',
    )
    // class B meets about 32 times: A fits, B does not, C comes after it
    const got = await layPlan(school.deps, school.teacher, { planId, classIds: [school.b.classId] })
    expect(got.value?.notPlaced.map((n) => [n.title, n.freeHalves !== null])).toEqual([
      ['B', true],
      ['C', false],
    ])
    expect(
      (await layPlan(school.deps, school.stranger, { planId, classIds: [school.b.classId] })).error?.code,
    ).toBe('access/not-found')
  })

  it('adopts only a textbook that is there', async () => {
    const school = await aSchool()
    expect((await adoptBook(school.deps, school.teacher, 'none' as never)).error?.code).toBe(
      'access/not-found',
    )
  })

  it('shows the desk of own classes, and none of a stranger’s', async () => {
    const school = await aSchool()
    expect((await showDesk(school.deps, school.teacher)).value.classes.map((c) => c.name)).toEqual([
      'Class A',
      'Class B',
    ])
    expect((await showDesk(school.deps, school.stranger)).value).toMatchObject({
      year: null,
      classes: [],
      plans: [],
    })
  })
})
