import { describe, expect, it } from 'vitest'
import type { Teacher } from '#core/access'
import { addMinutes, mustBeOk } from '#core/base'
import type { GroupId } from '#core/base'
import { classById, groupsOf, plansById, yearsById } from '#db/repositories'
import { joinClass } from '#usecases/accounts/joinClass'
import { listMyWork } from '#usecases/learning/myWork'
import { layPlan } from '#usecases/pacing/layPlan'
import { makePlan } from '#usecases/pacing/plans'
import { bringBack, takeAway } from '#usecases/teaching/archive'
import { showClass } from '#usecases/teaching/classes'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { setJoining } from '#usecases/teaching/joiningCode'
import { makeClass } from '#usecases/teaching/makeClass'
import { removeLearner } from '#usecases/teaching/removeLearner'
import { showOverview } from '#usecases/teaching/showOverview'
import { makeYear } from '#usecases/teaching/years'
import { aYear, onDays } from '../support/made'
import { AT_SCHOOL, aColleague, aSchool, publish, rosterOf } from '../support/world'
import type { TestSchool } from '../support/world'

const overview = async ({ deps, teacher }: TestSchool) =>
  mustBeOk(await showOverview(deps, teacher), 'overview')
const aSpareYear = async ({ deps, teacher }: TestSchool) => {
  const { id: _, ...year } = aYear({ name: 'by mistake' })
  return mustBeOk(await makeYear(deps, teacher, year), 'year').yearId
}
const aSpareClass = async ({ deps, teacher }: TestSchool, yearId: Awaited<ReturnType<typeof aSpareYear>>) =>
  mustBeOk(
    await makeClass(deps, teacher, {
      yearId,
      name: 'Mistaken',
      shortName: 'M',
      course: 'Science',
      pattern: onDays(1),
    }),
    'class',
  ).classId

describe('what was made by mistake', () => {
  it('is deleted while nothing hangs on it: year, class, plan, group', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const yearId = await aSpareYear(school)
    const classId = await aSpareClass(school, yearId)
    const outline = { title: 'Spare', course: 'Science', text: 'Unit 1\n1.1 A\n1.2 B' }
    const { planId } = mustBeOk(await makePlan(deps, teacher, outline), 'plan')
    const group = {
      classId: school.a.classId,
      groupId: null,
      name: 'Spare',
      learnerIds: [school.ann.userId],
      rule: null,
    }
    const { groupId } = mustBeOk(await keepGroup(deps, teacher, group), 'group')
    for (const thing of [
      { kind: 'class' as const, id: classId },
      { kind: 'year' as const, id: yearId },
      { kind: 'plan' as const, id: planId },
      { kind: 'group' as const, id: groupId },
    ])
      expect((await takeAway(deps, teacher, thing)).value, thing.kind).toEqual({ done: 'deleted' })
    const tx = deps.store.read
    expect(await classById(tx, classId)).toBeNull()
    expect((await yearsById(tx, [yearId])).size).toBe(0)
    expect((await plansById(tx, [planId])).size).toBe(0)
    expect((await groupsOf(tx, [school.a.classId])).some((g) => g.id === groupId)).toBe(false)
  })

  it('is told to who taught it, too; they cannot bring it back', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const carla = await aColleague(school)
    await publish(school)
    mustBeOk(await takeAway(deps, teacher, { kind: 'class', id: school.b.classId }), 'away')
    const archived = async (who: Teacher) => (await showOverview(deps, who)).value.archived
    expect(await archived(carla)).toMatchObject([
      { title: 'Class B', goneBy: 'Tess', goneAt: deps.clock.now(), mayBringBack: false },
    ])
    expect(await archived(teacher)).toMatchObject([{ title: 'Class B', goneBy: null, mayBringBack: true }])
    // told for a while, and in the archive for good
    school.clock.set(addMinutes(deps.clock.now(), 31 * 24 * 60))
    expect(await archived(carla)).toMatchObject([{ title: 'Class B', goneBy: null }])
    mustBeOk(await bringBack(deps, teacher, { kind: 'class', id: school.b.classId }), 'back')
    expect(await archived(carla)).toEqual([])
  })

  it('is archived as soon as something hangs on it, and comes back as it was', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    await publish(school)
    const before = await overview(school)
    const room = { kind: 'class' as const, id: school.a.classId }
    expect((await takeAway(deps, teacher, room)).value).toEqual({ done: 'archived' })
    expect((await overview(school)).classes.map((c) => c.name)).toEqual(['Class B'])
    expect((await overview(school)).archived).toMatchObject([
      { kind: 'class', id: school.a.classId, title: 'Class A' },
    ])
    // learners keep what they have
    expect((await listMyWork(deps, school.ann)).value.work).toHaveLength(1)
    mustBeOk(await bringBack(deps, teacher, room), 'back')
    expect(await overview(school)).toEqual(before)
  })

  it('takes a year’s classes along, and brings back only those', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const [year] = (await overview(school)).years
    const of = { kind: 'year' as const, id: year?.year.id as never }
    await takeAway(deps, teacher, { kind: 'class', id: school.b.classId })
    school.clock.set((school.clock.now() + 60_000) as never)
    expect((await takeAway(deps, teacher, of)).value?.done).toBe('archived')
    expect((await overview(school)).classes).toEqual([])
    mustBeOk(await bringBack(deps, teacher, of), 'back')
    expect((await overview(school)).classes.map((c) => c.name)).toEqual(['Class A'])
  })

  it('is nobody else’s to take away', async () => {
    const school = await aSchool()
    const { deps } = school
    const colleague = await aColleague(school)
    const [year] = (await overview(school)).years
    const things = [
      { kind: 'class', id: school.a.classId },
      // taught together, and made by the other
      { kind: 'class', id: school.b.classId },
      { kind: 'plan', id: school.planId },
      { kind: 'year', id: year?.year.id as never },
      { kind: 'group', id: 'none' as GroupId },
    ] as const
    for (const thing of things) {
      expect((await takeAway(deps, school.stranger, thing)).error?.code).toMatch(/not-found|denied/)
      expect((await takeAway(deps, colleague, thing)).ok, `${thing.kind} by a colleague`).toBe(false)
    }
    expect((await overview(school)).classes).toHaveLength(2)
  })

  it('cannot be laid or joined any more', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    await takeAway(deps, teacher, { kind: 'class', id: school.a.classId })
    const newcomer = { name: 'Zoe', signIn: 'zoe', password: 'long enough', origin: AT_SCHOOL }
    expect((await joinClass(deps, { ...newcomer, code: school.a.joinCode })).error?.code).toBe(
      'access/unknown-code',
    )
    await takeAway(deps, teacher, { kind: 'plan', id: school.planId })
    const laid = await layPlan(deps, teacher, { planId: school.planId, classIds: [school.b.classId] })
    expect(laid.error?.code).toBe('access/not-found')
  })
})

