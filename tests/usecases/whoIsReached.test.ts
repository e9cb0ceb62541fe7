import { sql } from 'drizzle-orm'
import { describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { AssignmentId, ClassId, GroupId, PresetId } from '#core/base'
import type { GroupRule } from '#core/audience'
import { learnerWorkOf } from '#db/repositories'
import { handIn, startTry } from '#usecases/learning/tries'
import { dropPreset, keepPreset, listPresets } from '#usecases/presets/presets'
import { showClass } from '#usecases/teaching/classes'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { setMember } from '#usecases/teaching/setMember'
import { removeLearner } from '#usecases/teaching/removeLearner'
import { listRecipients } from '#usecases/work/listRecipients'
import { showWork } from '#usecases/work/showWork'
import { changeWork } from '#usecases/work/changeWork'
import { previewWork } from '#usecases/work/previewWork'
import { aChange, at, only, rules } from '../support/made'
import { aDraft, aLearner, aSchool, publish, rosterOf } from '../support/world'
import type { TestSchool } from '../support/world'

const reached = async (school: TestSchool, id: AssignmentId) => {
  const names = new Map(
    [...(await rosterOf(school, school.a.classId)), ...(await rosterOf(school, school.b.classId))].map(
      (p) => [p.id, p.name.split(' ')[0]],
    ),
  )
  return (await learnerWorkOf(school.deps.store.read, [id])).map((r) => names.get(r.learnerId)).sort()
}
const group = async (school: TestSchool, name: string, rule: GroupRule | null, learnerIds: never[] = []) =>
  mustBeOk(
    await keepGroup(school.deps, school.teacher, {
      classId: school.a.classId,
      groupId: null,
      name,
      learnerIds,
      rule,
    }),
    name,
  ).groupId
const toGroup = (groupId: GroupId) => [{ target: { kind: 'group' as const, groupId }, overrides: {} }]
/** One try with all of it right, or nothing. */
async function answer(school: TestSchool, who: TestSchool['ann'], id: AssignmentId, right: boolean) {
  const { attemptId } = mustBeOk(await startTry(school.deps, who, only(id)), 'start')
  const saves: Parameters<typeof handIn>[2]['saves'] = right
    ? [
        aChange('1', { kind: 'single', choice: 'b' }),
        aChange('2', { kind: 'multiple', choices: ['a', 'c'] }),
        aChange('3', { kind: 'numeric', text: '2.5' }),
        aChange('4', { kind: 'text', text: 'resting place' }),
      ]
    : [aChange('1', { kind: 'single', choice: 'a' })]
  mustBeOk(await handIn(school.deps, who, { attemptId, saves }), 'hand in')
}
const BELOW: GroupRule = { kind: 'standing', standards: [], from: null, below: 40, leastItems: 1 }

describe('who joins later', () => {
  it('gets the work of the class, unless that is turned off', async () => {
    const school = await aSchool()
    const open = await publish(school)
    const shut = await publish(school, { newcomers: false })
    school.clock.set(at('09-02T12:00'))
    const dan = await aLearner(school, school.a.joinCode, 'Dan Dean')
    expect(await reached(school, open)).toEqual(['Ann', 'Ben', 'Cleo', 'Dan'])
    expect(await reached(school, shut)).toEqual(['Ann', 'Ben', 'Cleo'])
    // given to them by name, they have it
    const { draft, version } = mustBeOk(await showWork(school.deps, school.teacher, shut), 'show')
    const named = { target: { kind: 'learner' as const, learnerId: dan.userId }, overrides: {} }
    const change = { ...draft, targets: [...draft.targets, named] }
    mustBeOk(
      await changeWork(school.deps, school.teacher, {
        assignmentId: shut,
        version,
        draft: change,
        publish: false,
      }),
      'by name',
    )
    expect(await reached(school, shut)).toEqual(['Ann', 'Ben', 'Cleo', 'Dan'])
  })

  it('is said before: a preview of published work counts those who have it', async () => {
    const school = await aSchool()
    const id = await publish(school, { newcomers: false })
    school.clock.set(at('09-02T12:00'))
    await aLearner(school, school.a.joinCode, 'Dan Dean')
    const { draft } = mustBeOk(await showWork(school.deps, school.teacher, id), 'show')
    const count = async (newcomers: boolean) =>
      mustBeOk(
        await previewWork(school.deps, school.teacher, { assignmentId: id, draft: { ...draft, newcomers } }),
        'preview',
      ).learners
    expect([await count(false), await count(true)]).toEqual([3, 4])
  })
})

describe('a group by rule', () => {
  /** Ann answers right, Ben wrong, on items of a standard. */
  async function tried() {
    const school = await aSchool()
    const [none, some] = ['"standard":null', '"standard":"TH.1"']
    await school.deps.store.write((tx) =>
      tx.run(sql`update resources set body = replace(body, ${none}, ${some}) where id = ${school.check}`),
    )
    const id = await publish(school)
    await answer(school, school.ann, id, true)
    await answer(school, school.ben, id, false)
    return school
  }

  it('has those who stand so, shown as they stand', async () => {
    const school = await tried()
    const groupId = await group(school, 'Below', BELOW)
    const { groups } = mustBeOk(await listRecipients(school.deps, school.teacher), 'recipients')
    expect(groups).toMatchObject([{ id: groupId, isByRule: true, learnerIds: [school.ben.userId] }])
    const page = mustBeOk(await showClass(school.deps, school.teacher, school.a.classId), 'class')
    expect(page.groups).toEqual([
      { id: groupId, name: 'Below', rule: BELOW, classIds: [school.a.classId], learners: 1 },
    ])
    const put = { classId: school.a.classId, groupId, learnerId: school.ann.userId, isIn: true }
    expect((await setMember(school.deps, school.teacher, put)).error?.code).toBe('audience/group-by-rule')
  })

  it('is evaluated when work is published, and stays for that work', async () => {
    const school = await tried()
    const groupId = await group(school, 'Below', BELOW)
    const id = await publish(school, { targets: toGroup(groupId) })
    expect(await reached(school, id)).toEqual(['Ben'])
    // Ben catches up: new work of the group goes to nobody, what he has stays
    await answer(school, school.ben, id, true)
    expect((await reached(school, id)).join()).toBe('Ben')
    const again = await previewWork(school.deps, school.teacher, {
      assignmentId: null,
      draft: aDraft(school, { targets: toGroup(groupId) }),
    })
    expect(again.ok && again.value.learners).toBe(0)
    const { draft, version } = mustBeOk(await showWork(school.deps, school.teacher, id), 'show')
    const change = { assignmentId: id, version, draft: { ...draft, note: 'n' }, publish: false }
    mustBeOk(await changeWork(school.deps, school.teacher, change), 'change')
    expect((await reached(school, id)).join()).toBe('Ben')
  })

  it('that is empty reaches nobody, which is said and nothing is published', async () => {
    const school = await aSchool()
    const groupId = await group(school, 'Nobody yet', BELOW)
    const draft = aDraft(school, { targets: toGroup(groupId) })
    const preview = mustBeOk(
      await previewWork(school.deps, school.teacher, { assignmentId: null, draft }),
      'preview',
    )
    expect([preview.learners, preview.targetCounts]).toEqual([0, [0]])
    await expect(publish(school, { targets: toGroup(groupId) })).rejects.toThrow(/nobody-reached/)
  })

  it('needs a rule that says something', async () => {
    const school = await aSchool()
    const of = { classId: school.a.classId, groupId: null, name: 'X', learnerIds: [] }
    const keep = (rule: GroupRule) => keepGroup(school.deps, school.teacher, { ...of, rule })
    expect((await keep({ ...BELOW, below: null })).error).toMatchObject({
      code: 'audience/bad-group-rule',
      part: 'below',
    })
    expect((await keep({ ...BELOW, leastItems: 0 })).error).toMatchObject({ part: 'leastItems' })
  })
})

describe('a group by hand', () => {
  it('takes its work along when somebody is put in or taken out, or when it is emptied', async () => {
    const school = await aSchool()
    const groupId = await group(school, 'North', null, [school.ann.userId as never])
    const id = await publish(school, { targets: toGroup(groupId) })
    const put = (who: TestSchool['ann'], isIn: boolean) =>
      setMember(school.deps, school.teacher, {
        classId: school.a.classId,
        groupId,
        learnerId: who.userId,
        isIn,
      })
    mustBeOk(await put(school.ben, true), 'in')
    expect(await reached(school, id)).toEqual(['Ann', 'Ben'])
    await answer(school, school.ann, id, true)
    mustBeOk(await put(school.ann, false), 'out')
    mustBeOk(await put(school.ben, false), 'out')
    // who has begun keeps the work and its results
    expect(await reached(school, id)).toEqual(['Ann'])
    mustBeOk(await put(school.ben, true), 'in again')
    expect(await reached(school, id)).toEqual(['Ann', 'Ben'])
  })

  it('leaves a learner who goes to the other section in mid-attempt with their try', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const { attemptId } = mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start')
    const out = { classId: school.a.classId, learnerId: school.ann.userId }
    mustBeOk(await removeLearner(school.deps, school.teacher, out), 'out of A')
    mustBeOk(
      await handIn(school.deps, school.ann, {
        attemptId,
        saves: [aChange('1', { kind: 'single', choice: 'b' })],
      }),
      'hand in',
    )
    expect((await learnerWorkOf(school.deps.store.read, [id])).length).toBe(3)
  })
})

