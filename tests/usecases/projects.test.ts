import { describe, expect, it } from 'vitest'
import { READY_RULES } from '#core/attempts'
import { asId, mustBeOk } from '#core/base'
import type { PageId } from '#core/base'
import type { Learner } from '#core/access'
import { MADE, NO_MATERIAL } from '#core/library'
import { draftScore } from '#usecases/evidence/draftScore'
import { releaseScores } from '#usecases/evidence/releaseScores'
import { listToScore } from '#usecases/evidence/toScore'
import { handFile } from '#usecases/learning/handFiles'
import { showMyPiece } from '#usecases/learning/myPiece'
import { handIn, startTry } from '#usecases/learning/tries'
import { drawCheck } from '#usecases/library/drawCheck'
import { makePiece } from '#usecases/library/shelf'
import { A_PICTURE } from '../support/keptFiles'
import { P1, aCheck, piecesOf } from '../support/made'
import { aSchool, publish, through } from '../support/world'

const DOT = { name: 'dot.png', base64: A_PICTURE }
const RUBRIC = [
  { name: 'The boat', points: 4, about: '' },
  { name: 'Notes', points: 2, about: '' },
]

/** A project with two criteria, given to the class; Ann and Ben work at it together where that is asked. */
async function aScoredProject(isTogether = false) {
  const school = await aSchool()
  const { deps, teacher, a, ann, ben } = school
  const made = await makePiece(deps, teacher, {
    ...aCheck([], { kind: 'project', material: { ...NO_MATERIAL, rubric: RUBRIC } }),
    code: '',
  })
  const { resourceId } = mustBeOk(made, 'make')
  const handed = isTogether ? ('together' as const) : ('alone' as const)
  const assignmentId = await publish(school, {
    pieces: piecesOf(resourceId).map((p) => ({ ...p, handIn: handed })),
    ...(isTogether ? { teams: [[ann.userId, ben.userId]] } : {}),
    window: { listed: null, opens: null, due: through('2026-09-30'), closes: null, putAway: null },
    rules: READY_RULES.text,
  })
  const of = { assignmentId, pieceId: P1 }
  const hand = async (who: Learner, text: string) => {
    const { attemptId } = mustBeOk(await startTry(deps, who, of), 'start')
    const answer = { kind: 'extended' as const, text }
    const saves =
      text === '' ? [] : [{ itemId: MADE, answer, from: 0, writer: asId<PageId>('test'), edit: 1 }]
    mustBeOk(await handIn(deps, who, { attemptId, saves }), 'hand in')
    return attemptId
  }
  const queue = async () =>
    mustBeOk(await listToScore(deps, teacher, { ...of, classId: a.classId }), 'queue').answers
  return { school, of, hand, queue }
}

describe('a project with criteria', () => {
  it('is scored by them, released, and seen', async () => {
    const { school, of, hand, queue } = await aScoredProject()
    const { deps, teacher, a, ann } = school
    const attemptId = await hand(ann, 'It carried eight blocks.')
    const [answer] = await queue()
    expect(answer).toMatchObject({ name: 'Ann Ash', criteria: RUBRIC, points: null, files: [] })
    const given = { attemptId, itemId: MADE, levels: [3, 2], comment: 'Dry!', again: false, version: 0 }
    mustBeOk(await draftScore(deps, teacher, given), 'draft')
    mustBeOk(await releaseScores(deps, teacher, { ...of, classId: a.classId }), 'release')
    const { piece, seen } = mustBeOk(await showMyPiece(deps, ann, of), 'see')
    expect(piece.ratio).toBeCloseTo(5 / 6)
    expect(seen[0]?.score).toMatchObject({ points: 5, of: 6 })
  })

  it('waits for who scores it, not for a text, where only files were handed in', async () => {
    const { school, of, hand, queue } = await aScoredProject()
    const { deps, ann, ben } = school
    mustBeOk(await handFile(deps, ann, { ...of, ...DOT }), 'file')
    await hand(ann, '')
    await hand(ben, '')
    expect(await queue()).toMatchObject([
      { name: 'Ann Ash', points: null, answer: { text: '' }, files: [{ name: 'dot.png' }] },
    ])
    // nothing at all earns nothing, and nobody waits for it
    expect(mustBeOk(await showMyPiece(deps, ben, of), 'see').piece.ratio).toBe(0)
    // and a file that comes later is looked at as well
    mustBeOk(await handFile(deps, ben, { ...of, ...DOT }), 'file')
    expect((await queue()).map((q) => q.name)).toEqual(['Ann Ash', 'Ben Birch'])
    expect(mustBeOk(await showMyPiece(deps, ben, of), 'see').piece.ratio).toBeNull()
  })

  it('lends its question to no check', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const made = await makePiece(deps, teacher, {
      ...aCheck([], {
        kind: 'project',
        standards: ['TH.8.W.3'],
        material: { ...NO_MATERIAL, rubric: RUBRIC },
      }),
      code: '',
    })
    expect(made.ok).toBe(true)
    const asked = { standards: ['TH.8.W.3'], perStandard: 5, mix: null, seed: 'a' }
    const { items } = mustBeOk(await drawCheck(deps, teacher, asked), 'draw')
    expect(items.some(({ item }) => item.id === MADE)).toBe(false)
  })

  it('of a team is looked at once, with the files of all of them', async () => {
    const { school, of, hand, queue } = await aScoredProject(true)
    const { deps, ann, ben } = school
    mustBeOk(await handFile(deps, ben, { ...of, ...DOT }), 'file')
    await hand(ann, '')
    const answers = await queue()
    expect(answers).toHaveLength(1)
    expect(answers[0]?.files).toMatchObject([{ name: 'dot.png' }])
  })
})
