import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import type { LessonId } from '#core/base'
import type { LessonLength, LessonRecord, PacingCommand } from '#core/pacing'
import { parsePlanTable, parseRoster } from '#core/formats'
import { classById } from '#db/repositories'
import { doCommand } from '#usecases/pacing/acts'
import { addRoster } from '#usecases/teaching/roster'
import { aLesson, ids } from '../support/made'
import { aSchool } from '../support/world'
import type { TestSchool } from '../support/world'

/** A lesson of one class's own, as an act brings it. */
async function addOwn(school: TestSchool, length: Partial<LessonLength>, id = 'own', key = id) {
  const { plan } = await planned(school)
  const unitId = plan.units[0]?.id
  if (!unitId) throw new Error('a plan without units')
  const usual: LessonLength = { unit: 'meetings', min: 0.5, typical: 1, max: 2 }
  const to = aLesson(id, 1, { unitId, length: { ...usual, ...length } })
  const command: PacingCommand = {
    kind: 'lesson',
    classId: school.a.classId,
    lessonId: ids.lesson(key),
    part: 'added',
    from: null,
    to,
  }
  return doCommand(school.deps, school.teacher, command)
}
async function planned(school: TestSchool) {
  const { showDesk } = await import('#usecases/pacing/desk')
  const desk = (await showDesk(school.deps, school.teacher)).value
  const plan = desk?.plans.find((p) => p.id === school.planId)
  if (!plan) throw new Error('a desk without the plan')
  return { plan }
}

describe('a lesson of a class’s own', () => {
  it('goes through the checks of a plan: lengths that would never end are refused', async () => {
    const school = await aSchool()
    for (const typical of [1e9, -5, 0, 0.1, 41])
      expect((await addOwn(school, { typical, max: typical })).error, String(typical)).toMatchObject({
        code: 'pacing/bad-length',
      })
    for (const typical of [1e308, 4, 2401])
      expect((await addOwn(school, { unit: 'minutes', min: 5, typical, max: typical })).error).toMatchObject({
        code: 'pacing/bad-length',
      })
    const record = await classById(school.deps.store.read, school.a.classId)
    expect(record?.pacing.added).toEqual({})
    expect((await addOwn(school, {})).ok).toBe(true)
  })

  it('has the id that it is kept under', async () => {
    const school = await aSchool()
    expect((await addOwn(school, {}, 'own', 'other')).error?.code).toBe('pacing/unknown-lesson')
  })
})

describe('a record from outside', () => {
  it('is counted in halves of meetings', async () => {
    const school = await aSchool()
    const { plan } = await planned(school)
    const lessonId = plan.lessons[0]?.id as LessonId
    const held = [{ on: isoDay('2026-08-31'), startMinute: 540, halves: 2 }]
    const bad: readonly LessonRecord[] = [
      { outcome: 'under-way', held, moreHalves: 0.1 },
      {
        outcome: 'covered',
        held: [{ on: isoDay('2026-08-31'), startMinute: 540, halves: 199 }],
        moreHalves: 0,
      },
      { outcome: 'covered', held: [], moreHalves: 0 },
    ]
    for (const to of bad)
      expect(
        (
          await doCommand(school.deps, school.teacher, {
            kind: 'lesson',
            classId: school.a.classId,
            lessonId,
            part: 'records',
            from: null,
            to,
          })
        ).error?.code,
      ).toBe('pacing/bad-record')
  })
})

describe('outside text', () => {
  it('is not matched where a cell is longer than anything it may hold', () => {
    const began = performance.now()
    expect(parsePlanTable(`Number,Usual\na,1${' '.repeat(20_000)}x`).error).toEqual({
      code: 'formats/cell-too-long',
      field: 'text',
      line: 2,
      most: 1000,
    })
    expect(parsePlanTable(`Number,Usual\na,${'min'.repeat(60_000)}`).error?.code).toBe(
      'formats/cell-too-long',
    )
    expect(parsePlanTable(`Number,Usual\na,1${' '.repeat(900)}x`).value?.bad[0]?.fault).toBe('bad-length')
    const groups = Array.from({ length: 21 }, (_, i) => `g${i}`).join('; ')
    expect(parseRoster(`Name,Groups\nAna Reyes,${groups}`).value?.bad).toEqual([
      { line: 2, fault: 'too-many-groups', text: 'Ana Reyes' },
    ])
    // generous: it took minutes
    expect(performance.now() - began).toBeLessThan(5000)
  })

  it('of 4,900 rows is a roster like any other', async () => {
    const school = await aSchool()
    const text = Array.from({ length: 4900 }, (_, i) => `Learner ${i}`).join('\n')
    const added = await addRoster(school.deps, school.teacher, {
      classId: school.a.classId,
      text,
      skipBad: false,
    })
    expect(added.value?.added).toBe(4900)
  })
})
