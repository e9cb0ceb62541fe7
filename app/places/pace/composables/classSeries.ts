import { computed, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { ClassId, ResourceId, SeriesId } from '#core/base'
import { layRows, overlapsIn } from '#core/series'
import type { Series } from '#core/series'
import {
  ChangeSeries,
  ClearSeries,
  MakeSeries,
  ReleaseSeries,
  RemoveSeries,
  ShowSeries,
} from '#shared/contracts/series'
import type { ClassSeries, KeptSeries, SeriesPiece } from '#shared/contracts/series'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { count } from '~/shared/words/numbers'
import { useDesk } from '../stores/desk'
import type { SeriesLane } from './seriesLane'

/** A class's series, each change kept at once and one after the other; what fails is put back and said. */
export function useClassSeries(classId: Ref<ClassId | null>) {
  const desk = useDesk()
  const tell = useTell()
  const said = shallowRef<ClassSeries | null>(null)
  const problem = ref('')
  const busy = ref(0)
  /** Pieces that were added here and that the server has not told of yet. */
  const added = shallowRef<ReadonlyMap<ResourceId, SeriesPiece>>(new Map())

  async function load(): Promise<void> {
    const id = classId.value
    if (!id) return
    const reply = await call(ShowSeries, { params: { classId: id } })
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    // what was asked before an act would undo it on screen
    if (reply.ok && classId.value === id && busy.value === 0) said.value = reply.value
  }
  watch(
    [classId, () => desk.steps],
    () => {
      if (busy.value === 0) void load()
    },
    { immediate: true },
  )

  const pieces = computed(
    () => new Map([...added.value, ...(said.value?.pieces ?? []).map((p) => [p.id, p] as const)]),
  )
  const lanes = computed<readonly SeriesLane[]>(() =>
    (said.value?.series ?? []).map((kept) => {
      const laid = said.value ? layRows(kept.series, said.value.days) : []
      const released = new Map(kept.rows.map((r) => [r.rowId, r]))
      const waiting = laid.filter((r) => r.days !== null && !released.has(r.rowId)).length
      const byRow = new Map(kept.series.rows.map((r) => [r.id, pieces.value.get(r.resourceId)]))
      const titleOf = (rowId: string) => byRow.get(rowId)?.title ?? 'a piece'
      return { kept, laid, released, waiting, overlaps: overlapsIn(laid), titleOf }
    }),
  )

  /** Acts go out one after the other, each on what the one before has left. */
  let sending: Promise<unknown> = Promise.resolve()
  function act(send: (kept: (id: SeriesId) => KeptSeries | undefined) => Promise<boolean>): Promise<boolean> {
    busy.value++
    const done = sending.then(async () => {
      const isDone = await send((id) => said.value?.series.find((s) => s.id === id))
      busy.value--
      // what the server says now would undo on screen what is still on its way
      if (busy.value === 0) await Promise.all([load(), desk.load(true)])
      return isDone
    })
    sending = done
    return done
  }

  function patch(id: SeriesId, part: Partial<KeptSeries>): void {
    if (!said.value) return
    const list = said.value.series.map((s) => (s.id === id ? { ...s, ...part } : s))
    said.value = { ...said.value, series: list }
  }
  /** Shown at once, kept when the server agrees. */
  function change(id: SeriesId, series: Series): Promise<boolean> {
    patch(id, { series })
    return act(async (kept) => {
      const version = kept(id)?.version
      if (version === undefined) return false
      const reply = await call(ChangeSeries, { params: { seriesId: id }, body: { version, series } })
      if (reply.ok) patch(id, { version: reply.value.version })
      else tell.refused(reply.error)
      return reply.ok
    })
  }
  function make(series: Series): Promise<SeriesId | null> {
    let made: SeriesId | null = null
    return act(async () => {
      const reply = await call(MakeSeries, { body: { series } })
      if (reply.ok) made = reply.value.seriesId
      else tell.refused(reply.error)
      return reply.ok
    }).then(() => made)
  }
  const WORDS = { release: 'released', clear: 'cleared' } as const
  const CONTRACTS = { release: ReleaseSeries, clear: ClearSeries, remove: RemoveSeries } as const
  function doTo(id: SeriesId, what: keyof typeof CONTRACTS): Promise<boolean> {
    return act(async (kept) => {
      const version = kept(id)?.version
      if (version === undefined) return false
      const reply = await call(CONTRACTS[what], { params: { seriesId: id }, body: { version } })
      if (!reply.ok) tell.refused(reply.error)
      else if (what !== 'remove') tell.done(`${count(reply.value.rows, 'row')} ${WORDS[what]}`)
      return reply.ok
    })
  }
  function know(list: readonly SeriesPiece[]): void {
    added.value = new Map([...added.value, ...list.map((p) => [p.id, p] as const)])
  }
  return { said, problem, busy, pieces, lanes, change, make, doTo, know }
}
