import { computed, ref, shallowRef } from 'vue'
import type { ResourceId, TrailId } from '#core/base'
import { EMPTY_LAYER, LAYER_COMBINING } from '#core/versions'
import type { Layer } from '#core/versions'
import { LookInside } from '#shared/contracts/library'
import type { Inside } from '#shared/contracts/library'
import { DropLayer, KeepLayer, ShowVersions } from '#shared/contracts/versions'
import type { PieceVersions } from '#shared/contracts/versions'
import { useDesk } from '~/places/pace'
import { useCombining } from '~/shared/conflict/combining'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { LAYER_CONFLICT } from '../words/conflicts'

/** A piece with its versions: one for each trail of the school, the core where nothing lies over it. */
export function usePieceVersions(resourceId: ResourceId) {
  // undo stands in its bar
  const desk = useDesk()
  const combining = useCombining()
  const stillMeant = useStillMeant()
  const inside = shallowRef<Inside | null>(null)
  const versions = shallowRef<PieceVersions | null>(null)
  const problem = ref('')

  async function load(): Promise<void> {
    const params = { resourceId }
    const [core, of] = await Promise.all([call(LookInside, { params }), call(ShowVersions, { params })])
    const bad = core.ok ? of.error : core.error
    problem.value = bad ? sayRefusal(bad) : ''
    if (core.ok) inside.value = core.value
    if (of.ok) versions.value = of.value
  }
  const standing = (trailId: TrailId) => versions.value?.layers.find((l) => l.trailId === trailId)
  const layerOf = (trailId: TrailId): Layer => standing(trailId)?.layer ?? EMPTY_LAYER
  const mayDrop = (trailId: TrailId) => standing(trailId)?.mayDrop ?? false
  const isMade = (trailId: TrailId) => standing(trailId) !== undefined

  /** A version as it was opened, and as it stands. */
  const aboutLayer = (trailId: TrailId) => ({
    what: 'this version',
    parts: LAYER_COMBINING,
    words: LAYER_CONFLICT,
    seen: { value: layerOf(trailId), version: standing(trailId)?.version ?? 0 },
    current: async () => {
      const now = await call(ShowVersions, { params: { resourceId } })
      if (!now.ok) return null
      const stands = now.value.layers.find((l) => l.trailId === trailId)
      return { value: stands?.layer ?? EMPTY_LAYER, version: stands?.version ?? 0 }
    },
  })
  async function keep(trailId: TrailId, layer: Layer) {
    const reply = await combining({
      ...aboutLayer(trailId),
      mine: layer,
      send: (mine, { version }) =>
        call(KeepLayer, { params: { resourceId, trailId }, body: { version, layer: mine } }),
    })
    if (reply?.ok) await Promise.all([load(), desk.load(true)])
    return reply
  }
  async function drop(trailId: TrailId) {
    const reply = await stillMeant({
      ...aboutLayer(trailId),
      act: 'Remove it all the same',
      send: ({ version }) => call(DropLayer, { params: { resourceId, trailId }, body: { version } }),
    })
    if (reply?.ok) await Promise.all([load(), desk.load(true)])
    return reply
  }
  return {
    core: computed(() => inside.value?.resource ?? null),
    trails: computed(() => versions.value?.trails ?? []),
    problem,
    load,
    layerOf,
    isMade,
    mayDrop,
    keep,
    drop,
  }
}
