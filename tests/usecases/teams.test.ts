import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { AssignmentId, AttemptId, UserId } from '#core/base'
import type { Learner } from '#core/access'
import { learnerWorkOf } from '#db/repositories'
import { showGrid } from '#usecases/evidence/evidence'
import { showMyPiece } from '#usecases/learning/myPiece'
import { listMyWork } from '#usecases/learning/myWork'
import { handIn, saveAnswers, startTry } from '#usecases/learning/tries'
import { assign } from '#usecases/work/assign'
import { giveMore } from '#usecases/work/giveMore'
import { P1, aChange, at, only, piecesOf, rules } from '../support/made'
import { aDraft, aLearner, aSchool, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

/** A check that Ann and Ben hand in together; Dora of the same class is in no team. */
async function together(part: Partial<Parameters<typeof publish>[1]> = {}) {
  const school = await aSchool()
  const dora = await aLearner(school, school.a.joinCode, 'Dora Dell')
  const id = await publish(school, {
    pieces: piecesOf(school.check).map((p) => ({ ...p, handIn: 'together' as const })),
    teams: [[school.ann.userId, school.ben.userId]],
    ...part,
  })
  return { school, dora, id }
}
const begin = async (school: TestSchool, who: Learner, id: AssignmentId) =>
  mustBeOk(await startTry(school.deps, who, only(id)), 'start')
const seen = async (school: TestSchool, who: Learner, id: AssignmentId) =>
  mustBeOk(await showMyPiece(school.deps, who, { assignmentId: id, pieceId: P1 }), 'piece')
const RIGHT = [
  aChange('1', { kind: 'single', choice: 'b' }),
  aChange('2', { kind: 'multiple', choices: ['a', 'c'] }),
  aChange('3', { kind: 'numeric', text: '2.5' }),
  aChange('4', { kind: 'text', text: 'resting place' }),
]
const hand = (school: TestSchool, who: Learner, attemptId: AttemptId, saves = RIGHT) =>
  handIn(school.deps, who, { attemptId, saves })

describe('work that is handed in together', () => {
  it('counts for all of the team, each with a try of their own', async () => {
    const { school, dora, id } = await together()
    const { attemptId } = await begin(school, school.ann, id)
    mustBeOk(await hand(school, school.ann, attemptId), 'hand in')
    for (const who of [school.ann, school.ben]) {
      const { seen: tries, piece } = await seen(school, who, id)
      expect(tries.map((t) => [t.number, t.score?.ratio, t.items[0]?.answer])).toEqual([
        [1, 1, { kind: 'single', choice: 'b' }],
      ])
      expect(piece.handedInAt).not.toBeNull()
    }
    expect((await seen(school, dora, id)).seen).toEqual([])
    const { cells } = mustBeOk(await showGrid(school.deps, school.teacher, school.a.classId), 'grid')
    expect(cells.map((c) => c.state).sort()).toEqual(['handed-in', 'handed-in', 'to-do'])
  })

  it('is for learners of one’s own classes: a team is told the names of its members', async () => {
    const { school } = await together()
    const other = await aSchool()
    for (const stranger of [other.ann.userId, 'nobody' as UserId]) {
      const pieces = piecesOf(school.check).map((p) => ({ ...p, handIn: 'together' as const }))
      const draft = { ...aDraft(school), pieces, teams: [[school.ann.userId, stranger]] }
      expect((await assign(school.deps, school.teacher, { draft, publish: true })).error).toMatchObject({
        code: 'audience/unknown-target',
        field: 'teams',
        id: stranger,
      })
    }
  })

  it('is one try, at which both may be, also from one device', async () => {
    const { school, id } = await together()
    const { attemptId } = await begin(school, school.ann, id)
    expect((await begin(school, school.ben, id)).attemptId).toBe(attemptId)
    mustBeOk(
      await saveAnswers(school.deps, school.ben, {
        attemptId,
        saves: [aChange('1', { kind: 'single', choice: 'b' })],
      }),
      'the other saves',
    )
    expect((await seen(school, school.ann, id)).open?.answers).toEqual({
      '1': { kind: 'single', choice: 'b' },
    })
    expect((await seen(school, school.ben, id)).open?.attemptId).toBe(attemptId)
    mustBeOk(await hand(school, school.ben, attemptId, []), 'the other hands in')
    // twice, and by the other one, is the same as once
    mustBeOk(await hand(school, school.ann, attemptId, []), 'again')
    expect((await seen(school, school.ann, id)).seen).toHaveLength(1)
    expect((await seen(school, school.ben, id)).seen).toHaveLength(1)
  })

  it('tells with whom, and nobody else', async () => {
    const { school, dora, id } = await together()
    expect((await seen(school, school.ann, id)).mates).toEqual(['Ben Birch'])
    expect((await seen(school, dora, id)).mates).toEqual([])
    const { attemptId } = await begin(school, school.ann, id)
    for (const stranger of [dora, school.cleo])
      expect((await hand(school, stranger, attemptId)).error?.code).toBe('access/not-found')
    expect((await begin(school, dora, id)).attemptId).not.toBe(attemptId)
  })

  it('is judged apart: lateness by each one’s own due date', async () => {
    const late = { percentPerDay: 50, per: 'calendar-day' as const, floorPercent: 0 }
    const { school, id } = await together({
      rules: rules({ late }),
      window: {
        listed: null,
        opens: null,
        due: through('2026-09-04'),
        closes: through('2026-09-20'),
        putAway: null,
      },
    })
    mustBeOk(
      await giveMore(school.deps, school.teacher, {
        assignmentId: id,
        learnerIds: [school.ben.userId],
        more: { kind: 'until', on: '2026-09-10' as never },
      }),
      'more time for Ben',
    )
    school.clock.set(at('09-05T16:00'))
    const { attemptId } = await begin(school, school.ann, id)
    mustBeOk(await hand(school, school.ann, attemptId), 'hand in')
    const { cells } = mustBeOk(await showGrid(school.deps, school.teacher, school.a.classId), 'grid')
    const ratioOf = (who: Learner) => cells.find((c) => c.learnerId === who.userId)?.ratio
    expect([ratioOf(school.ann), ratioOf(school.ben)]).toEqual([0.5, 1])
  })

  it('reaches nobody who is excused, and leaves them to work alone afterwards', async () => {
    const { school, id } = await together()
    const excuse = { assignmentId: id, learnerIds: [school.ben.userId] }
    mustBeOk(await giveMore(school.deps, school.teacher, { ...excuse, more: { kind: 'excused' } }), 'excuse')
    const { attemptId } = await begin(school, school.ann, id)
    mustBeOk(await hand(school, school.ann, attemptId), 'hand in')
    expect(mustBeOk(await listMyWork(school.deps, school.ben), 'list').work).toEqual([])
    mustBeOk(
      await giveMore(school.deps, school.teacher, { ...excuse, more: { kind: 'not-excused' } }),
      'no longer',
    )
    expect((await seen(school, school.ben, id)).seen).toEqual([])
    expect((await begin(school, school.ben, id)).number).toBe(1)
  })

  it('is handed in for all when its time is over', async () => {
    const { school, id } = await together({ rules: rules({ timeLimitMinutes: 10, maxAttempts: 1 }) })
    await begin(school, school.ann, id)
    school.clock.set(at('09-01T12:20'))
    const of = await seen(school, school.ben, id)
    expect(of.seen.map((t) => t.endedBy)).toEqual(['time-limit'])
    expect((await startTry(school.deps, school.ben, only(id))).error?.code).toBe('attempts/none-left')
  })

  it('does not keep learners of one team from work of their own when it is handed in alone', async () => {
    const school = await aSchool()
    const id = await publish(school, { teams: [[school.ann.userId, school.ben.userId]] })
    const { attemptId } = await begin(school, school.ann, id)
    expect((await begin(school, school.ben, id)).attemptId).not.toBe(attemptId)
    mustBeOk(await hand(school, school.ann, attemptId), 'hand in')
    expect((await seen(school, school.ben, id)).seen).toEqual([])
    expect((await learnerWorkOf(school.deps.store.read, [id])).length).toBe(3)
    expect(aDraft(school).teams).toEqual([])
  })
})
