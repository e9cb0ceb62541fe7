import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Result } from '#core/base'
import type { Plan } from '#core/pacing'
import type { Refusal } from '#shared/contracts/refusal'
import { aLesson, aPlan, aYear, ids } from '../../../../tests/support/made'
import { usePlanDraft } from './planDraft'

type Reply = Result<unknown, Refusal>
const asked: { readonly body: unknown; readonly reply: (reply: Reply) => void }[] = []
vi.mock('~/shared/wire/call', () => ({
  call: (_: unknown, input: { readonly body?: unknown }) =>
    new Promise<Reply>((reply) => asked.push({ body: input.body, reply })),
}))
vi.mock('~/places/pace', () => ({ useDesk: () => ({ load: () => Promise.resolve() }) }))
const store = new Map<string, { value: string }>()
vi.mock('@vueuse/core', () => ({
  useLocalStorage: (key: string, start: string) => {
    const kept = store.get(key) ?? { value: start }
    store.set(key, kept)
    return kept
  },
}))

const plan = aPlan([aLesson('1', 1), aLesson('2', 1)])
const page = (of: Plan): Reply => ({
  ok: true,
  value: { plan: of, mayEdit: true, owner: 'Ada', year: aYear(), classes: [] },
})
async function loaded(of: Plan = plan) {
  const draft = usePlanDraft(plan.id)
  const load = draft.load()
  asked.shift()?.reply(page(of))
  await load
  return draft
}
const titles = (draft: ReturnType<typeof usePlanDraft>) => draft.draft.value?.lessons.map((l) => l.title)

describe('a plan being changed', () => {
  beforeEach(() => {
    asked.length = 0
    store.clear()
  })

  it('outlives a reload, and nothing is sent before it is kept', async () => {
    const first = await loaded()
    first.set(new Set([ids.lesson('1')]), { title: 'Renamed' })
    const again = await loaded()
    expect(titles(again)?.[0]).toBe('Renamed')
    expect(asked).toHaveLength(0)
    again.discard()
    expect((await loaded()).command.value).toBeNull()
  })

  it('begins anew where the plan has become another meanwhile', async () => {
    const first = await loaded()
    first.remove(new Set([ids.lesson('2')]))
    const theirs = aPlan([aLesson('1', 1), aLesson('2', 2), aLesson('3', 1)])
    const again = await loaded(theirs)
    expect(again.draft.value).toEqual(theirs)
  })

  it('is kept as one act, and forgotten once it is', async () => {
    const draft = await loaded()
    draft.set(new Set([ids.lesson('1')]), { title: 'Renamed' })
    draft.step(new Set([ids.lesson('2')]), -1)
    const command = draft.command.value
    const saving = draft.save()
    const sent = asked.shift()
    expect(sent?.body).toEqual(command)
    sent?.reply({ ok: true, value: { moved: 1 } })
    await vi.waitFor(() => expect(asked).toHaveLength(1))
    asked.shift()?.reply(page(draft.draft.value as Plan))
    expect(await saving).toEqual({ ok: true, value: { moved: 1 } })
    expect(draft.command.value).toBeNull()
    expect([...store.values()].map((kept) => kept.value)).toEqual([''])
  })

  it('stays as it is when it is refused', async () => {
    const draft = await loaded()
    draft.set(new Set([ids.lesson('1')]), { title: 'Renamed' })
    const saving = draft.save()
    asked.shift()?.reply({ ok: false, error: { code: 'wire/lost' } })
    expect((await saving).ok).toBe(false)
    expect(titles(draft)?.[0]).toBe('Renamed')
    expect([...store.values()][0]?.value).toContain('Renamed')
  })

  it('names what cannot stand before it is sent', async () => {
    const draft = await loaded()
    expect(draft.fault.value).toBeNull()
    draft.set(new Set([ids.lesson('1')]), {
      length: { unit: 'meetings', min: 9, typical: 1, max: 1 } as never,
    })
    expect(draft.fault.value).not.toBeNull()
  })

  it('adds a lesson behind another, in its unit', async () => {
    const draft = await loaded()
    const added = draft.addAfter(ids.lesson('1'))
    expect(draft.draft.value?.lessons.map((l) => l.id)).toEqual([ids.lesson('1'), added, ids.lesson('2')])
    expect(draft.draft.value?.lessons[1]?.unitId).toBe(plan.lessons[0]?.unitId)
  })
})
