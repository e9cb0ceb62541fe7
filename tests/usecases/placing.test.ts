import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { Target } from '#core/audience'
import type { ToLay } from '#core/placing'
import { redo, undo } from '#usecases/journal/journal'
import { layPieces, movePlaced, takePlaced } from '#usecases/placing/place'
import { showPlacing } from '#usecases/placing/showPlacing'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { anchored, aDraft, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const day = (n: number) => isoDay(`2026-09-${String(n).padStart(2, '0')}`)
const classOf = (room: TestSchool['a']): Target => ({ kind: 'class', classId: room.classId })
/** A meets Mon, Wed, Fri; B on Tue and Thu: 7 September is a Monday. */
async function laid(on = 7, stays: number | null = 1) {
  const school = await aSchool()
  const targets = [classOf(school.a), classOf(school.b)]
  const pieces: readonly ToLay[] = [{ resourceId: school.check, on: day(on) }]
  mustBeOk(await layPieces(school.deps, school.teacher, { targets, pieces, stays }), 'lay')
  return { ...school, targets }
}
async function seen({ deps, teacher, targets }: Awaited<ReturnType<typeof laid>>) {
  const of = { targets, from: day(1), through: day(30) }
  return mustBeOk(await showPlacing(deps, teacher, of), 'show')
}
const lies = async (school: Awaited<ReturnType<typeof laid>>) =>
  (await seen(school)).stones.map((s) =>
    s.at.map((a) => `${a.opensOn.slice(8)}-${a.throughOn?.slice(8) ?? ''}${a.isOwn ? ' own' : ''}`),
  )
async function theOnly(school: Awaited<ReturnType<typeof laid>>) {
  const [stone] = (await seen(school)).stones
  if (!stone) throw new Error('nothing lies there')
  return { assignmentId: stone.assignmentId, version: stone.version }
}

describe('pieces laid on days', () => {
  it('are held work, seen for each class with its own last day, and one undo takes all of them back', async () => {
    const school = await laid()
    const shown = await seen(school)
    expect(shown.stones[0]).toMatchObject({ state: 'held', begun: 0, resourceIds: [school.check] })
    expect(shown.columns.map((c) => [c.name, c.learners, c.meetingDays.slice(0, 2)])).toEqual([
      ['Class A', 2, ['2026-09-02', '2026-09-04']],
      ['Class B', 1, ['2026-09-01', '2026-09-03']],
    ])
    expect(await lies(school)).toEqual([['07-09', '07-08']])
    const pieces = [8, 9].map((n) => ({ resourceId: school.check, on: day(n) }))
    mustBeOk(
      await layPieces(school.deps, school.teacher, { targets: school.targets, pieces, stays: null }),
      'lay',
    )
    expect(await lies(school)).toHaveLength(3)
    mustBeOk(await undo(school.deps, school.teacher), 'undo')
    expect(await lies(school)).toEqual([['07-09', '07-08']])
  })

  it('move together, or one alone, and are taken from one or from all', async () => {
    const school = await laid()
    const { deps, teacher } = school
    const [a, b] = school.targets
    const move = async (target: Target, on: number, alone: boolean) =>
      mustBeOk(
        await movePlaced(deps, teacher, { ...(await theOnly(school)), target, on: day(on), alone }),
        'move',
      )
    await move(b!, 8, false)
    expect(await lies(school)).toEqual([['08-09', '08-10']])
    await move(b!, 15, true)
    expect(await lies(school)).toEqual([['08-09', '15-17 own']])
    mustBeOk(await takePlaced(deps, teacher, { ...(await theOnly(school)), target: a! }), 'take')
    expect(await lies(school)).toEqual([['15-17 own']])
    mustBeOk(await undo(deps, teacher), 'undo')
    expect(await lies(school)).toEqual([['08-09', '15-17 own']])
    mustBeOk(await takePlaced(deps, teacher, { ...(await theOnly(school)), target: null }), 'take')
    expect(await lies(school)).toEqual([])
    mustBeOk(await undo(deps, teacher), 'undo')
    mustBeOk(await redo(deps, teacher), 'redo')
    expect(await lies(school)).toEqual([])
  })

  it('lie for groups, too, by the days of their class', async () => {
    const school = await laid()
    const { deps, teacher, a, ann, check } = school
    const group = { classId: a.classId, groupId: null, name: 'Ants', learnerIds: [ann.userId], rule: null }
    const { groupId } = mustBeOk(await keepGroup(deps, teacher, group), 'group')
    const targets: Target[] = [{ kind: 'group', groupId }]
    const pieces = [{ resourceId: check, on: day(8) }]
    mustBeOk(await layPieces(deps, teacher, { targets, pieces, stays: 1 }), 'lay')
    const ofGroup = { ...school, targets }
    expect(await lies(ofGroup)).toEqual([['08-09']])
    expect((await seen(ofGroup)).columns[0]).toMatchObject({ name: 'Ants, Class A', learners: 1 })
  })

  it('lie for learners, too; their class’s column says for whom, where the class has them not then', async () => {
    const school = await laid()
    const { deps, teacher, a, ann, ben, check } = school
    const learner = (who: typeof ann): Target => ({ kind: 'learner', learnerId: who.userId })
    const pieces = [{ resourceId: check, on: day(8) }]
    mustBeOk(await layPieces(deps, teacher, { targets: [learner(ann)], pieces, stays: 1 }), 'lay')
    const ofAnn = { ...school, targets: [learner(ann)] }
    expect((await seen(ofAnn)).columns[0]).toMatchObject({ name: 'Ann Ash, Class A', learners: 1 })
    expect(await lies(ofAnn)).toEqual([['08-09']])
    const whose = async () =>
      (await seen({ ...school, targets: [classOf(a)] })).stones
        .flatMap((s) => s.at)
        .map((at) => `${at.opensOn.slice(8)} ${at.whose}${at.isByDays ? '' : ' fixed'}`.trim())
        .sort()
    expect(await whose()).toEqual(['07', '08 Ann Ash fixed'])
    // both of them on one day stand together
    mustBeOk(
      await layPieces(deps, teacher, { targets: [learner(ann), learner(ben)], pieces, stays: 1 }),
      'lay',
    )
    expect(await whose()).toEqual(['07', '08 Ann Ash fixed', '08 Ann Ash, Ben Birch fixed'])
  })

  it('do not move where they hang on a lesson', async () => {
    const school = await laid(7)
    const { deps, teacher, a, lesson } = school
    const window = { ...aDraft(school).window, opens: anchored(lesson('1.1'), 'first') }
    const id = await publish(school, { window, title: 'Hung' })
    const stone = (await seen(school)).stones.find((s) => s.assignmentId === id)
    // in class A it opens before the stretch
    expect(stone?.at.map((x) => [x.key, x.isByDays])).toEqual([[`class ${school.b.classId}`, false]])
    const move = { assignmentId: id, version: 1, target: classOf(a), on: day(9), alone: false }
    expect((await movePlaced(deps, teacher, move)).error).toMatchObject({
      code: 'placing/not-by-days',
      title: 'Hung',
    })
  })

  it('are refused for a stretch that ends before it begins, for nobody, and in classes of others', async () => {
    const school = await laid()
    const { deps, teacher, stranger, targets, check } = school
    const back = { targets, from: day(8), through: day(7) }
    expect((await showPlacing(deps, teacher, back)).error).toMatchObject({
      code: 'placing/bad-stretch',
      field: 'from',
    })
    const pieces = [{ resourceId: check, on: day(7) }]
    const lay = (who = teacher, whom = targets, what = pieces) =>
      layPieces(deps, who, { targets: whom, pieces: what, stays: 1 })
    expect((await lay(teacher, [])).error?.code).toBe('placing/nothing-to-lay')
    expect((await lay(teacher, targets, [])).error?.code).toBe('placing/nothing-to-lay')
    expect((await lay(stranger)).error?.code).toBe('access/not-found')
    const afterYear = [...pieces, { resourceId: check, on: isoDay('2027-07-07') }]
    expect((await lay(teacher, targets, afterYear)).error?.code).toBe('placing/outside-year')
    expect(await lies(school)).toHaveLength(1)
  })
})
