import { beforeEach, describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { AssignmentId, ItemId, ResourceId } from '#core/base'
import { draftOf } from '#core/work'
import { addResource, assignmentById, attemptsOf } from '#db/repositories'
import { showItems } from '#usecases/evidence/evidence'
import { redo, undo } from '#usecases/journal/journal'
import { showMyPiece } from '#usecases/learning/myPiece'
import { handIn, startTry } from '#usecases/learning/tries'
import { changeWork } from '#usecases/work/changeWork'
import { giveMore } from '#usecases/work/giveMore'
import { previewRegrade, regrade } from '#usecases/work/regrade'
import type { Mending } from '#usecases/work/regrade'
import { P1, aChange, aCheck, extended, only, piecesOf, rules, single } from '../support/made'
import { aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const CHECK = asId<ResourceId>('check')
const item = (name: string) => asId<ItemId>(name)
let school: TestSchool
let work: AssignmentId

/** Answers a try's questions by their options, without handing it in where `isOpen`. */
async function answers(who: TestSchool['ann'], ...choices: readonly string[]) {
  const { attemptId } = mustBeOk(await startTry(school.deps, who, only(work)), 'start')
  const saves = choices.map((choice, i) => aChange(`${i + 1}`, { kind: 'single', choice }))
  return { attemptId, saves }
}
async function does(who: TestSchool['ann'], ...choices: readonly string[]) {
  mustBeOk(await handIn(school.deps, who, await answers(who, ...choices)), 'in')
}
const versionNow = async () => (await assignmentById(school.deps.store.read, work))?.version ?? 0
const input = async (mending: Mending, itemId = item('1')) => ({
  assignmentId: work,
  pieceId: P1,
  itemId,
  version: await versionNow(),
  mending,
})
const ratios = async () =>
  new Map((await attemptsOf(school.deps.store.read, [work])).map((t) => [t.learnerId, t.score?.ratio]))
/** By the key 'b' is right. */
const RIGHT_IS_A: Mending = { kind: 'key', item: single('1', { right: 'a' }) }

beforeEach(async () => {
  school = await aSchool()
  const inBook = {
    schoolId: null,
    ownerId: null,
    bookId: null,
    bookLessonId: null,
    isShared: true,
    revision: 1,
    position: 0,
  }
  const resource = aCheck([single('1'), single('2')], { id: CHECK, code: 'ck1', title: 'The check' })
  await school.deps.store.write((tx) => addResource(tx, { resource, ...inBook }))
  work = await publish(school, { pieces: piecesOf(CHECK), title: 'The check' })
})

describe('a question put right after it was given', () => {
  it('says whose score changes before, changes it, and is taken back and done again', async () => {
    const { deps, teacher, ann, ben } = school
    await does(ann, 'a', 'b')
    await does(ben, 'b', 'b')
    const before = await ratios()
    expect([before.get(ann.userId), before.get(ben.userId)]).toEqual([0.5, 1])
    const preview = mustBeOk(await previewRegrade(deps, teacher, await input(RIGHT_IS_A)), 'preview')
    expect(preview).toEqual({
      tries: 2,
      changes: [
        { learnerId: ann.userId, name: 'Ann Ash', number: 1, before: 0.5, after: 1 },
        { learnerId: ben.userId, name: 'Ben Birch', number: 1, before: 1, after: 0.5 },
      ],
    })
    // looking changes nothing
    expect(await ratios()).toEqual(before)
    expect(mustBeOk(await regrade(deps, teacher, await input(RIGHT_IS_A)), 'regrade')).toEqual(preview)
    const after = await ratios()
    expect([after.get(ann.userId), after.get(ben.userId)]).toEqual([1, 0.5])
    mustBeOk(await undo(deps, teacher), 'undo')
    expect(await ratios()).toEqual(before)
    mustBeOk(await redo(deps, teacher), 'redo')
    expect(await ratios()).toEqual(after)
  })

  it('is left out, or worth all points to everybody, and can stand as it was given', async () => {
    const { deps, teacher, ann } = school
    await does(ann, 'a', 'b')
    const now = async (kind: 'dropped' | 'credit' | 'as-given') => {
      mustBeOk(await regrade(deps, teacher, await input({ kind })), kind)
      return (await ratios()).get(ann.userId)
    }
    expect([await now('dropped'), await now('credit'), await now('as-given')]).toEqual([1, 1, 0.5])
    const shown = mustBeOk(
      await showItems(deps, teacher, { assignmentId: work, classId: null, pieceId: P1 }),
      'items',
    )
    expect([shown.corrections, shown.mayMend]).toEqual([[], true])
  })

  it('is said to its learner, with the key that is right now', async () => {
    const { deps, teacher, ann } = school
    const shows = { feedback: 'submission', answers: 'submission' } as const
    work = await publish(school, { pieces: piecesOf(CHECK), rules: rules(shows) })
    await does(ann, 'a', 'b')
    const seen = async () => {
      const page = mustBeOk(await showMyPiece(deps, ann, only(work)), 'page')
      return page.seen[0]?.items.map(({ points, right, putRight }) => ({ points, right, putRight }))
    }
    const [, second] = (await seen()) ?? []
    mustBeOk(await regrade(deps, teacher, await input(RIGHT_IS_A)), 'key')
    expect(await seen()).toEqual([{ points: 1, right: 'Option a', putRight: undefined }, second])
    mustBeOk(await regrade(deps, teacher, await input({ kind: 'dropped' })), 'dropped')
    expect((await seen())?.[0]).toMatchObject({ points: 0, putRight: 'dropped' })
    mustBeOk(await regrade(deps, teacher, await input({ kind: 'credit' })), 'credit')
    expect((await seen())?.[0]).toMatchObject({ points: 1, putRight: 'credit' })
  })

  it('holds for who is at it meanwhile, and for what is shown of its items', async () => {
    const { deps, teacher, ann } = school
    const open = await answers(ann, 'a', 'b')
    mustBeOk(await regrade(deps, teacher, await input(RIGHT_IS_A)), 'regrade')
    mustBeOk(await handIn(deps, ann, open), 'in')
    expect((await ratios()).get(ann.userId)).toBe(1)
    const shown = mustBeOk(
      await showItems(deps, teacher, { assignmentId: work, classId: null, pieceId: P1 }),
      'items',
    )
    expect(shown.figures.find((f) => f.itemId === '1')?.rightCount).toBe(1)
    expect(shown.corrections.map((c) => c.kind)).toEqual(['key'])
  })

  it('holds for who joins a class that nobody is in yet', async () => {
    const { deps, teacher, cleo, b } = school
    const targets = [{ target: { kind: 'class' as const, classId: b.classId }, overrides: {} }]
    work = await publish(school, { pieces: piecesOf(CHECK), targets, exceptIds: [cleo.userId] })
    const done = mustBeOk(await regrade(deps, teacher, await input(RIGHT_IS_A)), 'regrade')
    expect(done).toEqual({ tries: 0, changes: [] })
    const more = { assignmentId: work, learnerIds: [cleo.userId], more: { kind: 'not-excused' } } as const
    mustBeOk(await giveMore(deps, teacher, more), 'joins in')
    await does(cleo, 'a', 'b')
    expect((await ratios()).get(cleo.userId)).toBe(1)
  })

  it('stays when the work is changed otherwise, and comes with no draft', async () => {
    const { deps, teacher, ann } = school
    await does(ann, 'a', 'b')
    mustBeOk(await regrade(deps, teacher, await input(RIGHT_IS_A)), 'regrade')
    const stands = (await assignmentById(deps.store.read, work))!
    const pieces = stands.pieces.map(({ corrections: _, ...piece }) => piece)
    const draft = { ...draftOf(stands), pieces, note: 'Other' }
    const version = await versionNow()
    mustBeOk(
      await changeWork(deps, teacher, { assignmentId: work, version, draft, publish: false }),
      'changed',
    )
    expect((await ratios()).get(ann.userId)).toBe(1)
    expect((await assignmentById(deps.store.read, work))?.pieces[0]?.corrections).toHaveLength(1)
  })

  it('is refused where more than the key is other, there is none, nothing is left, or a person scores it', async () => {
    const { deps, teacher, ann } = school
    await does(ann, 'a', 'b')
    const refused = async (mending: Mending, itemId?: ItemId) =>
      (await regrade(deps, teacher, await input(mending, itemId))).error?.code
    const other = single('1', { right: 'a', stem: 'Something else' })
    expect(await refused({ kind: 'key', item: other })).toBe('work/not-its-key')
    expect(await refused({ kind: 'key', item: single('1', { right: 'z' }) })).toBe('work/no-key')
    expect(await refused({ kind: 'key', item: extended('1') })).toBe('work/not-its-key')
    expect(await refused({ kind: 'dropped' }, item('9'))).toBe('access/not-found')
    mustBeOk(await regrade(deps, teacher, await input({ kind: 'dropped' })), 'first dropped')
    expect(await refused({ kind: 'dropped' }, item('2'))).toBe('work/nothing-left')
  })

  it('is not for a colleague who teaches only a part of it, nor for who does not see it', async () => {
    const { deps, stranger, a, b } = school
    const carla = await aColleague(school)
    const targets = [a, b].map(({ classId }) => ({
      target: { kind: 'class' as const, classId },
      overrides: {},
    }))
    work = await publish(school, { pieces: piecesOf(CHECK), targets })
    for (const act of [previewRegrade, regrade]) {
      const theirs = await act(deps, carla, await input({ kind: 'credit' }))
      expect(theirs.error).toMatchObject({ code: 'work/not-whole' })
    }
    const hidden = await regrade(deps, stranger, await input({ kind: 'credit' }))
    expect(hidden.error).toMatchObject({ code: 'access/not-found' })
  })

  it('by an older look at the work is refused', async () => {
    const { deps, teacher } = school
    const old = await input({ kind: 'credit' })
    mustBeOk(await regrade(deps, teacher, old), 'first')
    expect((await regrade(deps, teacher, old)).ok).toBe(false)
  })
})
