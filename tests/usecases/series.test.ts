import { describe, expect, it } from 'vitest'
import { asId, isoDay, mustBeOk } from '#core/base'
import type { ResourceId, SeriesId } from '#core/base'
import type { Series } from '#core/series'
import { addResources, assignmentsFor, learnerWorkOf } from '#db/repositories'
import { startTry } from '#usecases/learning/tries'
import { redo, undo } from '#usecases/journal/journal'
import { changeSeries, makeSeries } from '#usecases/series/keepSeries'
import { clearSeries, releaseSeries, removeSeries } from '#usecases/series/releaseSeries'
import { showSeries } from '#usecases/series/showSeries'
import { giveMore } from '#usecases/work/giveMore'
import { aCheck, at, only, rules, single } from '../support/made'
import { aSchool } from '../support/world'
import type { TestSchool } from '../support/world'

/** A school with four pieces to hand out, and the series of them, each meeting from the 7th on (Mon, Wed, Fri). */
async function aRun(): Promise<TestSchool & { readonly series: Series }> {
  const school = await aSchool()
  const list = ['one', 'two', 'three', 'four'].map((id) => asId<ResourceId>(id))
  await school.deps.store.write((tx) =>
    addResources(
      tx,
      list.map((id, position) => ({
        resource: aCheck([single('1')], { id, title: `Words ${id}` }),
        schoolId: null,
        ownerId: null,
        bookId: null,
        bookLessonId: null,
        position,
        isShared: true,
        revision: 1,
      })),
    ),
  )
  const series: Series = {
    title: 'Words',
    classId: school.a.classId,
    rule: { kind: 'meetings', from: isoDay('2026-09-07'), every: 1, stays: null },
    rows: list.map((resourceId, i) => ({ id: `r${i + 1}`, resourceId, own: {}, others: [] })),
    targets: [{ kind: 'class', classId: school.a.classId }],
    rules: rules(),
  }
  return { ...school, series }
}
const shown = async ({ deps, teacher, a }: TestSchool) =>
  mustBeOk(await showSeries(deps, teacher, { classId: a.classId }), 'show')
const made = async (school: TestSchool & { readonly series: Series }): Promise<SeriesId> =>
  mustBeOk(await makeSeries(school.deps, school.teacher, { series: school.series }), 'make').seriesId
const release = async (school: TestSchool, seriesId: SeriesId, version: number) =>
  mustBeOk(await releaseSeries(school.deps, school.teacher, { seriesId, version }), 'release')
/** Each learner's windows by title, as days. */
async function windows(school: TestSchool, learner = school.ann) {
  const { deps, teacher, a } = school
  const works = await assignmentsFor(deps.store.read, teacher.schoolId, teacher.userId, [a.classId])
  const rows = await learnerWorkOf(
    deps.store.read,
    works.filter((w) => w.state === 'published').map((w) => w.id),
  )
  return Object.fromEntries(
    rows
      .filter((r) => r.learnerId === learner.userId)
      .map((r) => [works.find((w) => w.id === r.assignmentId)?.title, [r.terms.opens, r.terms.closes]]),
  )
}

