import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { asId } from '#core/base'
import type { ClassId, SeriesId } from '#core/base'
import type { Series } from '#core/series'
import { ids } from '../../../../tests/support/made'
import { useClassSeries } from './classSeries'

const call = vi.hoisted(() => vi.fn())
vi.mock('~/shared/frame/dialogs', () => ({ useDialogs: () => () => Promise.resolve(null) }))
vi.mock('~/shared/conflict/StillMeant.vue', () => ({ default: {} }))
vi.mock('~/shared/conflict/BothValues.vue', () => ({ default: {} }))
vi.mock('~/shared/wire/call', () => ({ call }))
const tell = { refused: vi.fn(), done: vi.fn() }
vi.mock('~/shared/frame/tell', () => ({ useTell: () => tell }))
const desk = { steps: 0, load: vi.fn(() => Promise.resolve()) }
vi.mock('../stores/desk', () => ({ useDesk: () => desk }))

const room = ids.class('a')
const id = asId<SeriesId>('s')
const NOTHING = { rule: { kind: 'explicit' }, rows: [], targets: [], rules: {} }
const series = (title: string) => ({ ...NOTHING, title }) as unknown as Series
const kept = (title: string, version: number) => ({ id, version, series: series(title), rows: [] })
const shown = (title: string, version: number) => ({
  ok: true,
  value: { name: 'A', series: [kept(title, version)], pieces: [], days: [] },
})
const answers = (...list: readonly object[]) => {
  for (const one of list) call.mockResolvedValueOnce(one)
}

async function loaded() {
  answers(shown('Warm-ups', 1))
  const of = useClassSeries(ref<ClassId | null>(room))
  await vi.waitFor(() => expect(of.said.value).not.toBeNull())
  return of
}
const titles = (of: ReturnType<typeof useClassSeries>) => of.lanes.value.map((l) => l.kept.series.title)

describe('a class’s series', () => {
  beforeEach(() => {
    call.mockReset()
    tell.refused.mockReset()
    desk.load.mockClear()
  })

  it('shows a change at once, and sends the next one on the version that the first has left', async () => {
    const of = await loaded()
    answers({ ok: true, value: { version: 2 } }, { ok: true, value: { version: 3 } }, shown('Third', 3))
    const first = of.change(id, series('Second'))
    const second = of.change(id, series('Third'))
    expect(titles(of)).toEqual(['Third'])
    expect(await first).toBe(true)
    expect(await second).toBe(true)
    expect(call.mock.calls[1]?.[1].body.version).toBe(1)
    expect(call.mock.calls[2]?.[1].body.version).toBe(2)
    // asked once for both, when nothing was on its way any more
    expect(call).toHaveBeenCalledTimes(4)
    expect(desk.load).toHaveBeenCalledOnce()
  })

  it('keeps what a colleague added while several changes were on their way', async () => {
    const of = await loaded()
    const theirs = { ...series('Warm-ups'), targets: [{ kind: 'class', classId: room }] } as unknown as Series
    const stale = { ok: false, error: { code: 'access/changed-meanwhile', by: null } }
    const there = (version: number, series: Series) => ({
      ok: true,
      value: { series: [{ id, version, series, rows: [] }] },
    })
    answers(stale, there(5, theirs), { ok: true, value: { version: 6 } })
    // the second was made of what the first was to leave: what it has left is asked for
    answers(there(6, { ...theirs, title: 'Second' }), { ok: true, value: { version: 7 } }, shown('Third', 7))
    void of.change(id, series('Second'))
    expect(await of.change(id, series('Third'))).toBe(true)
    expect(call.mock.calls.at(-2)?.[1].body).toEqual({
      version: 6,
      series: { ...theirs, title: 'Third' },
    })
  })

  it('says what was refused, and shows again what the server has', async () => {
    const of = await loaded()
    answers({ ok: false, error: { code: 'access/denied' } }, shown('Warm-ups', 1))
    expect(await of.change(id, series('Mine'))).toBe(false)
    expect(tell.refused).toHaveBeenCalledOnce()
    expect(titles(of)).toEqual(['Warm-ups'])
  })

  it('does nothing to a series that is gone', async () => {
    const of = await loaded()
    answers(shown('Warm-ups', 1))
    expect(await of.doTo(asId<SeriesId>('gone'), 'clear')).toBe(false)
    expect(call).toHaveBeenCalledTimes(2)
  })

  it('knows a piece that was added before the server tells of it', async () => {
    const of = await loaded()
    const piece = { id: 'r', title: 'Warm-up 9' }
    of.know([piece as never])
    await nextTick()
    expect(of.pieces.value.get('r' as never)?.title).toBe('Warm-up 9')
  })

  it('takes no notice of an answer about a class that is no longer shown', async () => {
    const classId = ref<ClassId | null>(room)
    let answer: (value: object) => void = () => undefined
    call.mockReturnValueOnce(new Promise((resolve) => (answer = resolve)))
    answers(shown('Of B', 1))
    const of = useClassSeries(classId)
    classId.value = ids.class('b')
    await vi.waitFor(() => expect(titles(of)).toEqual(['Of B']))
    answer(shown('Of A', 1))
    await nextTick()
    expect(titles(of)).toEqual(['Of B'])
  })
})