describe('the door of a class', () => {
  const newcomer = { name: 'Zoe', signIn: 'zoe', password: 'long enough', origin: AT_SCHOOL }

  it('is closed, opened, and gets another code', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const { classId, joinCode } = school.a
    const set = (act: 'close' | 'open' | 'renew') => setJoining(deps, teacher, { classId, act })
    await set('close')
    expect((await joinClass(deps, { ...newcomer, code: joinCode })).error?.code).toBe('access/joining-closed')
    await set('open')
    const renewed = mustBeOk(await set('renew'), 'renewed')
    expect(renewed.joinCode).not.toBe(joinCode)
    expect((await joinClass(deps, { ...newcomer, code: joinCode })).error?.code).toBe('access/unknown-code')
    expect((await joinClass(deps, { ...newcomer, code: renewed.joinCode })).ok).toBe(true)
    expect((await setJoining(deps, school.stranger, { classId, act: 'close' })).error?.code).toBe(
      'access/not-found',
    )
  })

  it('lets a learner out: roster, groups and unbegun work; what they began stays theirs', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const { classId } = school.a
    const group = { classId, groupId: null, name: 'Early', learnerIds: [school.ann.userId], rule: null }
    mustBeOk(await keepGroup(deps, teacher, group), 'group')
    await publish(school)
    const out = { classId, learnerId: school.ann.userId }
    expect((await removeLearner(deps, school.stranger, out)).error?.code).toBe('access/not-found')
    mustBeOk(await removeLearner(deps, teacher, out), 'out')
    expect((await rosterOf(school, classId)).map((l) => l.name)).toEqual(['Ben Birch'])
    expect((await showClass(deps, teacher, classId)).value?.learners.some((l) => l.groupIds.length > 0)).toBe(
      false,
    )
    expect((await listMyWork(deps, school.ann)).value.work).toEqual([])
    expect((await removeLearner(deps, teacher, out)).error?.code).toBe('audience/not-in-class')
  })
})
