import { describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { ResourceId } from '#core/base'
import { addResource } from '#db/repositories'
import { showGrid, showItems } from '#usecases/evidence/evidence'
import { listToScore, scoreAnswer } from '#usecases/evidence/scoring'
import { showMyPiece } from '#usecases/learning/myPiece'
import { handIn, startTry } from '#usecases/learning/tries'
import { P1, aChange, aCheck, extended, only, piecesOf, rules, single } from '../support/made'
import { aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const EIGHT = extended('8').id

/** A check with a question that scores itself and one that a person scores, given to class A. */
async function written() {
  const school = await aSchool()
  const resourceId = asId<ResourceId>('written')
  await school.deps.store.write((tx) =>
    addResource(tx, {
      resource: aCheck([single('1'), extended('8')], { id: resourceId, code: 'wri101' }),
      schoolId: null,
      ownerId: null,
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

describe('texts that a teacher scores', () => {
  it('wait, are listed, are scored with a word to the learner, and count then', async () => {
    const { school, work } = await written()
    const { deps, teacher, ann, ben, a } = school
    const attemptId = await hands(school, work, ann, 'Because it swings to and fro.')
    await hands(school, work, ben, '')
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    const list = mustBeOk(await listToScore(deps, teacher, of), 'list').answers
    expect(list.map((l) => [l.name, l.points])).toEqual([['Ann Ash', null]])
    const before = mustBeOk(await showMyPiece(deps, ann, only(work)), 'piece').seen[0]
    expect(before?.score).toMatchObject({ points: 1, of: 5, ratio: 1, waiting: 4 })
    expect(before?.items[1]).toMatchObject({ waits: true })
    // what earns the points is for the teacher
    expect(JSON.stringify(before)).not.toContain('Two reasons')
    const cell = (cells: readonly { learnerId: string; toScore: number }[]) =>
      cells.find((c) => c.learnerId === ann.userId)?.toScore
    expect(cell(mustBeOk(await showGrid(deps, teacher, a.classId), 'grid').cells)).toBe(1)

    const given = { attemptId, itemId: EIGHT, points: 3, comment: 'Name the second reason.' }
    expect((await scoreAnswer(deps, teacher, given)).value).toEqual({ learners: 1 })
    const after = mustBeOk(await showMyPiece(deps, ann, only(work)), 'piece').seen[0]
    expect(after?.score).toMatchObject({ points: 4, of: 5, ratio: 0.8, waiting: 0 })
    expect(after?.items[1]).toMatchObject({ points: 3, comment: 'Name the second reason.' })
    const grid = mustBeOk(await showGrid(deps, teacher, a.classId), 'grid')
    expect(cell(grid.cells)).toBe(0)
    expect(grid.cells.find((c) => c.learnerId === ann.userId)?.ratio).toBe(0.8)
    const figures = mustBeOk(await showItems(deps, teacher, of), 'items').figures
    // Ben left it out: 3 of 8 points
    expect(figures.find((f) => f.itemId === EIGHT)).toMatchObject({ n: 2, meanRatio: 3 / 8, waitingCount: 0 })
  })

  it('are scored for all of a team at once', async () => {
    const { school, work: _ } = await written()
    const { deps, teacher, ann, ben } = school
    const pieces = piecesOf(asId<ResourceId>('written')).map((p) => ({ ...p, handIn: 'together' as const }))
    const work = await publish(school, { pieces, teams: [[ann.userId, ben.userId]] })
    const attemptId = await hands(school, work, ann, 'We both think so.')
    const given = { attemptId, itemId: EIGHT, points: 2, comment: '' }
    expect((await scoreAnswer(deps, teacher, given)).value).toEqual({ learners: 2 })
    for (const who of [ann, ben])
      expect(mustBeOk(await showMyPiece(deps, who, only(work)), 'piece').seen[0]?.score?.ratio).toBe(0.6)
  })

  it('are nobody else’s to read or score, and take no points that there are not', async () => {
    const { school, work } = await written()
    const { deps, teacher, stranger, ann, a } = school
    const attemptId = await hands(school, work, ann, 'Because.')
    const of = { assignmentId: work, pieceId: P1, classId: a.classId }
    const given = { attemptId, itemId: EIGHT, points: 3, comment: '' }
    const colleague = await aColleague(school)
    for (const who of [stranger, ann, colleague]) {
      expect((await listToScore(deps, who, of)).error?.code).toBe('access/not-found')
      expect((await scoreAnswer(deps, who, given)).error?.code).toBe('access/not-found')
    }
    expect((await scoreAnswer(deps, teacher, { ...given, points: 5 })).error).toEqual({
      code: 'attempts/bad-points',
      field: 'points',
      most: 4,
    })
    const one = { ...given, itemId: single('1').id }
    expect((await scoreAnswer(deps, teacher, one)).error?.code).toBe('attempts/unknown-item')
    expect(mustBeOk(await listToScore(deps, teacher, of), 'list').answers[0]?.points).toBeNull()
  })
})
