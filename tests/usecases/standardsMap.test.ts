import { beforeEach, describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { AssignmentId, ResourceId } from '#core/base'
import { addResource, addStandards, enrol, plansById, savePlan } from '#db/repositories'
import { showStandardsMap } from '#usecases/evidence/standardsMap'
import { handIn, startTry } from '#usecases/learning/tries'
import { aChange, aCheck, at, only, piecesOf, single } from '../support/made'
import { aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const TAUGHT = asId<ResourceId>('taught')
const ASKED = asId<ResourceId>('asked')
let school: TestSchool
const map = async (who = school.teacher) =>
  mustBeOk(await showStandardsMap(school.deps, who, school.a.classId), 'map')
/** Hands in one answer for each item: right, or another. */
async function does(work: AssignmentId, who: TestSchool['ann'], ...right: readonly boolean[]) {
  const { attemptId } = mustBeOk(await startTry(school.deps, who, only(work)), 'start')
  const saves = right.map((is, i) => aChange(`${i + 1}`, { kind: 'single', choice: is ? 'b' : 'a' }))
  mustBeOk(await handIn(school.deps, who, { attemptId, saves }), 'in')
}

beforeEach(async () => {
  school = await aSchool()
  const { deps, teacher } = school
  const standard = (code: string) => ({ code, text: `Says ${code}`, level: 'standard' as const })
  const inBook = { schoolId: null, ownerId: null, bookId: null, isShared: true, revision: 1, position: 0 }
  const items = [single('1', { standard: 'D.2' }), single('2', { standard: 'D.9' })]
  const [record] = (await plansById(deps.store.read, [school.planId])).values()
  if (!record) throw new Error('no plan')
  const [first, second, ...others] = record.plan.lessons
  const lessons = [{ ...first!, bookLessonId: 'L1' }, { ...second!, bookLessonId: 'L2' }, ...others]
  await deps.store.write(async (tx) => {
    await addStandards(
      tx,
      ['D.1', 'D.2'].map((code) => ({ ...standard(code), parent: null, requires: [] })),
      { schoolId: teacher.schoolId, frameworkId: null },
    )
    const reading = aCheck([], { id: TAUGHT, code: 'rd101', kind: 'reading', standards: ['D.2'] })
    const check = aCheck(items, { id: ASKED, code: 'ck101', standards: ['D.2', 'D.9'] })
    const later = aCheck([], {
      id: asId<ResourceId>('later'),
      code: 'rd201',
      kind: 'reading',
      standards: ['D.1'],
    })
    await addResource(tx, { resource: reading, ...inBook, bookLessonId: 'L1' })
    await addResource(tx, { resource: check, ...inBook, bookLessonId: null })
    await addResource(tx, { resource: later, ...inBook, bookLessonId: 'L2' })
    await savePlan(tx, { ...record, plan: { ...record.plan, lessons } })
  })
})

describe('the standards map of a class', () => {
  it('goes by the order of the plan, has what only work asks for behind, and nobody unseen as zero', async () => {
    const before = await map()
    expect(before.columns.map((c) => [c.code, c.text, c.lessons.length, c.spread.who.unseen.length])).toEqual(
      [
        ['D.2', 'Says D.2', 1, 2],
        ['D.1', 'Says D.1', 1, 2],
      ],
    )
    const work = await publish(school, { pieces: piecesOf(ASKED) })
    school.clock.set(at('09-02T12:00'))
    await does(work, school.ann, true, false)
    await does(work, school.cleo, false, true)
    const { columns, standings, learners } = await map()
    expect(learners.map((l) => l.name)).toEqual(['Ann Ash', 'Ben Birch'])
    expect(columns.map((c) => [c.code, c.unit, c.text, c.spread.mean])).toEqual([
      ['D.2', 'One', 'Says D.2', 1],
      ['D.1', 'One', 'Says D.1', null],
      // no framework has it, and no lesson
      ['D.9', null, '', 0],
    ])
    expect(columns[0]?.spread.who).toEqual({
      low: [],
      middle: [],
      high: [school.ann.userId],
      unseen: [school.ben.userId],
    })
    const lastAt = at('09-02T12:00')
    expect(standings).toEqual([
      { learnerId: school.ann.userId, code: 'D.2', share: 1, items: 1, lastAt, few: true },
      { learnerId: school.ann.userId, code: 'D.9', share: 0, items: 1, lastAt, few: true },
    ])
  })

  it('says when a standard was taught, and when it comes', async () => {
    const dates = async () => (await map()).columns.map((c) => [c.taughtAt, c.toComeAt])
    // Class A meets on Mon 31 Aug, Wed 2 and Fri 4 Sep: one meeting, then one and a half
    const [taught, later] = await dates()
    expect(taught?.[0]).not.toBeNull()
    expect(taught?.[1]).toBeNull()
    expect(later?.[0]).toBeNull()
    school.clock.set(at('09-05T12:00'))
    expect((await dates())[1]).toEqual([later?.[1], null])
  })

  it('has nothing of what the same learners did in a class of somebody else', async () => {
    const { deps, ann, b } = school
    const carla = await aColleague(school)
    await deps.store.write((tx) => enrol(tx, b.classId, [ann.userId], at('08-31T12:00')))
    const targets = [{ target: { kind: 'class' as const, classId: b.classId }, overrides: {} }]
    const work = await publish({ ...school, teacher: carla }, { pieces: piecesOf(ASKED), targets })
    await does(work, ann, false, false)
    expect((await map()).standings).toEqual([])
  })

  it('is not there of a class that cannot be seen', async () => {
    const { deps, stranger, a } = school
    const hidden = await showStandardsMap(deps, stranger, a.classId)
    expect(hidden.error).toMatchObject({ code: 'access/not-found', what: 'class' })
  })
})
