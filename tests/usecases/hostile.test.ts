import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { DayNote } from '#core/calendar'
import type { LessonId } from '#core/base'
import type { LessonLength, LessonRecord, PacingCommand } from '#core/pacing'
import { parsePlanTable, parseRoster } from '#core/formats'
import { classById } from '#db/repositories'
import { DoCommand } from '#shared/contracts/pacing'
import { undo } from '#usecases/journal/journal'
import { doCommand } from '#usecases/pacing/doCommand'
import { previewRipple } from '#usecases/pacing/previewRipple'
import { addRoster } from '#usecases/teaching/roster'
import { makeYear } from '#usecases/teaching/years'
import { cpuMs } from '../support/cpu'
import { aLesson, aYear, closure, ids } from '../support/made'
import { aColleague, aSchool } from '../support/world'
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
  const plan = desk.plans.find((p) => p.id === school.planId)
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
    expect((await addOwn(school, {}, 'own', 'other')).error?.code).toBe('pacing/ids-disagree')
  })
})

describe('a note from outside', () => {
  const noted = (school: TestSchool, from: DayNote | null, to: DayNote | null, yearId = school.yearId) =>
    ({ kind: 'note', yearId, from, to }) as const
  const ofClassB = (school: TestSchool, id: string) =>
    closure('2026-10-12', '2026-10-12', { id, name: 'Trip', classIds: [school.b.classId] })

  it('keeps nobody from setting theirs by taking its id', async () => {
    const school = await aSchool()
    const carla = await aColleague(school)
    const hers = ofClassB(school, 'n1')
    mustBeOk(await doCommand(school.deps, carla, noted(school, null, hers)), 'hers')
    const office = closure('2026-10-13', '2026-10-13', { id: 'n1', name: 'Fair' })
    const done = mustBeOk(await doCommand(school.deps, school.teacher, noted(school, null, office)), 'office')
    expect(done.year?.notes.map((n) => n.name)).toEqual(['Trip', 'Fair'])
    expect(new Set(done.year?.notes.map((n) => n.id)).size).toBe(2)
    // the same act again is known, and both can be taken back
    expect((await doCommand(school.deps, carla, noted(school, null, hers))).error?.code).toBe(
      'pacing/changed-meanwhile',
    )
    mustBeOk(await undo(school.deps, school.teacher), 'undo')
    const left = mustBeOk(await undo(school.deps, carla), 'undo hers')
    expect(left?.year?.notes).toEqual([])
  })

  it('cannot turn into another one, or name classes of another school', async () => {
    const school = await aSchool()
    const mine = closure('2026-10-13', '2026-10-13', { id: 'n1', name: 'Fair' })
    mustBeOk(await doCommand(school.deps, school.teacher, noted(school, null, mine)), 'mine')
    const other = { ...mine, id: 'n2' }
    expect((await doCommand(school.deps, school.teacher, noted(school, mine, other))).error?.code).toBe(
      'pacing/ids-disagree',
    )
    const foreign = { ...mine, classIds: [ids.class('elsewhere')] }
    expect((await doCommand(school.deps, school.teacher, noted(school, mine, foreign))).error).toEqual({
      code: 'access/not-found',
      what: 'class',
    })
  })

  it('is one of at most 400 in an act; as many as that are done while others are answered', async () => {
    const school = await aSchool()
    const many = (count: number): PacingCommand => ({
      kind: 'together',
      purpose: { code: 'fit' },
      commands: Array.from({ length: count }, (_, i) =>
        noted(school, null, closure('2026-10-13', '2026-10-13', { id: `n${i}` })),
      ),
    })
    expect((await doCommand(school.deps, school.teacher, many(4000))).error).toEqual({
      code: 'pacing/too-many',
      field: 'notes',
      count: 4000,
      most: 400,
    })
    const before = cpuMs()
    mustBeOk(await doCommand(school.deps, school.teacher, many(400)), '400 notes')
    // generous: 4,000 took a minute and a half
    expect(cpuMs() - before).toBeLessThan(5000)
  })

  it('of two years in one act is refused: each year has its own', async () => {
    const school = await aSchool()
    const { id: _, ...year } = aYear({ name: 'next' })
    const { yearId } = mustBeOk(await makeYear(school.deps, school.teacher, year), 'year')
    const commands = [school.yearId, yearId].map((of, i) =>
      noted(school, null, closure('2026-10-13', '2026-10-13', { id: `n${i}` }), of),
    )
    const both: PacingCommand = { kind: 'together', purpose: { code: 'fit' }, commands }
    expect((await doCommand(school.deps, school.teacher, both)).error).toEqual({
      code: 'pacing/two-years',
      field: 'commands',
    })
  })
})

describe('a ripple of what no plan could have', () => {
  it('is refused before anything is laid out', async () => {
    const school = await aSchool()
    const { plan } = await planned(school)
    const unitId = plan.units[0]?.id
    if (!unitId) throw new Error('a plan without units')
    const endless = { unit: 'meetings', min: 0.5, typical: 1e9, max: 1e9 } as const
    const change: PacingCommand = {
      kind: 'lesson',
      classId: school.a.classId,
      lessonId: ids.lesson('own'),
      part: 'added',
      from: null,
      to: aLesson('own', 1, { unitId, length: endless }),
    }
    expect((await previewRipple(school.deps, school.teacher, change)).error?.code).toBe('pacing/bad-length')
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
    const before = cpuMs()
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
    expect(cpuMs() - before).toBeLessThan(5000)
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

describe('an act of very many changes', () => {
  it('is looked at by kind, and says of each fault where it is and nothing of the other kinds', () => {
    const note = { kind: 'note', yearId: 'y', from: null, to: { id: 'n', name: 'x' } }
    const commands = Array.from({ length: 4000 }, () => note)
    const parsed = DoCommand.body.safeParse({ kind: 'together', purpose: { code: 'fit' }, commands })
    expect(parsed.error?.issues.every((issue) => issue.code !== 'invalid_union')).toBe(true)
    expect(parsed.error?.issues[0]?.path.slice(0, 3)).toEqual(['commands', 0, 'to'])
  })
})
