import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { AnswerSaves } from '#db/repositories'
import { answersOf } from '#db/repositories'
import { startTry } from '#usecases/learning/tries'
import { handIn } from '#usecases/learning/tries'
import { aChange, at, ids, only } from '../support/made'
import { aSchool, publish } from '../support/world'

describe('gathered saves', () => {
  it('keeps the last of several saves of one answer, and all of many', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const { attemptId } = mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start')
    const save = (item: string, i: number): AnswerSaves => ({
      attemptId,
      changes: [aChange(item, { kind: 'text', text: `v${i}` }, { edit: i + 1 })],
      savedAt: at('09-01T12:00'),
    })
    const done = await Promise.all(
      Array.from({ length: 500 }, (_, i) => school.deps.store.saveAnswers(save(`i${i % 50}`, i))),
    )
    expect(done.every(Boolean)).toBe(true)
    const kept = (await answersOf(school.deps.store.read, [attemptId])).get(attemptId)
    expect(kept?.size).toBe(50)
    expect(kept?.get(ids.item('i7'))).toEqual({ kind: 'text', text: 'v457' })
  })

  it('takes nothing into a try that was handed in, and says so to that caller only', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const ann = mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start').attemptId
    const ben = mustBeOk(await startTry(school.deps, school.ben, only(id)), 'start').attemptId
    mustBeOk(await handIn(school.deps, school.ann, { attemptId: ann, saves: [] }), 'in')
    const save = (attemptId: typeof ann): AnswerSaves => ({
      attemptId,
      changes: [aChange('4', { kind: 'text', text: 'x' })],
      savedAt: at('09-01T12:00'),
    })
    expect(
      await Promise.all([school.deps.store.saveAnswers(save(ann)), school.deps.store.saveAnswers(save(ben))]),
    ).toMatchObject([null, [{ taken: 'written', stands: { revision: 1 } }]])
    const kept = await answersOf(school.deps.store.read, [ann, ben])
    expect([kept.get(ann)?.size, kept.get(ben)?.size]).toEqual([0, 1])
  })

  it('is seen by readers as soon as it is acknowledged', async () => {
    const school = await aSchool()
    const id = await publish(school)
    const { attemptId } = mustBeOk(await startTry(school.deps, school.ann, only(id)), 'start')
    for (let i = 0; i < 20; i++) {
      await school.deps.store.saveAnswers({
        attemptId,
        changes: [aChange('4', { kind: 'text', text: `${i}` }, { edit: i + 1 })],
        savedAt: at('09-01T12:00'),
      })
      expect(
        (await answersOf(school.deps.store.read, [attemptId])).get(attemptId)?.get(ids.item('4')),
      ).toEqual({ kind: 'text', text: `${i}` })
    }
  })
})
