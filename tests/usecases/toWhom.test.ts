import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { AssignmentId } from '#core/base'
import { NO_ACCOMMODATION, NO_WINDOW } from '#core/availability'
import { learnerWorkOf } from '#db/repositories'
import { showLens } from '#usecases/lens/showLens'
import { setAccommodation, showClass } from '#usecases/teaching/classes'
import { makeClass } from '#usecases/teaching/makeClass'
import { assign } from '#usecases/work/assign'
import { listWork } from '#usecases/work/listWork'
import { previewWork } from '#usecases/work/previewWork'
import { at, onDays } from '../support/made'
import { aDraft, aLearner, aSchool, anchored, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const have = async (school: TestSchool, id: AssignmentId) =>
  (await learnerWorkOf(school.deps.store.read, [id])).map((r) => r.learnerId)
const toClass = (classId: TestSchool['a']['classId']) => ({
  target: { kind: 'class' as const, classId },
  overrides: {},
})

/** A third class that nobody is in yet. */
async function anEmptyClass(school: TestSchool) {
  return mustBeOk(
    await makeClass(school.deps, school.teacher, {
      yearId: school.yearId,
      name: 'Class E',
      shortName: 'E',
      course: 'Science',
      pattern: onDays(1, 3),
    }),
    'class',
  )
}

describe('a class that nobody is in yet', () => {
  it('is given work that whoever joins gets, and is listed with it meanwhile', async () => {
    const school = await aSchool()
    const { classId, joinCode } = await anEmptyClass(school)
    const draft = aDraft(school, { targets: [toClass(classId)] })
    const seen = await previewWork(school.deps, school.teacher, { assignmentId: null, draft })
    expect(seen.value).toMatchObject({ learners: 0, awaitsNewcomers: true, problems: [] })
    expect(seen.value?.classes).toMatchObject([{ classId, learners: 0, problem: null }])
    const id = await publish(school, draft)
    expect(await have(school, id)).toEqual([])
    const [row] = (await listWork(school.deps, school.teacher)).value?.work ?? []
    expect(row).toMatchObject({ state: 'published', learners: 0 })
    expect(row?.classes).toMatchObject([{ name: 'Class E', learners: 0 }])
    const dora = await aLearner(school, joinCode, 'Dora Dale')
    expect(await have(school, id)).toEqual([dora.userId])
  })

  it('gets held work, and work together with others', async () => {
    const school = await aSchool()
    const { classId } = await anEmptyClass(school)
    const alone = aDraft(school, { targets: [toClass(classId)] })
    expect((await assign(school.deps, school.teacher, { draft: alone, publish: false })).ok).toBe(true)
    const draft = aDraft(school, { targets: [toClass(school.a.classId), toClass(classId)] })
    const both = await assign(school.deps, school.teacher, { draft, publish: true })
    expect(both.value?.learners).toBe(2)
  })

  it('is refused where newcomers get nothing, and where the dates have no place', async () => {
    const school = await aSchool()
    const { classId } = await anEmptyClass(school)
    const refusalOf = async (part: Parameters<typeof aDraft>[1]) => {
      const draft = aDraft(school, { targets: [toClass(classId)], ...part })
      return (await assign(school.deps, school.teacher, { draft, publish: true })).error?.code
    }
    expect(await refusalOf({ newcomers: false })).toBe('audience/nobody-reached')
    const window = { ...NO_WINDOW, due: anchored(school.lesson('1.2'), 'last', 1) }
    expect(await refusalOf({ window })).toBe('availability/no-layout')
  })
})

describe('head-counts while composing', () => {
  it('are right before a piece is chosen, without who is excepted, and tell nothing of others', async () => {
    const school = await aSchool()
    const draft = { ...aDraft(school), exceptIds: [school.ann.userId] }
    const bare = { assignmentId: null, draft: { ...draft, pieces: [] } }
    const seen = (await previewWork(school.deps, school.teacher, bare)).value
    expect(seen).toMatchObject({ learners: 2, targetCounts: [1, 1] })
    expect(seen?.problems.map((p) => p.code)).toEqual(['work/no-pieces'])
    const whole = await previewWork(school.deps, school.teacher, { assignmentId: null, draft })
    expect(whole.value).toMatchObject({ learners: 2, targetCounts: [1, 1] })
    const asked = await previewWork(school.deps, school.stranger, bare)
    expect(asked.value).toMatchObject({ learners: 0, targetCounts: [0, 0] })
  })

  it('count meetings from now where it opens when published', async () => {
    const school = await aSchool()
    school.clock.set(at('09-14T12:00'))
    const draft = aDraft(school, {
      window: { ...NO_WINDOW, due: through('2026-09-18'), closes: through('2026-09-18') },
      targets: [toClass(school.a.classId)],
    })
    const seen = await previewWork(school.deps, school.teacher, { assignmentId: null, draft })
    // Mon 14, Wed 16 and Fri 18 of September, and not all since the year's first day
    expect(seen.value?.classes[0]?.span?.meetings).toBe(3)
  })
})

describe('a start line', () => {
  it('leaves out what was over before somebody joined; it can be moved', async () => {
    const school = await aSchool()
    const past = { ...NO_WINDOW, due: through('2026-09-04') }
    const over = await publish(school, { window: past })
    const still = await publish(school, {})
    school.clock.set(at('09-10T18:00'))
    const dora = await aLearner(school, school.a.joinCode, 'Dora Dale')
    expect(await have(school, over)).not.toContain(dora.userId)
    expect(await have(school, still)).toContain(dora.userId)
    // nor is she counted among those whom it would reach
    const draft = aDraft(school, { window: past, targets: [toClass(school.a.classId)] })
    const seen = (await previewWork(school.deps, school.teacher, { assignmentId: null, draft })).value
    expect(seen).toMatchObject({ learners: 2, targetCounts: [2] })
    const lens = await showLens(school.deps, school.teacher, { learnerId: dora.userId, at: null })
    expect(lens.value?.rows.find((r) => r.assignmentId === over)?.notThere?.code).toBe('before-start')

    const startOn = async (day: string) => {
      const accommodation = NO_ACCOMMODATION
      const of = { classId: school.a.classId, learnerId: dora.userId, accommodation }
      mustBeOk(await setAccommodation(school.deps, school.teacher, { ...of, startsOn: isoDay(day) }), day)
    }
    const startsOn = async () => {
      const { learners } = mustBeOk(await showClass(school.deps, school.teacher, school.a.classId), 'class')
      return learners.find((l) => l.id === dora.userId)?.startsOn
    }
    expect(await startsOn()).toBe('2026-09-10')
    await startOn('2026-09-01')
    expect(await have(school, over)).toContain(dora.userId)
    expect(await startsOn()).toBe('2026-09-01')
    await startOn('2026-09-10')
    expect(await have(school, over)).not.toContain(dora.userId)
    // others keep what they had
    expect(await have(school, over)).toHaveLength(3)
  })

  it('does not hold for who is named: they still have it to do', async () => {
    const school = await aSchool()
    const past = { ...NO_WINDOW, due: through('2026-09-04') }
    school.clock.set(at('09-10T18:00'))
    const dora = await aLearner(school, school.a.joinCode, 'Dora Dale')
    const named = { target: { kind: 'learner' as const, learnerId: dora.userId }, overrides: {} }
    const id = await publish(school, { window: past, targets: [toClass(school.a.classId), named] })
    expect(await have(school, id)).toContain(dora.userId)
  })
})
