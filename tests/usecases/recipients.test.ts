import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import { handIn, startTry } from '#usecases/learning/tries'
import { makePiece } from '#usecases/library/shelf'
import { standOfRecipients } from '#usecases/work/standOfRecipients'
import { PLAIN_PIECE, P1, aChange, piecesOf, single } from '../support/made'
import { aColleague, aDraft, aSchool, publish, through } from '../support/world'

const items = [single('1', { standard: 'A' }), single('2', { standard: 'A' }), single('3', { standard: 'B' })]

describe('who needs what', () => {
  it('is told by how learners stand on the standards, and what they carry this week', async () => {
    const school = await aSchool()
    const { deps, teacher, ann, ben } = school
    const piece = {
      title: 'P',
      code: '',
      kind: 'check',
      role: 'core',
      minutes: 12,
      grade: 8,
      ...PLAIN_PIECE,
      content: '',
      items,
    } as const
    const { resourceId } = mustBeOk(await makePiece(deps, teacher, piece), 'piece')
    const due = { ...aDraft(school).window, due: through('2026-09-04') }
    const id = await publish(school, { pieces: piecesOf(resourceId), window: due })
    await publish(school, { title: 'Later', window: { ...due, due: through('2026-10-01') } })
    const { attemptId } = mustBeOk(await startTry(deps, ann, { assignmentId: id, pieceId: P1 }), 'start')
    const saves = ['1', '3'].map((i) => aChange(i, { kind: 'single', choice: 'b' }))
    mustBeOk(await handIn(deps, ann, { attemptId, saves }), 'hand in')
    const stand = async (who = teacher) => {
      const reply = mustBeOk(
        await standOfRecipients(deps, who, { resourceIds: [resourceId], category: '' }),
        'stand',
      )
      return new Map(reply.learners.map(({ id: learner, ...of }) => [learner, of]))
    }
    // two of three items right; what is handed in is carried no longer
    expect((await stand()).get(ann.userId)).toEqual({
      standing: { share: 2 / 3, items: 3 },
      minutes: 0,
      open: null,
    })
    expect((await stand()).get(ben.userId)).toEqual({ standing: null, minutes: 12, open: null })
    const ofColleague = await stand(await aColleague(school))
    expect([ofColleague.has(ann.userId), ofColleague.has(school.cleo.userId)]).toEqual([false, true])
  })
})
