import { expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import { NO_ABOUT } from '#core/work'
import { passOver, showHistory, undo } from '#usecases/journal/journal'
import { keepFiling, showFiling } from '#usecases/filing/keepFiling'
import { aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

/** Headings of class B, as somebody keeps them. */
async function head(school: TestSchool, who: TestSchool['teacher'], ...headings: readonly string[]) {
  const of = { classId: school.b.classId }
  const { version } = mustBeOk(await showFiling(school.deps, who, of), 'show')
  const filing = { headings, categories: [] }
  mustBeOk(await keepFiling(school.deps, who, { ...of, version, filing, renamed: [] }), 'keep')
}

/** An act that a colleague changed since, behind one that nobody touched. */
async function blocked() {
  const school = await aSchool()
  const colleague = await aColleague(school)
  await publish(school, { title: 'Work', about: NO_ABOUT })
  await head(school, school.teacher, 'Mine')
  await head(school, colleague, 'Theirs')
  return { ...school, colleague }
}

it('an act that can be taken back no longer is passed over, and stays in the history', async () => {
  const school = await blocked()
  const { deps, teacher } = school
  expect((await undo(deps, teacher)).error?.code).toBe('work/changed-since')
  const passed = mustBeOk(await passOver(deps, teacher), 'pass')
  expect(passed?.steps.undo).toMatchObject({ kind: 'work', what: 'published', title: 'Work' })
  mustBeOk(await undo(deps, teacher), 'undo')
  const { acts } = mustBeOk(await showHistory(deps, teacher), 'history')
  expect(acts.map((a) => [a.command.kind, a.undone, a.mayUndo])).toEqual([
    ['filing', false, false],
    ['filing', false, false],
    ['work', true, false],
  ])
  expect(
    mustBeOk(await showFiling(deps, teacher, { classId: school.b.classId }), 'show').filing.headings,
  ).toEqual(['Theirs'])
})

it('one’s own act is taken back from the history, whatever was done since; nobody else’s is', async () => {
  const school = await blocked()
  const { deps, teacher, colleague } = school
  const { acts } = mustBeOk(await showHistory(deps, teacher), 'history')
  const work = acts.find((a) => a.command.kind === 'work')
  expect(work?.mayUndo).toBe(true)
  expect(await undo(deps, colleague, work?.seq ?? 0)).toEqual({ ok: true, value: null })
  mustBeOk(await undo(deps, teacher, work?.seq ?? 0), 'undo')
  const after = mustBeOk(await showHistory(deps, teacher), 'history').acts
  expect(after.find((a) => a.seq === work?.seq)).toMatchObject({ undone: true, mayUndo: false })
})
