import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import { NO_ABOUT } from '#core/work'
import { folderOf } from '#core/agenda'
import { showMyPiece } from '#usecases/learning/myPiece'
import { listMyWork } from '#usecases/learning/myWork'
import { handIn, startTry } from '#usecases/learning/tries'
import { makePiece } from '#usecases/library/shelf'
import { PLAIN_PIECE, aChange, numeric, only, piecesOf, rules, single } from '../support/made'
import { aSchool, publish } from '../support/world'

/** A page of one's own, given to a class under a heading. */
async function aPage() {
  const school = await aSchool()
  const page = {
    title: 'Swings',
    code: '',
    kind: 'page' as const,
    role: 'core' as const,
    minutes: 10,
    grade: 8,
    ...PLAIN_PIECE,
    content: 'Count ten swings.',
    items: [single('1'), numeric('2')],
  }
  const { resourceId } = mustBeOk(await makePiece(school.deps, school.teacher, page), 'page')
  const workId = await publish(school, {
    title: 'Swings',
    about: { ...NO_ABOUT, heading: 'Labs' },
    pieces: piecesOf(resourceId),
    rules: rules({ maxAttempts: null, feedback: 'never', answers: 'never' }),
  })
  return { ...school, workId }
}

describe('a page', () => {
  it('is an own copy: gone on with all that was filled in, as often as one likes', async () => {
    const { deps, ann, workId } = await aPage()
    const first = mustBeOk(await startTry(deps, ann, only(workId)), 'start').attemptId
    const saves = [
      aChange('1', { kind: 'single', choice: 'b' }),
      aChange('2', { kind: 'numeric', text: '16' }),
    ]
    mustBeOk(await handIn(deps, ann, { attemptId: first, saves }), 'in')
    const again = mustBeOk(await startTry(deps, ann, only(workId)), 'again')
    expect(again.number).toBe(2)
    expect(again.answers).toEqual({
      1: { kind: 'single', choice: 'b' },
      2: { kind: 'numeric', text: '16' },
    })
    // nothing is told of it, yet what was filled in can be read
    const { seen } = mustBeOk(await showMyPiece(deps, ann, only(workId)), 'piece')
    expect(seen[0]?.score).toBeNull()
    expect(seen[0]?.items.map((i) => i.answer?.kind)).toEqual(['single', 'numeric'])
  })

  it('lies in the folder of each learner, and tells what became of it', async () => {
    const { deps, ann, ben, workId } = await aPage()
    mustBeOk(await startTry(deps, ann, only(workId)), 'start')
    const folder = async (who: typeof ann) => {
      const { work, headings } = mustBeOk(await listMyWork(deps, who), 'work')
      return folderOf(work, headings).flatMap((c) =>
        c.parts.map((p) => [p.heading, ...p.copies.map((copy) => `${copy.title}: ${copy.state}`)]),
      )
    }
    expect(await folder(ann)).toEqual([['Labs', 'Swings: begun']])
    expect(await folder(ben)).toEqual([['Labs', 'Swings: blank']])
  })
})
