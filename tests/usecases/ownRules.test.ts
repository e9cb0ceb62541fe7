import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { AssignmentId } from '#core/base'
import { showGrid } from '#usecases/evidence/evidence'
import { showLens } from '#usecases/lens/showLens'
import { showMyPiece } from '#usecases/learning/myPiece'
import { listMyWork } from '#usecases/learning/myWork'
import { handIn, startTry } from '#usecases/learning/tries'
import { addRoster } from '#usecases/teaching/roster'
import { gradeLearners } from '#usecases/teaching/gradeLearners'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { showClass } from '#usecases/teaching/classes'
import { changeWork } from '#usecases/work/changeWork'
import { listRecipients } from '#usecases/work/listRecipients'
import { showWork } from '#usecases/work/showWork'
import type { OwnRules } from '#core/work'
import { P1, at, rules } from '../support/made'
import { aDraft, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

/** Both classes have it, Ann with something of her own. */
async function withOwn(school: TestSchool, own: Partial<OwnRules>) {
  const base = rules({ maxAttempts: 3, waitMinutes: 30, passPercent: 80, help: [] })
  const { targets } = aDraft(school)
  const ofAnn = {
    target: { kind: 'learner' as const, learnerId: school.ann.userId },
    overrides: {},
    rules: own,
  }
  return publish(school, { rules: base, targets: [...targets, ofAnn] })
}
const begin = (school: TestSchool, id: AssignmentId, who = school.ann) =>
  startTry(school.deps, who, { assignmentId: id, pieceId: P1 })
const tried = async (school: TestSchool, id: AssignmentId, who = school.ann) => {
  const { attemptId } = mustBeOk(await begin(school, id, who), 'begin')
  mustBeOk(await handIn(school.deps, who, { attemptId, saves: [] }), 'hand in')
}
const cardOf = async (school: TestSchool, id: AssignmentId, who = school.ann) =>
  mustBeOk(await listMyWork(school.deps, who), 'list').work.find((w) => w.id === id)?.pieces[0]

describe('rules of one learner', () => {
  it('are obeyed for them alone: no wait, another pass mark, more help', async () => {
    const school = await aSchool()
    const id = await withOwn(school, { waitMinutes: 0, passPercent: null, help: ['calculator'] })
    const helpOf = async (who: TestSchool['ann']) => mustBeOk(await begin(school, id, who), 'begin').help
    expect([await helpOf(school.ann), await helpOf(school.ben)]).toEqual([['calculator'], []])
    await tried(school, id)
    await tried(school, id, school.ben)
    expect([
      (await cardOf(school, id))?.passPercent,
      (await cardOf(school, id, school.ben))?.passPercent,
    ]).toEqual([null, 80])
    expect((await begin(school, id)).ok).toBe(true)
    expect((await begin(school, id, school.ben)).error?.code).toBe('attempts/wait')
    const page = (who: TestSchool['ann']) => showMyPiece(school.deps, who, { assignmentId: id, pieceId: P1 })
    expect(mustBeOk(await page(school.ann), 'ann').waitUntil).toBe(null)
    expect(mustBeOk(await page(school.ben), 'ben').waitUntil).toBe(at('09-01T12:30'))
    const { cells } = mustBeOk(await showGrid(school.deps, school.teacher, school.a.classId), 'grid')
    const passing = (who: TestSchool['ann']) => cells.find((c) => c.learnerId === who.userId)?.passing
    expect([passing(school.ann), passing(school.ben)]).toEqual([null, 'not-yet'])
  })

  it('stand in the draft as they were given, with the reason in the lens, and follow a change', async () => {
    const school = await aSchool()
    const id = await withOwn(school, { passPercent: 50 })
    const { draft, version } = mustBeOk(await showWork(school.deps, school.teacher, id), 'show')
    expect(draft.targets.at(-1)?.rules).toEqual({ passPercent: 50 })
    const lens = mustBeOk(
      await showLens(school.deps, school.teacher, { learnerId: school.ann.userId, at: null }),
      'lens',
    )
    const row = lens.rows.find((r) => r.assignmentId === id)
    expect(row?.why).toContainEqual({ level: 'learner', sourceId: null, fields: ['passPercent'] })
    const targets = draft.targets.map((t) => ({ target: t.target, overrides: t.overrides }))
    const change = { assignmentId: id, version, draft: { ...draft, targets }, publish: false }
    mustBeOk(await changeWork(school.deps, school.teacher, change), 'change')
    expect((await cardOf(school, id))?.passPercent).toBe(80)
  })

  it('have to make sense', async () => {
    const school = await aSchool()
    await expect(withOwn(school, { passPercent: 101 })).rejects.toThrow(/bad-rules/)
    await expect(withOwn(school, { waitMinutes: -1 })).rejects.toThrow(/bad-rules/)
  })
})

describe('grades', () => {
  const gradesOf = async (school: TestSchool) =>
    mustBeOk(await showClass(school.deps, school.teacher, school.a.classId), 'class').learners.map((l) => [
      l.name.split(' ')[0],
      l.grade,
    ])

  it('come with the roster, for those who are there already too, and are set for several', async () => {
    const school = await aSchool()
    const text = 'name,grade\nAnn Ash,8\nDan Dean,7'
    mustBeOk(
      await addRoster(school.deps, school.teacher, { classId: school.a.classId, text, skipBad: false }),
      'add',
    )
    expect(await gradesOf(school)).toEqual([
      ['Ann', 8],
      ['Ben', null],
      ['Dan', 7],
    ])
    const { classId } = school.a
    const learnerIds = [school.ann.userId, school.ben.userId]
    mustBeOk(await gradeLearners(school.deps, school.teacher, { classId, learnerIds, grade: 9 }), 'set')
    expect(await gradesOf(school)).toEqual([
      ['Ann', 9],
      ['Ben', 9],
      ['Dan', 7],
    ])
  })

  it('are not set for learners of another class, by learners, or by a stranger', async () => {
    const school = await aSchool()
    const { classId } = school.a
    const set = (who: typeof school.teacher, learnerIds = [school.ann.userId]) =>
      gradeLearners(school.deps, who, { classId, learnerIds, grade: 9 })
    expect((await set(school.teacher, [school.cleo.userId])).error?.code).toBe('audience/not-in-class')
    expect((await set(school.stranger)).error?.code).toBe('access/not-found')
    expect((await gradesOf(school)).map(([, grade]) => grade)).toEqual([null, null])
  })

  it('make a group that follows them', async () => {
    const school = await aSchool()
    const { classId } = school.a
    const rule = { kind: 'grade', grades: [7] } as const
    const made = mustBeOk(
      await keepGroup(school.deps, school.teacher, {
        classId,
        groupId: null,
        name: 'Sevens',
        learnerIds: [],
        rule,
      }),
      'group',
    )
    expect(made.learners).toBe(0)
    mustBeOk(
      await gradeLearners(school.deps, school.teacher, {
        classId,
        learnerIds: [school.ben.userId],
        grade: 7,
      }),
      'set',
    )
    const { groups, classes } = mustBeOk(await listRecipients(school.deps, school.teacher), 'recipients')
    expect(groups).toMatchObject([{ isByRule: true, learnerIds: [school.ben.userId] }])
    expect(classes.flatMap((c) => c.learners).find((l) => l.id === school.ben.userId)?.grade).toBe(7)
    expect(
      (
        await keepGroup(school.deps, school.teacher, {
          classId,
          groupId: null,
          name: 'X',
          learnerIds: [],
          rule: { kind: 'grade', grades: [] },
        })
      ).error,
    ).toMatchObject({ code: 'audience/bad-group-rule', part: 'grades' })
  })
})
