import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { ClassId, UserId } from '#core/base'
import { enrol, groupsOf, learnerWorkOf } from '#db/repositories'
import { takeAway } from '#usecases/teaching/archive'
import { showClass } from '#usecases/teaching/classes'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { keepGroups } from '#usecases/teaching/keepGroups'
import { setMember } from '#usecases/teaching/setMember'
import { removeLearner } from '#usecases/teaching/removeLearner'
import { listRecipients } from '#usecases/work/listRecipients'
import { aSchool, publish } from '../support/world'

describe('a group over several classes', () => {
  it('shows in each class its own learners; work goes to all of them', async () => {
    const school = await aSchool()
    const { deps, teacher, a, b, ann, cleo } = school
    const of = { classId: a.classId, groupId: null, name: 'Owls', rule: null }
    const learnerIds = [ann.userId, cleo.userId]
    expect((await keepGroup(deps, teacher, { ...of, learnerIds })).error?.code).toBe('audience/not-in-class')
    const alsoIn = [b.classId]
    const { groupId } = mustBeOk(await keepGroup(deps, teacher, { ...of, alsoIn, learnerIds }), 'group')
    const shown = async (classId: ClassId) => {
      const page = mustBeOk(await showClass(deps, teacher, classId), 'class')
      return [page.groups, page.learners.filter((l) => l.groupIds.includes(groupId)).map((l) => l.id)]
    }
    const group = { id: groupId, classIds: [a.classId, b.classId], learners: 2 }
    expect(await shown(a.classId)).toMatchObject([[group], [ann.userId]])
    expect(await shown(b.classId)).toMatchObject([[group], [cleo.userId]])
    const { groups } = mustBeOk(await listRecipients(deps, teacher), 'recipients')
    expect(groups).toMatchObject([{ id: groupId, classIds: [a.classId, b.classId] }])
    expect(new Set(groups[0]?.learnerIds)).toEqual(new Set(learnerIds))

    const targets = [{ target: { kind: 'group' as const, groupId }, overrides: {} }]
    const assignmentId = await publish(school, { targets })
    const has = async () =>
      Object.fromEntries(
        (await learnerWorkOf(deps.store.read, [assignmentId])).map((w) => [w.learnerId, w.classId]),
      )
    expect(await has()).toEqual({ [ann.userId]: a.classId, [cleo.userId]: b.classId })

    const colleague = { ...teacher, userId: ann.userId }
    expect((await keepGroup(deps, colleague, { ...of, groupId, alsoIn: [], learnerIds: null })).ok).toBe(
      false,
    )
    // changed from its second class it stays where it was made; without the second, who is there leaves it
    const from = { ...of, classId: b.classId, groupId, learnerIds: null }
    mustBeOk(await keepGroup(deps, teacher, { ...from, alsoIn: [] }), 'group')
    expect(await shown(b.classId)).toMatchObject([[group], [cleo.userId]])
    mustBeOk(await keepGroup(deps, teacher, { ...of, groupId, learnerIds: null }), 'group')
    expect(await shown(b.classId)).toEqual([[], []])
    expect(await has()).toEqual({ [ann.userId]: a.classId })
  })

  it('keeps who is still in one of its classes', async () => {
    const { deps, teacher, a, b, ann, cleo } = await aSchool()
    await deps.store.write((tx) => enrol(tx, b.classId, [ann.userId], deps.clock.now()))
    const of = { classId: a.classId, groupId: null, name: 'Owls', rule: null, alsoIn: [b.classId] }
    const made = await keepGroup(deps, teacher, { ...of, learnerIds: [ann.userId, cleo.userId] })
    const { groupId } = mustBeOk(made, 'group')
    const leave = async (classId: ClassId, learnerId: UserId) =>
      mustBeOk(await removeLearner(deps, teacher, { classId, learnerId }), 'leave')
    const members = async () =>
      (await groupsOf(deps.store.read, [b.classId])).find((g) => g.id === groupId)?.learnerIds
    await leave(a.classId, ann.userId)
    expect(new Set(await members())).toEqual(new Set([ann.userId, cleo.userId]))
    await leave(b.classId, ann.userId)
    expect(await members()).toEqual([cleo.userId])
  })

  it('goes on in the other class when the one in which it was made is archived', async () => {
    const school = await aSchool()
    const { deps, teacher, a, b, ann, cleo } = school
    const of = { classId: a.classId, groupId: null, name: 'Owls', rule: null, alsoIn: [b.classId] }
    const made = await keepGroup(deps, teacher, { ...of, learnerIds: [ann.userId, cleo.userId] })
    const { groupId } = mustBeOk(made, 'group')
    mustBeOk(await takeAway(deps, teacher, { kind: 'class', id: a.classId }), 'archive')
    const { groups } = mustBeOk(await listRecipients(deps, teacher), 'recipients')
    expect(groups).toMatchObject([{ id: groupId, classIds: [b.classId], learnerIds: [cleo.userId] }])
    const targets = [{ target: { kind: 'group' as const, groupId }, overrides: {} }]
    const id = await publish(school, { targets })
    expect((await learnerWorkOf(deps.store.read, [id])).map((w) => w.learnerId)).toEqual([cleo.userId])
  })

  it('keeps both of two ticks at once, in two of its classes', async () => {
    const { deps, teacher, a, b, ann, cleo } = await aSchool()
    const of = { classId: a.classId, groupId: null, name: 'Owls', rule: null, alsoIn: [b.classId] }
    const { groupId } = mustBeOk(await keepGroup(deps, teacher, { ...of, learnerIds: [] }), 'group')
    const tick = (classId: ClassId, learnerId: UserId) =>
      setMember(deps, teacher, { classId, groupId, learnerId, isIn: true })
    await Promise.all([tick(a.classId, ann.userId), tick(b.classId, cleo.userId)])
    const [group] = await groupsOf(deps.store.read, [b.classId])
    expect(new Set(group?.learnerIds)).toEqual(new Set([ann.userId, cleo.userId]))
    // a learner is ticked in their own class only
    expect((await tick(a.classId, cleo.userId)).error?.code).toBe('audience/not-in-class')
  })
})

describe('a class that is split', () => {
  it('is kept as groups, all of them or none', async () => {
    const school = await aSchool()
    const { deps, teacher, stranger, a, ann, ben, cleo } = school
    const split = (who: typeof teacher, ...members: readonly (readonly UserId[])[]) =>
      keepGroups(deps, who, {
        classId: a.classId,
        groups: members.map((learnerIds, i) => ({ name: `Group ${i + 1}`, learnerIds })),
      })
    const kept = async () => (await groupsOf(deps.store.read, [a.classId])).map((g) => [g.name, g.learnerIds])
    expect((await split(teacher, [ann.userId], [cleo.userId])).error).toMatchObject({
      code: 'audience/not-in-class',
      id: cleo.userId,
    })
    expect((await split(stranger, [ann.userId])).error?.code).toBe('access/not-found')
    expect(await kept()).toEqual([])
    const { groupIds } = mustBeOk(await split(teacher, [ann.userId, ann.userId], [ben.userId]), 'split')
    expect(groupIds).toHaveLength(2)
    expect(await kept()).toEqual([
      ['Group 1', [ann.userId]],
      ['Group 2', [ben.userId]],
    ])
  })
})
