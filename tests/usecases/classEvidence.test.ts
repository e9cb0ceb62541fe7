import { beforeEach, describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { AssignmentId } from '#core/base'
import { countedRatio } from '#core/attempts'
import { attemptsOf, learnerWorkOf, scoresOf, termsInClass, triesOfLearners } from '#db/repositories'
import { handIn, startTry } from '#usecases/learning/tries'
import { aChange, only } from '../support/made'
import { aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

let school: TestSchool
let work: AssignmentId

beforeEach(async () => {
  school = await aSchool()
  work = await publish(school)
  const { deps, ann, ben } = school
  const { attemptId } = mustBeOk(await startTry(deps, ann, only(work)), 'ann')
  const saves = [aChange('1', { kind: 'single', choice: 'b' })]
  mustBeOk(await handIn(deps, ann, { attemptId, saves }), 'in')
  mustBeOk(await startTry(deps, ben, only(work)), 'ben')
})

describe('what a class has and did, read as a list', () => {
  it('are the same tries as read one by one, of these learners only', async () => {
    const { deps, ann, ben } = school
    const tx = deps.store.read
    const whole = await attemptsOf(tx, [work])
    const inShort = whole.map(({ itemIds: _, score, ...of }) => {
      const ratio = score && countedRatio(score)
      const waitingIds = (score?.items ?? []).filter((s) => s.waits).map((s) => s.itemId)
      return { ...of, score: ratio === null ? null : { ratio }, waitingIds }
    })
    const byId = (a: { readonly id: string }, b: { readonly id: string }) => a.id.localeCompare(b.id)
    const both = await triesOfLearners(tx, [ann.userId, ben.userId], [work])
    expect(both).toHaveLength(2)
    expect(both.toSorted(byId)).toEqual(inShort.toSorted(byId))
    expect((await triesOfLearners(tx, [ben.userId], [work])).map((t) => t.learnerId)).toEqual([ben.userId])
    const scores = new Map(whole.flatMap((t) => (t.score ? [[t.id, t.score] as const] : [])))
    expect(scores.size).toBe(1)
    expect(
      await scoresOf(
        tx,
        whole.map((t) => t.id),
      ),
    ).toEqual(scores)
  })

  it('is the same work, of this class only', async () => {
    const { deps, a, b } = school
    const tx = deps.store.read
    const rows = (await learnerWorkOf(tx, [work])).map(({ because: _, ...terms }) => terms)
    const own = rows.filter((r) => r.classId === a.classId)
    const byLearner = (x: { readonly learnerId: string }, y: { readonly learnerId: string }) =>
      x.learnerId.localeCompare(y.learnerId)
    expect(own.length).toBeGreaterThan(0)
    expect((await termsInClass(tx, a.classId, [work])).toSorted(byLearner)).toEqual(own.toSorted(byLearner))
    expect(await termsInClass(tx, b.classId, [work])).toEqual(rows.filter((r) => r.classId === b.classId))
    expect(await termsInClass(tx, a.classId, [])).toEqual([])
  })
})
