import { describe, expect, it } from 'vitest'
import { isoDay, asId, mustBeOk } from '#core/base'
import type { AttemptId, ResourceId } from '#core/base'
import { NO_MATERIAL } from '#core/library'
import type { Resource } from '#core/library'
import { addResource, addTeacher } from '#db/repositories'
import { showGrid, showItems } from '#usecases/evidence/evidence'
import { addTexts } from '#usecases/evidence/addTexts'
import { forgetComment, keepComment } from '#usecases/evidence/comments'
import { draftScore } from '#usecases/evidence/draftScore'
import { releaseScores } from '#usecases/evidence/releaseScores'
import { showNeeds } from '#usecases/week/showNeeds'
import { listToScore } from '#usecases/evidence/toScore'
import { showMyPiece } from '#usecases/learning/myPiece'
import { handIn, startTry } from '#usecases/learning/tries'
import { changePiece } from '#usecases/library/changePiece'
import { P1, aChange, aCheck, extended, only, piecesOf, rules, single } from '../support/made'
import { aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const EIGHT = extended('8').id

const RUBRIC = [
  { name: 'Science', points: 4, about: '' },
  { name: 'Words', points: 2, about: '' },
]

const piece = (part: Partial<Resource>) => aCheck([single('1'), extended('8')], { code: 'wri101', ...part })

/** A piece with a question that scores itself and one that a person scores, given to class A. */
async function written(part: Partial<Resource> = {}) {
  const school = await aSchool()
  const resourceId = asId<ResourceId>('written')
  await school.deps.store.write((tx) =>
    addResource(tx, {
      resource: { ...piece(part), id: resourceId },
      schoolId: school.teacher.schoolId,
      ownerId: school.teacher.userId,
      bookId: null,
      bookLessonId: null,
      position: 0,
      isShared: true,
      revision: 1,
    }),
  )
  const work = await publish(school, {
    pieces: piecesOf(resourceId),
    rules: rules({ answers: 'submission' }),
  })
  return { school, work }
}

async function hands(
  school: TestSchool,
  work: Parameters<typeof only>[0],
  who: TestSchool['ann'],
  text: string,
) {
  const { attemptId } = mustBeOk(await startTry(school.deps, who, only(work)), 'start')
  const saves = [
    aChange('1', { kind: 'single', choice: 'b' }),
    ...(text === '' ? [] : [aChange('8', { kind: 'extended', text })]),
  ]
  mustBeOk(await handIn(school.deps, who, { attemptId, saves }), 'in')
  return attemptId
}

type Given = Parameters<typeof draftScore>[2]
const given = (attemptId: AttemptId, part: Partial<Given> = {}): Given => ({
  attemptId,
  itemId: EIGHT,
  levels: [3],
  comment: '',
  again: false,
  version: 0,
  ...part,
})

describe('texts that a teacher scores', () => {
  it('wait, are scored with a word to the learner, and count once they are released', async () => {
    const { school, work } = await written()
    const { deps, teacher, ann, ben, a } = school
    const attemptId = await hands(school, work, ann, 'Because it swings to and fro.')
    await hands(school, work, ben, '')
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    const list = mustBeOk(await listToScore(deps, teacher, of), 'list').answers
    expect(list.map((l) => [l.name, l.points, l.draft])).toEqual([['Ann Ash', null, null]])
    const seen = async () => mustBeOk(await showMyPiece(deps, ann, only(work)), 'piece').seen[0]
    const before = await seen()
    expect(before?.score).toMatchObject({ points: 1, of: 5, ratio: 1, waiting: 4 })
    expect(before?.items[1]).toMatchObject({ waits: true })
    // what earns the points is for the teacher
    expect(JSON.stringify(before)).not.toContain('Two reasons')
    const cell = async () =>
      mustBeOk(await showGrid(deps, teacher, a.classId), 'grid').cells.find((c) => c.learnerId === ann.userId)
    expect((await cell())?.toScore).toBe(1)

    const score = given(attemptId, { comment: 'Name the second reason.' })
    expect((await draftScore(deps, teacher, score)).value).toEqual({ version: 1 })
    expect(JSON.stringify(await seen())).toBe(JSON.stringify(before))
    // scored, and still to be released: said on the cell and among what needs the teacher
    expect(await cell()).toMatchObject({ toScore: 0, toRelease: 1 })
    const needs = async () =>
      mustBeOk(await showNeeds(deps, teacher, { mondayOn: isoDay('2026-09-07') }), 'needs').toScore
    expect(await needs()).toMatchObject([{ assignmentId: work, texts: 0, scored: 1 }])
    expect(mustBeOk(await listToScore(deps, teacher, of), 'list').answers[0]).toMatchObject({
      points: null,
      draft: { levels: [3], comment: 'Name the second reason.', again: false, version: 1 },
    })
    expect((await releaseScores(deps, teacher, of)).value).toEqual({ released: 1, returned: 0, left: 0 })
    const after = await seen()
    expect(after?.score).toMatchObject({ points: 4, of: 5, ratio: 0.8, waiting: 0 })
    expect(after?.items[1]).toMatchObject({ points: 3, comment: 'Name the second reason.' })
    expect(await cell()).toMatchObject({ toScore: 0, toRelease: 0, ratio: 0.8 })
    expect(await needs()).toEqual([])
    const figures = mustBeOk(await showItems(deps, teacher, of), 'items').figures
    // Ben left it out: 3 of 8 points
    expect(figures.find((f) => f.itemId === EIGHT)).toMatchObject({ n: 2, meanRatio: 3 / 8, waitingCount: 0 })
    // released twice is released once
    expect((await releaseScores(deps, teacher, of)).value).toEqual({ released: 0, returned: 0, left: 0 })
  })

  it('are scored by the criteria with which they were begun; what is open stays', async () => {
    const { school, work } = await written({ material: { ...NO_MATERIAL, rubric: RUBRIC } })
    const { deps, teacher, ann, ben, a } = school
    const anns = await hands(school, work, ann, 'It swings.')
    const bens = await hands(school, work, ben, 'It hangs.')
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    mustBeOk(await draftScore(deps, teacher, given(anns, { levels: [3, 1] })), 'anns')
    mustBeOk(await draftScore(deps, teacher, given(bens, { levels: [2, null] })), 'bens')
    const tooMany = given(bens, { levels: [5, 0], version: 1 })
    expect((await draftScore(deps, teacher, tooMany)).error).toEqual({
      code: 'attempts/bad-levels',
      field: 'levels',
    })
    expect((await draftScore(deps, teacher, given(bens, { version: 1 }))).error?.code).toBe(
      'attempts/bad-levels',
    )

    const changed = {
      resourceId: asId<ResourceId>('written'),
      revision: 1,
      piece: piece({ material: { ...NO_MATERIAL, rubric: RUBRIC.slice(0, 1) } }),
    }
    expect(mustBeOk(await changePiece(deps, teacher, changed), 'change').isNewForm).toBe(true)
    const list = mustBeOk(await listToScore(deps, teacher, of), 'list').answers
    expect(list.map((l) => l.criteria)).toEqual([RUBRIC, RUBRIC])
    expect((await releaseScores(deps, teacher, of)).value).toEqual({ released: 1, returned: 0, left: 1 })
    // 4 of 6 of four points are 2.67, in halves 2.5
    const seen = mustBeOk(await showMyPiece(deps, ann, only(work)), 'piece').seen[0]?.items[1]
    expect(seen).toMatchObject({
      points: 2.5,
      criteria: [
        { name: 'Science', points: 3, of: 4 },
        { name: 'Words', points: 1, of: 2 },
      ],
    })
    expect(mustBeOk(await showMyPiece(deps, ben, only(work)), 'piece').seen[0]?.items[1]).toMatchObject({
      waits: true,
    })
  })

  it('are scored for all of a team at once, and stand in the list once', async () => {
    const { school } = await written()
    const { deps, teacher, ann, ben, a } = school
    const pieces = piecesOf(asId<ResourceId>('written')).map((p) => ({ ...p, handIn: 'together' as const }))
    const work = await publish(school, { pieces, teams: [[ann.userId, ben.userId]] })
    const attemptId = await hands(school, work, ann, 'We both think so.')
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    const list = mustBeOk(await listToScore(deps, teacher, of), 'list').answers
    expect(list.map((l) => l.name)).toEqual(['Ann Ash, Ben Birch'])
    mustBeOk(await draftScore(deps, teacher, given(attemptId, { levels: [2] })), 'score')
    mustBeOk(await releaseScores(deps, teacher, of), 'release')
    for (const who of [ann, ben])
      expect(mustBeOk(await showMyPiece(deps, who, only(work)), 'piece').seen[0]?.score?.ratio).toBe(0.6)
  })

  it('go back for another go, which a writing task begins with what was written', async () => {
    const { school } = await written({ kind: 'writing-task' })
    const work = await publish(school, {
      pieces: piecesOf(asId<ResourceId>('written')),
      rules: rules({ maxAttempts: 1, kept: 'best' }),
    })
    const { deps, teacher, ann, a } = school
    const attemptId = await hands(school, work, ann, 'It swings.')
    expect((await startTry(deps, ann, only(work))).error?.code).toBe('attempts/none-left')
    mustBeOk(await draftScore(deps, teacher, given(attemptId, { levels: [1], again: true })), 'score')
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    expect((await releaseScores(deps, teacher, of)).value).toEqual({ released: 1, returned: 1, left: 0 })
    const again = mustBeOk(await startTry(deps, ann, only(work)), 'again')
    expect(again.number).toBe(2)
    // the text goes on, the question that scores itself is asked anew
    expect(again.answers).toEqual({ [EIGHT]: { kind: 'extended', text: 'It swings.' } })
    const saves = [
      aChange('8', { kind: 'extended', text: 'It swings, because it is pulled back.' }, { from: 1 }),
    ]
    mustBeOk(await handIn(deps, ann, { attemptId: again.attemptId, saves }), 'in')
    const list = mustBeOk(await listToScore(deps, teacher, of), 'list').answers
    expect(list.map((l) => [l.number, l.points])).toEqual([
      [1, 1],
      [2, null],
    ])
  })

  it('are scored by one of two teachers at a time: the later sees that there is something new', async () => {
    const { school, work } = await written()
    const { deps, teacher, ann, a } = school
    const attemptId = await hands(school, work, ann, 'Because.')
    const colleague = await aColleague(school)
    await deps.store.write((tx) => addTeacher(tx, a.classId, colleague.userId))
    mustBeOk(await draftScore(deps, teacher, given(attemptId, { levels: [3] })), 'first')
    expect((await draftScore(deps, colleague, given(attemptId, { levels: [1] }))).error).toEqual({
      code: 'access/changed-meanwhile',
      field: 'version',
      seen: 0,
      now: 1,
      by: { name: 'Tess', isSelf: false },
    })
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    const draft = mustBeOk(await listToScore(deps, colleague, of), 'list').answers[0]?.draft
    expect(draft).toMatchObject({ levels: [3], by: teacher.userId })
    mustBeOk(await draftScore(deps, colleague, given(attemptId, { levels: [1], version: 1 })), 'then')
  })

  it('are released as they were looked at: what a colleague changed or gave since is looked at first', async () => {
    const { school, work } = await written()
    const { deps, teacher, ann, ben, a } = school
    const anns = await hands(school, work, ann, 'Because.')
    const bens = await hands(school, work, ben, 'Why not.')
    const colleague = await aColleague(school)
    await deps.store.write((tx) => addTeacher(tx, a.classId, colleague.userId))
    mustBeOk(await draftScore(deps, teacher, given(anns, { levels: [3] })), 'anns')
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    const looked = [{ attemptId: anns, itemId: EIGHT, version: 1 }]
    mustBeOk(await draftScore(deps, colleague, given(anns, { levels: [1], version: 1 })), 'changed')
    const release = (seen: typeof looked) => releaseScores(deps, teacher, { ...of, seen })
    expect((await release(looked)).error).toMatchObject({ code: 'access/changed-meanwhile', field: 'seen' })
    mustBeOk(await draftScore(deps, colleague, given(bens, { levels: [2] })), 'bens')
    const now = [{ attemptId: anns, itemId: EIGHT, version: 2 }]
    // a score that was given since was not looked at either
    expect((await release(now)).error?.code).toBe('access/changed-meanwhile')
    const seen = async () => mustBeOk(await showMyPiece(deps, ann, only(work)), 'piece').seen[0]
    expect((await seen())?.score?.waiting).toBe(4)
    const all = [...now, { attemptId: bens, itemId: EIGHT, version: 1 }]
    expect((await release(all)).value).toEqual({ released: 2, returned: 0, left: 0 })
    expect((await seen())?.items[1]).toMatchObject({ points: 1 })
  })

  it('are nobody else’s to read, score or release, and take no levels that there are not', async () => {
    const { school, work } = await written()
    const { deps, teacher, stranger, ann, a } = school
    const attemptId = await hands(school, work, ann, 'Because.')
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    const colleague = await aColleague(school)
    for (const who of [stranger, colleague]) {
      expect((await listToScore(deps, who, of)).error?.code).toBe('access/not-found')
      expect((await draftScore(deps, who, given(attemptId))).error?.code).toBe('access/not-found')
      expect((await releaseScores(deps, who, of)).error?.code).toBe('access/not-found')
    }
    for (const levels of [[5], [1.25], [], [1, 1]])
      expect((await draftScore(deps, teacher, given(attemptId, { levels }))).error?.code).toBe(
        'attempts/bad-levels',
      )
    const one = given(attemptId, { itemId: single('1').id })
    expect((await draftScore(deps, teacher, one)).error?.code).toBe('attempts/unknown-item')
    expect(mustBeOk(await listToScore(deps, teacher, of), 'list').answers[0]?.points).toBeNull()
  })
})

describe('comments that a teacher keeps', () => {
  it('are kept once, the latest first, and are theirs alone', async () => {
    const school = await aSchool()
    const { deps, teacher, stranger } = school
    for (const text of ['Name it.', 'Go on.', ' Name it. ', ' '])
      mustBeOk(await keepComment(deps, teacher, { text }), text)
    const { comments } = mustBeOk(await keepComment(deps, teacher, { text: 'Go on.' }), 'again')
    expect(comments.map((c) => c.text)).toEqual(['Go on.', 'Name it.'])
    const id = comments[0]!.id
    expect(mustBeOk(await forgetComment(deps, stranger, { id }), 'other').comments).toEqual([])
    const left = mustBeOk(await forgetComment(deps, teacher, { id }), 'forget').comments
    expect(left.map((c) => c.text)).toEqual(['Name it.'])
  })
})

describe('texts that were written elsewhere', () => {
  it('are taken over as handed in, late for nobody, and wait to be scored', async () => {
    const { school, work } = await written()
    const { deps, teacher, ann, a } = school
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    const learners = mustBeOk(await listToScore(deps, teacher, of), 'list').without
    expect(learners.map((l) => l.name)).toEqual(['Ann Ash', 'Ben Birch'])
    const texts = [{ learnerId: ann.userId, text: 'On paper.' }]
    expect((await addTexts(deps, teacher, { ...of, texts })).value).toEqual({ added: 1 })
    const queue = mustBeOk(await listToScore(deps, teacher, of), 'list')
    expect(queue.answers.map((x) => [x.name, x.answer, x.points])).toEqual([
      ['Ann Ash', { kind: 'extended', text: 'On paper.' }, null],
    ])
    expect(queue.without.map((l) => l.name)).toEqual(['Ben Birch'])
    expect(mustBeOk(await showMyPiece(deps, ann, only(work)), 'piece').seen[0]).toMatchObject({
      number: 1,
      late: false,
    })
  })

  it('are refused whole where somebody has begun, is not in the class, or nobody may', async () => {
    const { school, work } = await written()
    const { deps, teacher, stranger, ann, ben, a } = school
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    mustBeOk(await startTry(deps, ben, only(work)), 'start')
    const both = [ann, ben].map((who) => ({ learnerId: who.userId, text: 'x' }))
    expect((await addTexts(deps, teacher, { ...of, texts: both })).error).toEqual({
      code: 'attempts/has-a-text',
      field: 'texts',
      learnerId: ben.userId,
    })
    const twice = [both[0]!, both[0]!]
    expect((await addTexts(deps, teacher, { ...of, texts: twice })).error?.code).toBe('attempts/has-a-text')
    const other = [{ learnerId: teacher.userId, text: 'x' }]
    expect((await addTexts(deps, teacher, { ...of, texts: other })).error?.code).toBe('access/not-found')
    expect((await addTexts(deps, stranger, { ...of, texts: [both[0]!] })).error?.code).toBe(
      'access/not-found',
    )
    expect(mustBeOk(await listToScore(deps, teacher, of), 'list').answers).toEqual([])
  })
})
