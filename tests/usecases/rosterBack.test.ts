import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { UserId } from '#core/base'
import { groupsOf } from '#db/repositories'
import { listMyWork } from '#usecases/learning/myWork'
import { redo, undo } from '#usecases/journal/journal'
import { showClass } from '#usecases/teaching/classes'
import { addRoster } from '#usecases/teaching/roster'
import { aColleague, aSchool, publish, rosterOf } from '../support/world'
import type { TestSchool } from '../support/world'

const TEXT = 'name,groups,grade\nAnn Ash,Lab leads,8\nDora Dill,Lab leads;Late bus,7\nEd Elm,,\n'
async function withRoster() {
  const school = await aSchool()
  const { deps, teacher, a } = school
  await publish(school)
  const first = 'name,groups\nBen Birch,Late bus\n'
  mustBeOk(await addRoster(deps, teacher, { classId: a.classId, text: first, skipBad: false }), 'first')
  const before = await standing(school)
  mustBeOk(await addRoster(deps, teacher, { classId: a.classId, text: TEXT, skipBad: false }), 'add')
  return { school, before, after: await standing(school) }
}

/** Who is in the class with their grades, and who is in which of its groups. */
async function standing({ deps, teacher, a }: TestSchool) {
  const page = mustBeOk(await showClass(deps, teacher, a.classId), 'class')
  const nameOf = new Map(page.learners.map((l) => [l.id, l.name]))
  const groups = await groupsOf(deps.store.read, [a.classId])
  const namesIn = (ids: readonly UserId[]) => ids.map((id) => nameOf.get(id)).sort()
  return {
    learners: page.learners.map((l) => `${l.name} ${l.grade ?? '-'}`).sort(),
    groups: groups.map((g) => `${g.name}: ${namesIn(g.learnerIds).join(', ')}`).sort(),
  }
}

describe('learners who came by a table', () => {
  it('go again with their groups and grades, and come once more', async () => {
    const { school, before, after } = await withRoster()
    const { deps, teacher } = school
    expect(after.learners).toEqual(['Ann Ash 8', 'Ben Birch -', 'Dora Dill 7', 'Ed Elm -'])
    expect(after.groups).toEqual(['Lab leads: Ann Ash, Dora Dill', 'Late bus: Ben Birch, Dora Dill'])
    for (const _ of ['once', 'and again']) {
      mustBeOk(await undo(deps, teacher), 'undo')
      expect(await standing(school)).toEqual(before)
      mustBeOk(await redo(deps, teacher), 'redo')
      expect(await standing(school)).toEqual(after)
    }
  })

  it('have their work while they are there, and a colleague cannot take back what somebody else did', async () => {
    const { school, after } = await withRoster()
    const { deps, teacher, a } = school
    const dora = (await rosterOf(school, a.classId)).find((l) => l.name === 'Dora Dill')
    if (!dora) throw new Error('Dora came')
    const work = async () => mustBeOk(await listMyWork(deps, { ...school.ann, userId: dora.id }), 'work').work
    expect(await work()).toHaveLength(1)
    await undo(deps, await aColleague(school))
    expect(await standing(school)).toEqual(after)
    mustBeOk(await undo(deps, teacher), 'undo')
    expect(await work()).toHaveLength(0)
    mustBeOk(await redo(deps, teacher), 'redo')
    expect(await work()).toHaveLength(1)
  })

  it('keep a grade that was set since, and a group that others came into', async () => {
    const { school } = await withRoster()
    const { deps, teacher, a } = school
    const text = 'name,groups,grade\nBen Birch,Lab leads,\nAnn Ash,,6\n'
    mustBeOk(await addRoster(deps, teacher, { classId: a.classId, text, skipBad: false }), 'since')
    mustBeOk(await undo(deps, teacher), 'of the second')
    mustBeOk(await redo(deps, teacher), 'of the second')
    const now = await standing(school)
    expect(now.groups).toContain('Lab leads: Ann Ash, Ben Birch, Dora Dill')
    expect(now.learners).toContain('Ann Ash 6')
  })
})
