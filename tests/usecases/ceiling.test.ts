import { describe, expect, it } from 'vitest'
import type { Learner } from '#core/access'
import { isoDay, mustBeOk } from '#core/base'
import type { AssignmentId } from '#core/base'
import { NO_ABOUT } from '#core/work'
import { assignmentById } from '#db/repositories'
import { keepFiling } from '#usecases/filing/keepFiling'
import { listMyWork } from '#usecases/learning/myWork'
import { handIn, startTry } from '#usecases/learning/tries'
import { showLens } from '#usecases/lens/showLens'
import { listMyNotices } from '#usecases/notices/myNotices'
import { redo, undo } from '#usecases/journal/journal'
import { showNeeds } from '#usecases/week/showNeeds'
import { changeWork } from '#usecases/work/changeWork'
import { previewWork } from '#usecases/work/previewWork'
import { showWork } from '#usecases/work/showWork'
import { standOfRecipients } from '#usecases/work/standOfRecipients'
import { turnQueues } from '#usecases/settling/turnQueues'
import { withdrawWork } from '#usecases/work/withdrawWork'
import { P1, at } from '../support/made'
import { aDraft, aSchool, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const about = { ...NO_ABOUT, category: 'More practice' }
/** Learners of class A may have one piece of more practice open at once; Ann has one, Ben has handed his in. */
async function full() {
  const school = await aSchool()
  const targets = [{ target: { kind: 'class' as const, classId: school.a.classId }, overrides: {} }]
  await ceiling(school, 1)
  const first = await publish(school, { about, targets, title: 'First' })
  await handsIn(school, school.ben, first)
  return { ...school, targets, first }
}
async function ceiling({ deps, teacher, a }: TestSchool, most: number | null, version = 0) {
  const filing = { headings: [], categories: [{ name: 'more practice', weight: 0, most }] }
  return keepFiling(deps, teacher, { classId: a.classId, version, filing, renamed: [] })
}
async function handsIn({ deps }: TestSchool, who: Learner, assignmentId: AssignmentId) {
  const { attemptId } = mustBeOk(await startTry(deps, who, { assignmentId, pieceId: P1 }), 'start')
  mustBeOk(await handIn(deps, who, { attemptId, saves: [] }), 'hand in')
}
const titles = async ({ deps }: TestSchool, who: Learner) =>
  mustBeOk(await listMyWork(deps, who), 'mine')
    .work.map((w) => w.title)
    .sort()
const queued = async ({ deps, teacher }: TestSchool) =>
  mustBeOk(await showNeeds(deps, teacher, { mondayOn: isoDay('2026-08-31') }), 'needs').queued.map((q) => [
    q.title,
    q.waits,
    q.tooLate,
  ])

describe('a ceiling on open pieces', () => {
  it('lets those wait who are full, which is said before; it comes when they hand in, and they are told', async () => {
    const school = await full()
    const { deps, teacher, ann, ben, targets, first } = school
    const draft = aDraft(school, { about, targets, title: 'Second' })
    const preview = mustBeOk(await previewWork(deps, teacher, { assignmentId: null, draft }), 'preview')
    expect(preview.cautions).toContainEqual({
      code: 'waits',
      classId: school.a.classId,
      category: 'more practice',
      most: 1,
      learnerIds: [ann.userId],
    })
    const asked = { resourceIds: [], category: 'More practice' }
    const stand = mustBeOk(await standOfRecipients(deps, teacher, asked), 'stand').learners
    expect(stand.find((l) => l.id === ann.userId)?.open).toEqual({ pieces: 1, most: 1 })
    expect(stand.find((l) => l.id === ben.userId)?.open).toBeNull()
    await publish(school, { about, targets, title: 'Second' })
    expect([await titles(school, ann), await titles(school, ben)]).toEqual([['First'], ['First', 'Second']])
    expect(await queued(school)).toEqual([['Second', 1, 0]])
    const waitingOf = async (who: typeof ann) => mustBeOk(await listMyWork(deps, who), 'list').waiting
    expect([await waitingOf(ann), await waitingOf(ben)]).toEqual([1, 0])
    const lens = mustBeOk(await showLens(deps, teacher, { learnerId: ann.userId, at: null }), 'lens')
    expect(lens.rows.find((r) => r.title === 'Second')?.notThere).toEqual({ code: 'queued' })
    expect(await turnQueues(deps)).toBe(0)
    await handsIn(school, ann, first)
    expect(await turnQueues(deps)).toBe(1)
    expect(await titles(school, ann)).toEqual(['First', 'Second'])
    expect(await queued(school)).toEqual([])
    expect(await waitingOf(ann)).toBe(0)
    expect(mustBeOk(await listMyNotices(deps, ann), 'notices').notices[0]?.title).toBe('Second')
  })

  it('gives in the order in which it waits, as much as there is room for', async () => {
    const school = await full()
    const { deps, teacher, ann, targets, first } = school
    await publish(school, { about, targets, title: 'Second' })
    school.clock.set(at('09-01T13:00'))
    await publish(school, { about, targets, title: 'Third' })
    await handsIn(school, ann, first)
    await turnQueues(deps)
    expect(await titles(school, ann)).toEqual(['First', 'Second'])
    mustBeOk(await ceiling(school, 2, 1), 'more room')
    expect(await titles(school, ann)).toEqual(['First', 'Second', 'Third'])
    // less room takes nothing from who has it
    mustBeOk(await ceiling(school, 1, 2), 'less room')
    expect(await titles(school, ann)).toEqual(['First', 'Second', 'Third'])
    mustBeOk(await undo(deps, teacher), 'undo')
  })

  it('gives it all the same to whom the teacher names, as a step that can be taken back', async () => {
    const school = await full()
    const { deps, teacher, ann, targets } = school
    const second = await publish(school, { about, targets, title: 'Second' })
    const { version, draft } = mustBeOk(await showWork(deps, teacher, second), 'show')
    const change = {
      assignmentId: second,
      version,
      draft: { ...draft, overCeiling: [ann.userId] },
      publish: false,
    }
    mustBeOk(await changeWork(deps, teacher, change), 'change')
    expect(await titles(school, ann)).toEqual(['First', 'Second'])
    mustBeOk(await undo(deps, teacher), 'undo')
    const back = await assignmentById(deps.store.read, second)
    expect(back?.overCeiling).toEqual([])
    mustBeOk(await redo(deps, teacher), 'redo')
    expect(await titles(school, ann)).toEqual(['First', 'Second'])
  })

  it('tells what has ended while it waited, and waits for nothing that was withdrawn', async () => {
    const school = await full()
    const { deps, teacher, ann, targets, first } = school
    const window = { ...aDraft(school).window, due: through('2026-09-02'), closes: through('2026-09-02') }
    const second = await publish(school, { about, targets, title: 'Second', window })
    const third = await publish(school, { about, targets, title: 'Third' })
    school.clock.set(at('09-04T12:00'))
    // Ben had the second, which is over
    await turnQueues(deps)
    expect(await queued(school)).toEqual([
      ['Second', 0, 1],
      ['Third', 1, 0],
    ])
    const { version, draft } = mustBeOk(await showWork(deps, teacher, second), 'show')
    const seen = mustBeOk(await previewWork(deps, teacher, { assignmentId: second, draft }), 'preview')
    expect(seen.cautions).toContainEqual({
      code: 'waited-in-vain',
      classId: school.a.classId,
      learnerIds: [ann.userId],
    })
    const without = {
      assignmentId: second,
      version,
      draft: { ...draft, exceptIds: [ann.userId] },
      publish: false,
    }
    mustBeOk(await changeWork(deps, teacher, without), 'leave out')
    expect(await queued(school)).toEqual([['Third', 1, 0]])
    mustBeOk(await withdrawWork(deps, teacher, { assignmentId: first, version: 1 }), 'withdraw')
    await turnQueues(deps)
    expect(await titles(school, ann)).toEqual(['Third'])
    mustBeOk(await withdrawWork(deps, teacher, { assignmentId: third, version: 1 }), 'withdraw')
    expect(await queued(school)).toEqual([])
  })
})
