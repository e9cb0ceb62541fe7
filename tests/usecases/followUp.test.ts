import { beforeEach, describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { AssignmentId, PieceId, ResourceId } from '#core/base'
import { asOneWork, proposeFollowUp } from '#core/followUp'
import { NO_ABOUT, plainPiece } from '#core/work'
import { addPointer, addResource, addStandards, enrol } from '#db/repositories'
import { showFollowUp } from '#usecases/evidence/followUp'
import { keepFiling } from '#usecases/filing/keepFiling'
import { undo } from '#usecases/journal/journal'
import { listMyWork } from '#usecases/learning/myWork'
import { handIn, startTry } from '#usecases/learning/tries'
import { showLens } from '#usecases/lens/showLens'
import { assign } from '#usecases/work/assign'
import { P1, aChange, aCheck, at, only, piecesOf, single } from '../support/made'
import { aColleague, aDraft, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const id = (name: string) => asId<ResourceId>(name)
const [CHECK, TEACHES, TRAINS] = ['check', 'teaches', 'trains'].map(id) as [
  ResourceId,
  ResourceId,
  ResourceId,
]
const TERMS = { most: 2, mostMinutes: null, reach: 'level', extend: false } as const
let school: TestSchool
let work: AssignmentId

/** Hands in answers to a piece: right, or another. */
async function does(
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId },
  who: TestSchool['ann'],
  ...right: readonly boolean[]
) {
  const { attemptId } = mustBeOk(await startTry(school.deps, who, of), 'start')
  const saves = right.map((is, i) => aChange(`${i + 1}`, { kind: 'single', choice: is ? 'b' : 'a' }))
  mustBeOk(await handIn(school.deps, who, { attemptId, saves }), 'in')
}
const page = async (who = school.teacher) =>
  showFollowUp(school.deps, who, { classId: school.a.classId, ...only(work) })
const shown = async () => mustBeOk(await page(), 'follow-up')
/** Everything that is proposed, given as one work. */
async function giveAll(category = '') {
  const { learners, ground } = await shown()
  const { learnerIds, pieces } = asOneWork(proposeFollowUp(learners, ground, TERMS).proposals)
  const draft = aDraft(school, {
    title: 'After the check',
    about: { ...NO_ABOUT, category, followsUp: only(work) },
    pieces: pieces.map((p, i) => ({
      ...plainPiece({ resourceId: p.pieceId, revision: 1 }, { id: asId<PieceId>(`p${i + 1}`) }),
      onlyIds: p.onlyIds,
    })),
    targets: learnerIds.map((learnerId) => ({ target: { kind: 'learner', learnerId }, overrides: {} })),
  })
  return mustBeOk(await assign(school.deps, school.teacher, { draft, publish: true }), 'given')
}
const piecesFor = async (who: TestSchool['ann'], title: string) =>
  mustBeOk(await listMyWork(school.deps, who), 'mine')
    .work.filter((w) => w.title === title)
    .flatMap((w) => w.pieces.map((p) => p.title))

beforeEach(async () => {
  school = await aSchool()
  const { deps, teacher } = school
  const inBook = {
    schoolId: null,
    ownerId: null,
    bookId: null,
    bookLessonId: null,
    isShared: true,
    revision: 1,
    position: 0,
  }
  const items = (code: string) => [single('1', { standard: code }), single('2', { standard: code })]
  await deps.store.write(async (tx) => {
    await addStandards(
      tx,
      ['D.1', 'D.2'].map((code) => ({
        code,
        text: `Says ${code}`,
        level: 'standard',
        parent: null,
        requires: [],
      })),
      { schoolId: teacher.schoolId, frameworkId: null },
    )
    const asked = [
      single('1', { standard: 'D.1' }),
      single('2', { standard: 'D.1' }),
      single('3', { standard: 'D.2' }),
    ]
    const pieces = [
      aCheck(asked, { id: CHECK, code: 'ck1', title: 'The check', standards: ['D.1', 'D.2'] }),
      aCheck(items('D.1'), {
        id: TEACHES,
        code: 'rt1',
        title: 'Teaches',
        kind: 'practice-set',
        role: 'reteach',
        standards: ['D.1'],
      }),
      aCheck(items('D.2'), {
        id: TRAINS,
        code: 'pr1',
        title: 'Trains',
        kind: 'practice-set',
        role: 'practice',
        standards: ['D.2'],
      }),
    ]
    for (const resource of pieces) await addResource(tx, { resource, ...inBook })
  })
  work = await publish(school, { pieces: piecesOf(CHECK), title: 'The check' })
})

describe('follow-up of a check', () => {
  it('proposes by what each missed, and gives everybody only their own in one work', async () => {
    const { ann, ben } = school
    expect((await shown()).learners.map((l) => l.on)).toEqual([[], []])
    await does(only(work), ann, false, false, true)
    await does(only(work), ben, true, true, false)
    const { learners, ground, reached } = await shown()
    expect(reached).toBe(2)
    expect(learners[0]).toMatchObject({
      name: 'Ann Ash',
      on: [
        { code: 'D.1', missed: 2, items: 2, share: 0 },
        { code: 'D.2', missed: 0, items: 1, share: 1 },
      ],
      hasIds: [CHECK],
    })
    const { proposals } = proposeFollowUp(learners, ground, TERMS)
    expect(proposals.map((p) => [p.learnerId, p.code, p.pieceId, p.because])).toEqual([
      [ann.userId, 'D.1', TEACHES, 'shelf'],
      [ben.userId, 'D.2', TRAINS, 'shelf'],
    ])
    expect((await giveAll()).learners).toBe(2)
    expect(await piecesFor(ann, 'After the check')).toEqual(['Teaches'])
    expect(await piecesFor(ben, 'After the check')).toEqual(['Trains'])
    // they are left to it
    const again = await shown()
    expect(again.learners.map((l) => l.given)).toEqual([['D.1'], ['D.2']])
    expect(proposeFollowUp(again.learners, again.ground, TERMS)).toEqual({ proposals: [], unanswered: [] })
  })

  it('shows in the lens a learner their own, and undo takes all of it back', async () => {
    const { deps, teacher, ann, ben } = school
    await does(only(work), ann, false, false, true)
    await does(only(work), ben, true, true, false)
    await giveAll()
    const lens = mustBeOk(await showLens(deps, teacher, { learnerId: ann.userId, at: null }), 'lens')
    expect(lens.rows.filter((r) => r.title === 'After the check').map((r) => r.pieceTitle)).toEqual([
      'Teaches',
    ])
    mustBeOk(await undo(deps, teacher), 'undo')
    expect(await piecesFor(ann, 'After the check')).toEqual([])
  })

  it('a second check shows what became of it', async () => {
    const { ann, ben } = school
    await does(only(work), ann, false, false, true)
    await does(only(work), ben, true, true, false)
    const { assignmentId } = await giveAll()
    school.clock.set(at('09-02T12:00'))
    await does({ assignmentId, pieceId: P1 }, ann, true, false)
    const { earlier, learners, ground } = await shown()
    // who is weak since is answered anew, or it is said why not
    expect(learners[0]?.since).toEqual([{ code: 'D.1', missed: 1, items: 2, share: 0.5 }])
    expect(proposeFollowUp(learners, ground, TERMS).unanswered).toEqual([
      { learnerId: ann.userId, code: 'D.1', why: 'has-all' },
    ])
    expect(earlier).toMatchObject([
      {
        title: 'After the check',
        learners: 2,
        done: 1,
        became: [
          { code: 'D.1', given: 1, again: 1, before: 0, since: 0.5, stillLow: 1 },
          { code: 'D.2', given: 1, again: 0, before: null, since: null, stillLow: 0 },
        ],
      },
    ])
  })

  it('goes by the guide first, and has nothing that a school has taken out of it', async () => {
    const { deps, ann, teacher } = school
    await does(only(work), ann, true, true, false)
    const pointer = { fromPiece: CHECK, fromStandard: null, toPiece: TRAINS }
    await deps.store.write((tx) => addPointer(tx, { id: 'g1', schoolId: null, ...pointer, isOff: false }))
    const because = async () => {
      const { learners, ground } = await shown()
      return proposeFollowUp(learners, ground, TERMS).proposals.map((p) => p.because)
    }
    expect(await because()).toEqual(['guide'])
    const off = { id: 'g2', schoolId: teacher.schoolId, ...pointer, isOff: true }
    await deps.store.write((tx) => addPointer(tx, off))
    expect(await because()).toEqual(['shelf'])
  })

  it('waits in the queue of who has no room, and is not proposed again meanwhile', async () => {
    const { deps, teacher, a, ann } = school
    const filing = { headings: [], categories: [{ name: 'More', weight: 0, most: 1 }] }
    mustBeOk(
      await keepFiling(deps, teacher, { classId: a.classId, version: 0, filing, renamed: [] }),
      'filing',
    )
    const about = { ...NO_ABOUT, category: 'More' }
    const targets = [{ target: { kind: 'learner' as const, learnerId: ann.userId }, overrides: {} }]
    await publish(school, { about, targets, title: 'In the way' })
    await does(only(work), ann, false, false, true)
    await giveAll('More')
    expect(await piecesFor(ann, 'After the check')).toEqual([])
    const { learners, ground } = await shown()
    expect(learners[0]?.hasIds).toContain(TEACHES)
    expect(proposeFollowUp(learners, ground, TERMS)).toEqual({ proposals: [], unanswered: [] })
  })

  it('knows nothing of what the same learners did in a class of somebody else', async () => {
    const { deps, ann, b } = school
    const carla = await aColleague(school)
    await deps.store.write((tx) => enrol(tx, b.classId, [ann.userId], at('08-31T12:00')))
    const targets = [{ target: { kind: 'class' as const, classId: b.classId }, overrides: {} }]
    const theirs = await publish({ ...school, teacher: carla }, { pieces: piecesOf(TEACHES), targets })
    await does(only(theirs), ann, false, false)
    expect((await shown()).learners[0]).toMatchObject({ on: [], standings: {}, hasIds: [CHECK] })
  })

  it('is not there of a class, work or piece that cannot be seen', async () => {
    const { deps, stranger, teacher, a } = school
    expect((await page(stranger)).error).toMatchObject({ code: 'access/not-found', what: 'class' })
    const of = { classId: a.classId, assignmentId: work, pieceId: asId<PieceId>('p9') }
    expect((await showFollowUp(deps, teacher, of)).error).toMatchObject({ what: 'piece' })
    const none = { ...of, assignmentId: asId<AssignmentId>('none') }
    expect((await showFollowUp(deps, teacher, none)).error).toMatchObject({ what: 'assignment' })
  })

  it('a piece that is for some and names nobody is refused', async () => {
    const { deps, teacher } = school
    const pieces = piecesOf(TEACHES).map((p) => ({ ...p, onlyIds: [] }))
    const refused = await assign(deps, teacher, { draft: aDraft(school, { pieces }), publish: true })
    expect(refused.error).toMatchObject({ code: 'work/piece-for-nobody', field: 'pieces' })
  })
})
