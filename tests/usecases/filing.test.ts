import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import { NO_ABOUT } from '#core/work'
import { showGrid } from '#usecases/evidence/evidence'
import { keepFiling, showFiling } from '#usecases/filing/keepFiling'
import { listMyWork } from '#usecases/learning/myWork'
import { redo, undo } from '#usecases/journal/journal'
import { aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const FILING = {
  headings: ['Checks', 'Practice'],
  categories: [
    { name: 'Small', weight: 30, most: null },
    { name: 'Tests', weight: 70, most: null },
  ],
}
async function filed() {
  const school = await aSchool()
  const { a, b, deps, teacher } = school
  const about = { ...NO_ABOUT, heading: 'Checks', category: 'Small' }
  const onlyA = [{ target: { kind: 'class' as const, classId: a.classId }, overrides: {} }]
  await publish(school, { about, targets: onlyA })
  await publish(school, { about, title: 'Both' })
  const first = { classId: a.classId, version: 0, filing: FILING, renamed: [] }
  mustBeOk(await keepFiling(deps, teacher, first), 'keep')
  return { ...school, classIds: [a.classId, b.classId] }
}
const shown = async ({ deps, teacher, a }: TestSchool) =>
  mustBeOk(await showFiling(deps, teacher, { classId: a.classId }), 'show')

describe('headings and categories of a class', () => {
  it('are kept in their order, with how much work is under each, and reach learners and the grid', async () => {
    const school = await filed()
    const { deps, teacher, ann, a } = school
    const { filing, version, headings, categories } = await shown(school)
    expect([filing, version]).toEqual([FILING, 1])
    expect([headings, categories]).toEqual([[{ name: 'Checks', count: 2 }], [{ name: 'Small', count: 2 }]])
    expect(mustBeOk(await listMyWork(deps, ann), 'mine').headings).toEqual(['Checks', 'Practice'])
    const grid = mustBeOk(await showGrid(deps, teacher, a.classId), 'grid')
    expect(grid.categories).toEqual(FILING.categories)
    expect(grid.wholes.map((w) => w.ratio)).toEqual([null, null])
  })

  it('take their work along when they get another name, and bring all of it back', async () => {
    const school = await filed()
    const { deps, teacher, a } = school
    const filing = { ...FILING, headings: ['Quick checks', 'Practice'] }
    const renamed = [{ part: 'heading' as const, from: 'Checks', to: 'Quick checks' }]
    const change = { classId: a.classId, version: 1, filing, renamed }
    // what goes to the other class, too, keeps the name that it has there
    expect(mustBeOk(await keepFiling(deps, teacher, change), 'rename').works).toBe(1)
    const names = async () => (await shown(school)).headings.map((h) => `${h.name} ${h.count}`).sort()
    expect(await names()).toEqual(['Checks 1', 'Quick checks 1'])
    expect((await keepFiling(deps, teacher, change)).error?.code).toBe('access/changed-meanwhile')
    const back = mustBeOk(await undo(deps, teacher), 'undo')
    expect(back?.steps.redo).toMatchObject({ kind: 'filing', works: 1 })
    expect(await names()).toEqual(['Checks 2'])
    expect((await shown(school)).filing).toEqual(FILING)
    mustBeOk(await redo(deps, teacher), 'redo')
    expect(await names()).toEqual(['Checks 1', 'Quick checks 1'])
  })

  it('name who changed them, and not who did something else in the class since', async () => {
    const school = await filed()
    const { deps, teacher, b } = school
    const carla = await aColleague(school)
    const of = { classId: b.classId, version: 0, renamed: [] }
    mustBeOk(await keepFiling(deps, carla, { ...of, filing: FILING }), 'hers')
    await publish(school, { title: 'Since then' })
    const late = await keepFiling(deps, teacher, { ...of, filing: { ...FILING, headings: [] } })
    expect(late.error).toMatchObject({ by: { isSelf: false, name: 'Carla' } })
  })

  it('are said to be changed only by who runs the class, and count names in whatever case as one', async () => {
    const school = await filed()
    const { deps, teacher, a } = school
    await publish(school, { about: { ...NO_ABOUT, heading: 'checks ' }, title: 'Third' })
    const { headings, mayChange } = await shown(school)
    expect(headings.map((h) => h.count)).toEqual([3])
    const lead = { ...teacher, userId: school.stranger.userId, role: 'lead' as const, office: false }
    const seen = mustBeOk(await showFiling(deps, lead, { classId: a.classId }), 'lead')
    expect([mayChange, seen.mayChange]).toEqual([true, false])
  })

  it('are refused with a name twice or a weight below nothing, and for who does not run the class', async () => {
    const { deps, teacher, stranger, a } = await filed()
    const keep = (filing: typeof FILING, who = teacher) =>
      keepFiling(deps, who, { classId: a.classId, version: 1, filing, renamed: [] })
    expect((await keep({ ...FILING, headings: ['A', 'a'] })).error?.code).toBe('filing/name-twice')
    const below = [{ name: 'Small', weight: -1, most: null }]
    expect((await keep({ ...FILING, categories: below })).error?.code).toBe('filing/bad-weight')
    expect((await keep(FILING, stranger)).error?.code).toBe('access/not-found')
    expect((await showFiling(deps, stranger, { classId: a.classId })).error?.code).toBe('access/not-found')
  })
})
