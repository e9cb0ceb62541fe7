import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref, shallowRef } from 'vue'
import { isoDay } from '#core/base'
import type { PlacedStone } from '#core/placing'
import type { Placing } from '#shared/contracts/placing'
import { ids } from '../../../../tests/support/made'
import { usePlacing } from './placing'
import type { PlacingChoice } from './placing'

const call = vi.hoisted(() => vi.fn())
vi.mock('~/shared/frame/dialogs', () => ({ useDialogs: () => () => Promise.resolve(null) }))
vi.mock('~/shared/conflict/StillMeant.vue', () => ({ default: {} }))
vi.mock('~/shared/conflict/BothValues.vue', () => ({ default: {} }))
vi.mock('~/shared/wire/call', () => ({ call }))
const tell = { refused: vi.fn(), done: vi.fn() }
vi.mock('~/shared/frame/tell', () => ({ useTell: () => tell }))
const desk = { steps: ref(0), load: vi.fn(() => Promise.resolve()) }
vi.mock('../stores/desk', () => ({ useDesk: () => desk }))

const target = { kind: 'class', classId: ids.class('a') } as const
const choice: PlacingChoice = {
  targets: [target],
  from: isoDay('2026-09-07'),
  through: isoDay('2026-09-25'),
}
const stone = (id: string, part: Partial<PlacedStone> = {}) =>
  ({
    assignmentId: ids.work(id),
    version: 1,
    state: 'held',
    at: [{ isByDays: true }],
    ...part,
  }) as unknown as PlacedStone
const shown = (...stones: PlacedStone[]) => ({
  ok: true,
  value: { columns: [{ key: 'class a', target }], stones } as unknown as Placing,
})
const answers = (...list: readonly object[]) => {
  for (const one of list) call.mockResolvedValueOnce(one)
}

async function loaded(...stones: PlacedStone[]) {
  answers(shown(...stones))
  const of = usePlacing(shallowRef<PlacingChoice | null>(choice))
  await vi.waitFor(() => expect(of.shown.value).not.toBeNull())
  return of
}

describe('placing pieces on days', () => {
  beforeEach(() => {
    call.mockReset()
    tell.refused.mockReset()
    tell.done.mockReset()
  })

  it('moves work as it stands by now, whatever version was dragged', async () => {
    const of = await loaded(stone('w'))
    answers({ ok: true, value: {} }, shown(stone('w', { version: 2 })))
    await of.move(stone('w'), 'class a', isoDay('2026-09-09'), false)
    answers({ ok: true, value: {} }, shown(stone('w', { version: 3 })))
    await of.move(stone('w'), 'class a', isoDay('2026-09-10'), true)
    expect(call.mock.calls[3]?.[1].body).toEqual({
      assignmentId: 'w',
      version: 2,
      target,
      on: '2026-09-10',
      alone: true,
    })
  })

  it('does nothing to a column that is not there', async () => {
    const of = await loaded(stone('w'))
    expect(await of.move(stone('w'), 'class gone', isoDay('2026-09-09'), false)).toBe(false)
    expect(call).toHaveBeenCalledOnce()
  })

  it('counts and publishes what is held and lies on days, and nothing else', async () => {
    const held = stone('held')
    const onLessons = stone('hung', { at: [{ isByDays: false }] as never })
    const out = stone('out', { state: 'published' })
    const of = await loaded(held, onLessons, out)
    expect(of.goingOut.value).toBe(1)
    answers({ ok: true, value: {} }, shown(out))
    await of.publish()
    expect(call.mock.calls[1]?.[1].body.works).toEqual([{ assignmentId: 'held', version: 1 }])
    expect(tell.done).toHaveBeenCalledWith('1 piece published')
    expect(of.goingOut.value).toBe(0)
  })

  it('says what was refused, and is busy until the last act has come back', async () => {
    const of = await loaded(stone('w'))
    answers({ ok: false, error: { code: 'access/denied' } }, shown(stone('w')))
    answers({ ok: true, value: {} }, shown())
    const first = of.take(stone('w'), null)
    const second = of.take(stone('w'), 'class a')
    expect(of.isBusy.value).toBe(true)
    expect(await first).toBe(false)
    expect(of.isBusy.value).toBe(true)
    expect(await second).toBe(true)
    expect(of.isBusy.value).toBe(false)
    expect(tell.refused).toHaveBeenCalledOnce()
    expect(call.mock.calls[1]?.[1].body.target).toBeNull()
  })
})
