import { beforeEach, describe, expect, it, vi } from 'vitest'
import { asId } from '#core/base'
import type { TrailId } from '#core/base'
import { DEFAULT_THRESHOLDS } from '#core/versions'
import type { TrailRow, TrailSheet } from '#shared/contracts/versions'
import { ids } from '../../../../tests/support/made'
import { useTrailSteps } from './trailSteps'

const call = vi.hoisted(() => vi.fn())
vi.mock('~/shared/frame/tell', () => ({ useTell: () => ({ done: () => undefined }) }))
vi.mock('~/shared/frame/dialogs', () => ({ useDialogs: () => () => Promise.resolve(null) }))
vi.mock('~/shared/conflict/StillMeant.vue', () => ({ default: {} }))
vi.mock('~/shared/conflict/BothValues.vue', () => ({ default: {} }))
vi.mock('~/shared/wire/call', () => ({ call }))

const [low, middle, high] = ['low', 'middle', 'high'].map((id) => asId<TrailId>(id)) as [
  TrailId,
  TrailId,
  TrailId,
]
const row = (id: string, trailId: TrailId, percents: readonly (number | null)[], part: object = {}) =>
  ({
    learnerId: ids.user(id),
    trailId,
    points: percents.map((percent) => ({ percent })),
    next: { step: 'stay', stuck: null },
    ...part,
  }) as unknown as TrailRow
const ann = row('ann', low, [90, null], { next: { step: 'more', to: middle, stuck: null } })
const bo = row('bo', middle, [64])
const cy = row('cy', high, [], { next: { step: 'stay', stuck: { since: 1 } } })
const sheet = {
  trails: [{ id: low }, { id: middle }, { id: high }],
  thresholds: DEFAULT_THRESHOLDS,
  groups: [{ id: 'g', name: 'Early', learnerIds: [bo.learnerId] }],
  rows: [ann, bo, cy],
} as unknown as TrailSheet

async function loaded() {
  call.mockResolvedValueOnce({ ok: true, value: sheet })
  const steps = useTrailSteps(ids.class('a'))
  await steps.load()
  return steps
}

describe('a trail sheet', () => {
  beforeEach(() => {
    call.mockReset()
  })

  it('shows who is asked for, low and high by the last score that there is', async () => {
    const { rows, shown } = await loaded()
    const seen = (which: typeof shown.value) => {
      shown.value = which
      return rows.value.map((r) => r.learnerId)
    }
    expect(seen('all')).toEqual(['ann', 'bo', 'cy'])
    expect(seen('suggested')).toEqual(['ann'])
    expect(seen('stuck')).toEqual(['cy'])
    expect(seen('low')).toEqual(['bo'])
    expect(seen('high')).toEqual(['ann'])
    expect(seen('group g')).toEqual(['bo'])
    expect(seen('group gone')).toEqual([])
  })

  it('moves by one trail, stops at both ends, and forgets a step that leads back', async () => {
    const { move, nextOf, steps } = await loaded()
    move(ann, -1)
    expect(steps.value.size).toBe(0)
    move(ann, 1)
    move(ann, 1)
    move(ann, 1)
    expect(nextOf(ann)).toBe(high)
    move(ann, -1)
    move(ann, -1)
    expect(steps.value.size).toBe(0)
  })

  it('takes what is suggested of those that are shown, and keeps all steps in one act', async () => {
    const { takeAll, keep, steps, shown } = await loaded()
    shown.value = 'low'
    takeAll()
    expect(steps.value.size).toBe(0)
    shown.value = 'all'
    takeAll()
    call.mockResolvedValueOnce({ ok: true, value: { moved: 1 } })
    call.mockResolvedValueOnce({ ok: true, value: sheet })
    await keep()
    const learners = [{ learnerId: 'ann', trailId: middle, seen: low }]
    const body = { usual: null, seenUsual: null, learners }
    expect(call).toHaveBeenCalledWith(expect.anything(), { params: { classId: 'a' }, body })
    expect(steps.value.size).toBe(0)
  })

  it('keeps the steps when they were refused', async () => {
    const { move, keep, steps } = await loaded()
    move(bo, 1)
    call.mockResolvedValueOnce({ ok: false, error: { code: 'access/denied' } })
    await keep()
    expect(steps.value.get(bo.learnerId)).toBe(high)
  })
})
