import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Result } from '#core/base'
import { AS_PLANNED } from '#core/pacing'
import type { PacingCommand } from '#core/pacing'
import type { Desk, Replanned } from '#shared/contracts/pacing'
import type { Refusal } from '#shared/contracts/refusal'
import { aLesson, aPlan, at, aYear, ids, onDays } from '../../../../tests/support/made'
import { useDesk } from './desk'

type Answer = Result<unknown, Refusal>
/** Requests that wait for an answer, in the order in which they were sent. */
const asked: ((answer: Answer) => void)[] = []
vi.mock('~/shared/wire/call', () => ({
  call: () => new Promise<Answer>((resolve) => asked.push(resolve)),
}))

const plan = aPlan([aLesson('1', 1), aLesson('2', 1)])
const classId = ids.class('a')
const desk: Desk = {
  year: aYear(),
  plans: [plan],
  myPlanIds: [plan.id],
  mayEditYear: true,
  classes: [
    {
      id: classId,
      name: 'Class A',
      shortName: 'A',
      course: 'S',
      planId: plan.id,
      version: 1,
      pattern: onDays(1, 3, 5),
      pacing: AS_PLANNED,
      learners: 2,
      mayChange: true,
    },
  ],
  work: [],
  steps: { undo: null, redo: null },
  now: at('09-01T00:00'),
}
const longer = (id: string, from: number | null, to: number | null): PacingCommand => ({
  kind: 'length',
  classId,
  lessonId: ids.lesson(id),
  from,
  to,
})
const LOST: Answer = { ok: false, error: { code: 'wire/lost' } }
const done = (lengths: Record<string, number>): Answer => {
  const pacing = { ...AS_PLANNED, lengths } as typeof AS_PLANNED
  const reply: Replanned = {
    classes: [{ id: classId, version: 2, pacing, pattern: onDays(1, 3, 5) }],
    affected: [classId],
    year: null,
    plans: [],
    work: [],
    moved: 0,
    stuck: [],
    steps: { undo: null, redo: null },
  }
  return { ok: true, value: reply }
}
const settled = () => new Promise((resolve) => setTimeout(resolve))

async function loaded() {
  const store = useDesk()
  const load = store.load()
  asked.shift()?.({ ok: true, value: desk })
  await load
  return store
}
const lengthsOf = (store: ReturnType<typeof useDesk>) => store.desk?.classes[0]?.pacing.lengths

describe('the desk while acts are on their way', () => {
  beforeEach(() => {
    asked.length = 0
    setActivePinia(createPinia())
  })

  it('shows an act at once and keeps what the server says', async () => {
    const store = await loaded()
    const act = store.act(longer('1', null, 4))
    await settled()
    expect(lengthsOf(store)).toEqual({ 1: 4 })
    expect(store.busy).toBe(true)
    asked.shift()?.(done({ 1: 4 }))
    expect((await act).ok).toBe(true)
    expect(lengthsOf(store)).toEqual({ 1: 4 })
    expect(store.busy).toBe(false)
  })

  it('forgets both of two acts that are lost', async () => {
    const store = await loaded()
    const acts = [store.act(longer('1', null, 4)), store.act(longer('2', null, 6))]
    expect(lengthsOf(store)).toEqual({ 1: 4, 2: 6 })
    await settled()
    asked.shift()?.(LOST)
    await settled()
    expect(lengthsOf(store)).toEqual({ 2: 6 })
    asked.shift()?.(LOST)
    expect((await Promise.all(acts)).map((reply) => reply.ok)).toEqual([false, false])
    expect(lengthsOf(store)).toEqual({})
  })

  it('sends acts one after the other, so that the second builds on the first', async () => {
    const store = await loaded()
    const acts = [store.act(longer('1', null, 4)), store.act(longer('1', 4, 5))]
    await settled()
    expect(asked).toHaveLength(1)
    asked.shift()?.(done({ 1: 4 }))
    await settled()
    expect(lengthsOf(store)).toEqual({ 1: 5 })
    asked.shift()?.(done({ 1: 5 }))
    await Promise.all(acts)
    expect(lengthsOf(store)).toEqual({ 1: 5 })
  })

  it('loads anew when somebody else changed the same thing', async () => {
    const store = await loaded()
    const act = store.act(longer('1', null, 4))
    await settled()
    const seen = { of: 'length', unit: 'meetings', amount: null } as const
    const error: Refusal = {
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen,
      now: { ...seen, amount: 6 },
    }
    asked.shift()?.({ ok: false, error })
    await settled()
    const theirs = { ...AS_PLANNED, lengths: { [ids.lesson('1')]: 6 } }
    asked.shift()?.({
      ok: true,
      value: { ...desk, classes: desk.classes.map((c) => ({ ...c, pacing: theirs })) },
    })
    await act
    expect(lengthsOf(store)).toEqual({ 1: 6 })
  })

  it('says no longer what was wrong once it has loaded', async () => {
    const store = useDesk()
    const first = store.load()
    asked.shift()?.(LOST)
    await first
    expect(store.problem).toEqual({ code: 'wire/lost' })
    const second = store.load()
    asked.shift()?.({ ok: true, value: desk })
    await second
    expect(store.problem).toBeNull()
  })
})
