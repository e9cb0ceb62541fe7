import { computed, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { ClassId, ResourceId, SeriesId } from '#core/base'
import { same } from '#core/base'
import type { Series } from '#core/series'
import { ChangeSeries, MakeSeries, ShowSeries } from '#shared/contracts/series'
import type { ClassSeries, KeptSeries, SeriesPiece } from '#shared/contracts/series'
import { useCombining } from '~/shared/conflict/combining'
import type { Versioned } from '~/shared/conflict/combining'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { count } from '~/shared/words/numbers'
import { useDesk } from '../stores/desk'
import { CHANGED_HERE, NOT_AS_SEEN, SERIES_DEEDS, aboutSeries } from '../aboutSeries'
import { useInTurn } from './inTurn'
import { lanesOf } from './seriesLane'

/** A class's series, each change kept at once and one after the other; what fails is put back and said. */
export function useClassSeries(classId: Ref<ClassId | null>) {
  const desk = useDesk()
  const tell = useTell()
  const combining = useCombining()
  const stillMeant = useStillMeant()
  const said = shallowRef<ClassSeries | null>(null)
  const problem = ref('')
  /** What the server has of each series: an act before may have put it together with a colleague's. */
  const saved = new Map<SeriesId, Versioned<Series>>()
  const { busy, act } = useInTurn(() => Promise.all([load(), desk.load(true)]))
  /** Pieces that were added here and that the server has not told of yet. */
  const added = shallowRef<ReadonlyMap<ResourceId, SeriesPiece>>(new Map())

  async function load(): Promise<void> {
    const id = classId.value
    if (!id) return
    const reply = await call(ShowSeries, { params: { classId: id } })
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    // what was asked before an act would undo it on screen
    if (!reply.ok || classId.value !== id || busy.value > 0) return
    said.value = reply.value
    for (const of of reply.value.series) saved.set(of.id, { value: of.series, version: of.version })
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
  const lanes = computed(() => lanesOf(said.value, pieces.value))

  function patch(id: SeriesId, part: Partial<KeptSeries>): void {
    if (!said.value) return
    const list = said.value.series.map((s) => (s.id === id ? { ...s, ...part } : s))
    said.value = { ...said.value, series: list }
  }
  const about = (id: SeriesId, seen: Versioned<Series>) =>
    aboutSeries(id, seen, { of: said.value, pieceOf: (piece) => pieces.value.get(piece)?.title ?? 'a piece' })
  /** Shown at once, kept when the server agrees. */
  function change(id: SeriesId, series: Series): Promise<boolean> {
    const before = said.value?.series.find((s) => s.id === id)?.series ?? series
    patch(id, { series })
    return act(async () => {
      const stands = saved.get(id)
      if (!stands) return false
      // what was seen is what an act before was to leave; it may have left more
      const isAsSeen = same(before, stands.value)
      const reply = await combining({
        ...about(id, isAsSeen ? stands : { value: before, version: NOT_AS_SEEN }),
        mine: series,
        send: async (value, { version }) => {
          if (version === NOT_AS_SEEN) return CHANGED_HERE
          const sent = await call(ChangeSeries, {
            params: { seriesId: id },
            body: { version, series: value },
          })
          if (sent.ok) saved.set(id, { value, version: sent.value.version })
          return sent
        },
      })
      if (reply && !reply.ok) tell.refused(reply.error)
      return reply?.ok ?? false
    })
  }
  /** Makes a series; who asked is told of it before it is shown, so that what it opens does not move it afterwards. */
  function make(series: Series, onMade: (id: SeriesId) => void): Promise<boolean> {
    return act(async () => {
      const reply = await call(MakeSeries, { body: { series } })
      if (reply.ok) onMade(reply.value.seriesId)
      else tell.refused(reply.error)
      return reply.ok
    })
  }
  function doTo(id: SeriesId, what: keyof typeof SERIES_DEEDS): Promise<boolean> {
    const { contract, meant, done } = SERIES_DEEDS[what]
    return act(async () => {
      const stands = saved.get(id)
      if (!stands) return false
      const reply = await stillMeant({
        ...about(id, stands),
        act: meant,
        send: ({ version }) => call(contract, { params: { seriesId: id }, body: { version } }),
      })
      if (!reply) return false
      if (!reply.ok) tell.refused(reply.error)
      else if (done) tell.done(`${count(reply.value.rows, 'row')} ${done}`)
      if (reply.ok) saved.set(id, { ...stands, version: reply.value.version })
      return reply.ok
    })
  }
  function know(list: readonly SeriesPiece[]): void {
    added.value = new Map([...added.value, ...list.map((p) => [p.id, p] as const)])
  }
  return { said, problem, busy, pieces, lanes, change, make, doTo, know }
}