describe('presets of one’s own', () => {
  it('are kept under a name, replaced under the same, and taken away', async () => {
    const school = await aSchool()
    const keep = (name: string, maxAttempts: number, classId: ClassId | null = null) =>
      keepPreset(school.deps, school.teacher, { name, rules: rules({ maxAttempts }), classId, kind: 'check' })
    const { presetId } = mustBeOk(await keep('Mine', 3), 'keep')
    expect(mustBeOk(await keep('mine', 5, school.a.classId), 'again').presetId).toBe(presetId)
    const list = async (who = school.teacher) =>
      mustBeOk(await listPresets(school.deps, who), 'list').presets.map((p) => [
        p.name,
        p.rules.maxAttempts,
        p.classId,
        p.kind,
      ])
    expect(await list()).toEqual([['mine', 5, school.a.classId, 'check']])
    expect(await list(school.stranger)).toEqual([])
    expect((await dropPreset(school.deps, school.stranger, presetId)).error?.code).toBe('access/not-found')
    mustBeOk(await dropPreset(school.deps, school.teacher, presetId), 'drop')
    expect(await list()).toEqual([])
    const gone = await dropPreset(school.deps, school.teacher, asId<PresetId>('gone'))
    expect(gone.error?.code).toBe('access/not-found')
  })

  it('are refused with rules nobody can meet, or for others’ classes, and to learners', async () => {
    const school = await aSchool()
    const of = { name: 'N', rules: rules(), classId: null, kind: null }
    const bad = { ...of, rules: rules({ maxAttempts: 0 }) }
    expect((await keepPreset(school.deps, school.teacher, bad)).error?.code).toBe('attempts/bad-rules')
    const others = { ...of, classId: school.a.classId }
    expect((await keepPreset(school.deps, school.stranger, others)).error?.code).toBe('access/not-found')
  })
})