describe('a series of a class', () => {
  it('is released at once, each row as work of its own with contiguous windows', async () => {
    const school = await aRun()
    const id = await made(school)
    expect(await windows(school)).toEqual({})
    expect(await release(school, id, 1)).toEqual({ seriesId: id, rows: 4, version: 2 })
    expect(await windows(school)).toEqual({
      'Words one': [at('09-07T06:00'), at('09-09T06:00')],
      'Words two': [at('09-09T06:00'), at('09-11T06:00')],
      'Words three': [at('09-11T06:00'), at('09-14T06:00')],
      'Words four': [at('09-14T06:00'), at('09-16T06:00')],
    })
    const [kept] = (await shown(school)).series
    expect(kept?.rows.map((r) => [r.rowId, r.state, r.learners, r.begun])).toEqual(
      ['r1', 'r2', 'r3', 'r4'].map((rowId) => [rowId, 'published', 2, 0]),
    )
    const again = await releaseSeries(school.deps, school.teacher, { seriesId: id, version: 2 })
    expect(again.error?.code).toBe('series/nothing-to-release')
  })

  it('does not release a row without a day, and lets somebody have other days', async () => {
    const school = await aRun()
    const { ben } = school
    const others = [
      {
        target: { kind: 'learner' as const, learnerId: ben.userId },
        days: { throughOn: isoDay('2026-09-20') },
      },
    ]
    const rows = school.series.rows.map((r) =>
      r.id === 'r2' ? { ...r, own: { throughOn: null } } : r.id === 'r1' ? { ...r, others } : r,
    )
    const id = await made({ ...school, series: { ...school.series, rows } })
    expect((await release(school, id, 1)).rows).toBe(3)
    expect(Object.keys(await windows(school))).not.toContain('Words two')
    expect((await windows(school, ben))['Words one']).toEqual([at('09-07T06:00'), at('09-21T06:00')])
    expect((await windows(school))['Words one']).toEqual([at('09-07T06:00'), at('09-09T06:00')])
  })

  it('gives a row to some alone, and to nobody who is not in the class', async () => {
    const school = await aRun()
    const { deps, teacher, ben, cleo } = school
    const onlyFor = (learnerId: typeof ben.userId) => ({
      ...school.series,
      rows: school.series.rows.map((r) =>
        r.id === 'r1' ? { ...r, only: [{ kind: 'learner' as const, learnerId }] } : r,
      ),
    })
    const refused = await makeSeries(deps, teacher, { series: onlyFor(cleo.userId) })
    expect(refused.error?.code).toBe('series/not-in-class')
    const id = await made({ ...school, series: onlyFor(ben.userId) })
    await release(school, id, 1)
    expect(Object.keys(await windows(school)).sort()).toEqual(['Words four', 'Words three', 'Words two'])
    expect(Object.keys(await windows(school, ben))).toContain('Words one')
  })

  it('moves the windows of its work when its start moves, as one step that is taken back', async () => {
    const school = await aRun()
    const { deps, teacher, series } = school
    const seriesId = await made(school)
    await release(school, seriesId, 1)
    const before = await windows(school)
    const later: Series = {
      ...series,
      rule: { ...series.rule, from: isoDay('2026-09-09') } as Series['rule'],
    }
    const change = { seriesId, version: 2, series: later }
    expect(mustBeOk(await changeSeries(deps, teacher, change), 'change').rows).toBe(4)
    expect((await windows(school))['Words one']).toEqual([at('09-09T06:00'), at('09-11T06:00')])
    expect((await changeSeries(deps, teacher, change)).error?.code).toBe('access/changed-meanwhile')
    const back = mustBeOk(await undo(deps, teacher), 'undo')
    expect(back?.steps.undo).toMatchObject({ kind: 'series', what: 'released', title: 'Words', rows: 4 })
    expect(await windows(school)).toEqual(before)
    mustBeOk(await redo(deps, teacher), 'redo')
    expect((await windows(school))['Words one']).toEqual([at('09-09T06:00'), at('09-11T06:00')])
  })

  it('leaves to learners what they were given besides when its start moves', async () => {
    const school = await aRun()
    const { deps, teacher, series, ann } = school
    const seriesId = await made(school)
    await release(school, seriesId, 1)
    const first = (await shown(school)).series[0]?.rows[0]
    const more = { kind: 'until' as const, on: isoDay('2026-09-30') }
    const given = { assignmentId: first!.assignmentId, learnerIds: [ann.userId], more }
    mustBeOk(await giveMore(deps, teacher, given), 'more time')
    const later: Series = {
      ...series,
      rule: { ...series.rule, from: isoDay('2026-09-09') } as Series['rule'],
    }
    mustBeOk(await changeSeries(deps, teacher, { seriesId, version: 2, series: later }), 'later')
    expect((await windows(school))['Words one']).toEqual([at('09-09T06:00'), at('10-01T06:00')])
    expect((await windows(school, school.ben))['Words one']).toEqual([at('09-09T06:00'), at('09-11T06:00')])
  })

  it('is cleared but for what learners have begun, and all of it comes back', async () => {
    const school = await aRun()
    const { deps, teacher, clock, ann } = school
    const seriesId = await made(school)
    await release(school, seriesId, 1)
    clock.set(at('09-07T15:00'))
    const first = (await shown(school)).series[0]?.rows[0]
    mustBeOk(await startTry(deps, ann, only(first!.assignmentId)), 'start')
    const begun = await changeSeries(deps, teacher, {
      seriesId,
      version: 2,
      series: { ...school.series, rows: school.series.rows.slice(1) },
    })
    expect(begun.error).toMatchObject({ code: 'series/row-begun', row: 1, title: 'Words one' })
    expect(mustBeOk(await clearSeries(deps, teacher, { seriesId, version: 2 }), 'clear').rows).toBe(3)
    expect(Object.keys(await windows(school))).toEqual(['Words one'])
    expect((await removeSeries(deps, teacher, { seriesId, version: 3 })).error?.code).toBe(
      'series/still-released',
    )
    mustBeOk(await undo(deps, teacher), 'undo')
    expect(Object.keys(await windows(school))).toHaveLength(4)
    expect((await shown(school)).series[0]?.rows).toHaveLength(4)
  })

  it('is removed while nothing of it is released, and is there again after undo', async () => {
    const school = await aRun()
    const { deps, teacher } = school
    const seriesId = await made(school)
    mustBeOk(await removeSeries(deps, teacher, { seriesId, version: 1 }), 'remove')
    expect((await shown(school)).series).toEqual([])
    mustBeOk(await undo(deps, teacher), 'undo')
    expect((await shown(school)).series[0]?.series).toEqual(school.series)
    mustBeOk(await undo(deps, teacher), 'undo made')
    expect((await shown(school)).series).toEqual([])
  })

  it('names what is wrong with it, and keeps nothing then', async () => {
    const school = await aRun()
    const { deps, teacher, series, cleo } = school
    const code = async (part: Partial<Series>) =>
      (await makeSeries(deps, teacher, { series: { ...series, ...part } })).error?.code
    expect(
      await code({ rule: { kind: 'meetings', from: isoDay('2026-09-07'), every: 0, stays: null } }),
    ).toBe('series/bad-step')
    expect(await code({ rows: [...series.rows, { ...series.rows[0]!, id: 'again' }] })).toBe(
      'series/same-piece-twice',
    )
    expect(await code({ targets: [{ kind: 'learner', learnerId: cleo.userId }] })).toBe('series/not-in-class')
    expect(await code({ rows: [{ ...series.rows[0]!, resourceId: asId<ResourceId>('nowhere') }] })).toBe(
      'access/not-found',
    )
    expect((await shown(school)).series).toEqual([])
  })

  it('is for those who run the class', async () => {
    const school = await aRun()
    const { deps, stranger, series } = school
    const seriesId = await made(school)
    const of = { seriesId, version: 1 }
    expect((await makeSeries(deps, stranger, { series })).error?.code).toBe('access/not-found')
    expect((await releaseSeries(deps, stranger, of)).error?.code).toBe('access/not-found')
    expect((await clearSeries(deps, stranger, of)).error?.code).toBe('access/not-found')
    expect((await removeSeries(deps, stranger, of)).error?.code).toBe('access/not-found')
    expect((await changeSeries(deps, stranger, { ...of, series })).error?.code).toBe('access/not-found')
    expect((await showSeries(deps, stranger, { classId: school.a.classId })).error?.code).toBe(
      'access/not-found',
    )
  })
})
