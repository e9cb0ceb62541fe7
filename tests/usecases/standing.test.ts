import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { ClassId, StandingId } from '#core/base'
import { standingOf, usualWindow } from '#core/standing'
import type { StandingPiece } from '#core/standing'
import { assignmentById, learnerWorkOf } from '#db/repositories'
import { copyPlan } from '#usecases/pacing/plans'
import { redo, undo } from '#usecases/journal/journal'
import { addStanding, changeStanding } from '#usecases/standing/keepStanding'
import { answerOffers } from '#usecases/standing/answerOffers'
import { layStanding, previewLay } from '#usecases/standing/layStanding'
import { showStanding } from '#usecases/standing/showStanding'
import { changeWork } from '#usecases/work/changeWork'
import { listMyWork } from '#usecases/learning/myWork'
import { draftOf } from '#core/work'
import { makeClass } from '#usecases/teaching/makeClass'
import { at, onDays } from '../support/made'
import { aLearner, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

function checkAfter(school: TestSchool, number: string): StandingPiece {
  const lessonId = school.lesson(number)
  const card = {
    resourceId: school.check,
    revision: 1,
    title: `Check ${number}`,
    kind: 'check',
    role: 'core',
  }
  return standingOf(lessonId, card as Parameters<typeof standingOf>[1], usualWindow(lessonId, 'after'))
}
async function aStandingPlan() {
  const school = await aSchool()
  const { deps, teacher, planId } = school
  const pieces = ['1.1', '1.2', '2.1'].map((n) => checkAfter(school, n))
  const { standingIds } = mustBeOk(await addStanding(deps, teacher, { planId, pieces }), 'add')
  return { ...school, standingIds, classIds: [school.a.classId, school.b.classId] }
}
type Standing = Awaited<ReturnType<typeof aStandingPlan>>
const shown = async ({ deps, teacher, planId }: TestSchool) =>
  mustBeOk(await showStanding(deps, teacher, { planId }), 'show')
const has = async (school: TestSchool, standingId: StandingId, classId: ClassId) =>
  (await shown(school)).has.find((h) => h.standingId === standingId && h.classId === classId)!
async function laid(school: Standing, publish = true) {
  const { deps, teacher, planId, classIds, standingIds } = school
  const classes = classIds.map((classId) => ({ classId, standingIds }))
  return mustBeOk(await layStanding(deps, teacher, { planId, classes, publish }), 'lay')
}
async function changeSecond(school: Standing, change: (piece: StandingPiece) => StandingPiece | null) {
  const { deps, teacher, planId, standingIds } = school
  const [, standingId] = standingIds as [StandingId, StandingId]
  const known = (await shown(school)).standing.find((s) => s.id === standingId)!
  const piece = change(known.piece)
  mustBeOk(
    await changeStanding(deps, teacher, { planId, standingId, version: known.version, piece }),
    'change',
  )
  return standingId
}

describe('standing work laid on classes', () => {
  it('shows what would go out when, makes it, and goes out as the clock moves on', async () => {
    const school = await aStandingPlan()
    const { deps, teacher, planId, classIds, clock, ann } = school
    const preview = mustBeOk(await previewLay(deps, teacher, { planId, classIds }), 'preview')
    expect(preview.classes.map((c) => [c.name, c.learners, c.rows[0]?.window?.opens])).toEqual([
      // Class A meets on Mon 31 Aug, class B on Tue 1 Sep
      ['Class A', 2, at('08-31T15:00')],
      ['Class B', 1, at('09-01T15:00')],
    ])
    expect(await laid(school)).toEqual({ works: 6, classes: 2 })
    const open = async () => {
      const { work } = mustBeOk(await listMyWork(deps, ann), 'mine')
      return work.filter((w) => w.place === 'now').map((w) => w.title)
    }
    expect(await open()).toEqual(['Check 1.1'])
    clock.set(at('09-04T16:00'))
    expect(await open()).toEqual(['Check 1.2'])
    const classes = classIds.map((classId) => ({ classId, standingIds: school.standingIds }))
    const again = { planId, classes, publish: true }
    expect((await layStanding(deps, teacher, again)).error?.code).toBe('standing/nothing-to-lay')
    mustBeOk(await undo(deps, teacher), 'undo')
    expect(await open()).toEqual([])
    mustBeOk(await redo(deps, teacher), 'redo')
    expect(await open()).toEqual(['Check 1.2'])
  })

  it('is laid class by class, where each is chosen', async () => {
    const school = await aStandingPlan()
    const { deps, teacher, planId, a, b } = school
    const [first, second] = school.standingIds as [StandingId, StandingId]
    const classes = [
      { classId: a.classId, standingIds: [first, second] },
      { classId: b.classId, standingIds: [second] },
    ]
    const done = mustBeOk(await layStanding(deps, teacher, { planId, classes, publish: true }), 'lay')
    expect(done).toEqual({ works: 3, classes: 2 })
    expect((await has(school, first, b.classId)).assignmentId).toBeNull()
    const nowhere = [{ classId: a.classId, standingIds: ['nowhere' as StandingId] }]
    expect((await layStanding(deps, teacher, { planId, classes: nowhere, publish: true })).error?.code).toBe(
      'access/not-found',
    )
  })

  it('says where a class has the piece already', async () => {
    const school = await aStandingPlan()
    const { deps, teacher, planId, classIds, a } = school
    await publish(school, {
      title: 'Last week',
      targets: [{ target: { kind: 'class', classId: a.classId }, overrides: {} }],
    })
    const preview = mustBeOk(await previewLay(deps, teacher, { planId, classIds }), 'preview')
    expect(preview.classes.map((c) => c.rows[0]?.hadIn)).toEqual(['Last week', null])
  })

  it('is laid onto a class that nobody is in yet, beside others, and comes to who joins', async () => {
    const school = await aStandingPlan()
    const { deps, teacher, planId, standingIds, a, yearId } = school
    const fresh = {
      yearId,
      name: 'Class E',
      shortName: 'E',
      course: 'Science',
      pattern: onDays(1, 3),
      planId,
    }
    const { classId, joinCode } = mustBeOk(await makeClass(deps, teacher, fresh), 'class')
    const classes = [a.classId, classId].map((id) => ({ classId: id, standingIds }))
    const done = mustBeOk(await layStanding(deps, teacher, { planId, classes, publish: true }), 'lay')
    expect(done).toEqual({ works: 6, classes: 2 })
    const dora = await aLearner(school, joinCode, 'Dora Dale')
    const { assignmentId } = await has(school, standingIds[2]!, classId)
    const rows = await learnerWorkOf(deps.store.read, [assignmentId!])
    expect(rows.map((r) => r.learnerId)).toEqual([dora.userId])
  })

  it('can be held, so that nobody has it yet', async () => {
    const school = await aStandingPlan()
    await laid(school, false)
    const [first] = school.standingIds
    const { assignmentId, state } = await has(school, first!, school.a.classId)
    expect(state).toBe('held')
    // what is taken over later is held like the rest
    const piece = { ...checkAfter(school, '1.3'), title: 'One more' }
    const { deps, teacher, planId, a } = school
    const { standingIds } = mustBeOk(await addStanding(deps, teacher, { planId, pieces: [piece] }), 'add')
    mustBeOk(
      await answerOffers(deps, teacher, { planId, classId: a.classId, standingIds, take: true }),
      'take',
    )
    expect((await has(school, standingIds[0]!, a.classId)).state).toBe('held')
    expect(await learnerWorkOf(school.deps.store.read, [assignmentId!])).toEqual([])
  })

  it('offers a change of the plan to each class: one takes it, one refuses', async () => {
    const school = await aStandingPlan()
    const { deps, teacher, planId, a, b } = school
    await laid(school)
    const id = await changeSecond(school, (piece) => ({ ...piece, title: 'Better check' }))
    for (const room of [a, b])
      expect((await has(school, id, room.classId)).offer).toMatchObject({
        kind: 'changed',
        fields: ['title'],
      })
    const answer = async (classId: ClassId, take: boolean) =>
      answerOffers(deps, teacher, { planId, classId, standingIds: [id], take })
    expect(mustBeOk(await answer(a.classId, true), 'take').works).toBe(1)
    expect(mustBeOk(await answer(b.classId, false), 'leave').works).toBe(0)
    const titleIn = async (classId: ClassId) => {
      const { assignmentId } = await has(school, id, classId)
      return (await assignmentById(deps.store.read, assignmentId!))?.title
    }
    expect([await titleIn(a.classId), await titleIn(b.classId)]).toEqual(['Better check', 'Check 1.2'])
    expect((await has(school, id, a.classId)).offer.kind).toBe('settled')
    expect(await has(school, id, b.classId)).toMatchObject({ isRefused: true, offer: { kind: 'changed' } })
    // a further change asks again
    await changeSecond(school, (piece) => ({ ...piece, title: 'Best check' }))
    expect((await has(school, id, b.classId)).isRefused).toBe(false)
    mustBeOk(await answer(b.classId, true), 'take after all')
    expect(await titleIn(b.classId)).toBe('Best check')
  })

  it('leaves alone what a class made its own, and the plan what a class changed', async () => {
    const school = await aStandingPlan()
    const { deps, teacher, planId, a } = school
    await laid(school)
    const [, second] = school.standingIds
    const { assignmentId } = await has(school, second!, a.classId)
    const own = (await assignmentById(deps.store.read, assignmentId!))!
    const draft = { ...draftOf(own), title: 'Ours' }
    const change = { assignmentId: own.id, version: own.version, draft, publish: false }
    mustBeOk(await changeWork(deps, teacher, change), 'own title')
    expect((await shown(school)).standing[1]?.piece.title).toBe('Check 1.2')
    await changeSecond(school, (piece) => ({ ...piece, title: 'Theirs', note: 'Bring a ruler' }))
    expect((await has(school, second!, a.classId)).offer).toEqual({
      kind: 'changed',
      fields: ['note'],
      keeps: ['title'],
    })
    const take = { planId, classId: a.classId, standingIds: [second!], take: true }
    mustBeOk(await answerOffers(deps, teacher, take), 'take')
    const after = await assignmentById(deps.store.read, own.id)
    expect([after?.title, after?.note]).toEqual(['Ours', 'Bring a ruler'])
  })

  it('offers what is new in a unit that was laid, and to withdraw what the plan no longer has', async () => {
    const school = await aStandingPlan()
    const { deps, teacher, planId, a } = school
    await laid(school)
    const piece = { ...checkAfter(school, '1.3'), title: 'One more' }
    const [added] = mustBeOk(await addStanding(deps, teacher, { planId, pieces: [piece] }), 'add').standingIds
    expect((await has(school, added!, a.classId)).offer.kind).toBe('new')
    const gone = await changeSecond(school, () => null)
    expect((await has(school, gone, a.classId)).offer.kind).toBe('gone')
    const both = { planId, classId: a.classId, standingIds: [added!, gone], take: true }
    expect(mustBeOk(await answerOffers(deps, teacher, both), 'take').works).toBe(2)
    expect((await has(school, added!, a.classId)).state).toBe('published')
    expect(
      (await shown(school)).has.find((h) => h.standingId === gone && h.classId === a.classId),
    ).toMatchObject({
      assignmentId: null,
      offer: { kind: 'settled' },
    })
  })

  it('is taken back in the plan, too, and goes along with a copy', async () => {
    const school = await aStandingPlan()
    const { deps, teacher, planId } = school
    await changeSecond(school, () => null)
    expect((await shown(school)).standing).toHaveLength(2)
    mustBeOk(await undo(deps, teacher), 'undo')
    expect((await shown(school)).standing.map((s) => s.piece.title)).toEqual([
      'Check 1.1',
      'Check 1.2',
      'Check 2.1',
    ])
    const copy = mustBeOk(await copyPlan(deps, teacher, planId), 'copy')
    const copied = mustBeOk(await showStanding(deps, teacher, { planId: copy.planId }), 'copied')
    expect(copied.standing.map((s) => s.piece.title)).toEqual(['Check 1.1', 'Check 1.2', 'Check 2.1'])
    const lessons = new Set(copied.plan.lessons.map((l) => l.id))
    expect(copied.standing.every((s) => lessons.has(s.piece.lessonId))).toBe(true)
  })

  it('is for those who may see the plan, change it, and run the classes', async () => {
    const school = await aStandingPlan()
    const { deps, stranger, planId, classIds, standingIds } = school
    const [standingId] = standingIds as [StandingId]
    const pieces = [checkAfter(school, '1.1')]
    const codes = [
      await showStanding(deps, stranger, { planId }),
      await addStanding(deps, stranger, { planId, pieces }),
      await changeStanding(deps, stranger, { planId, standingId, version: 1, piece: null }),
      await previewLay(deps, stranger, { planId, classIds }),
      await layStanding(deps, stranger, {
        planId,
        classes: classIds.map((classId) => ({ classId, standingIds })),
        publish: true,
      }),
      await answerOffers(deps, stranger, { planId, classId: classIds[0]!, standingIds, take: true }),
    ].map((r) => r.error?.code)
    expect(new Set(codes)).toEqual(new Set(['access/not-found']))
  })
})
