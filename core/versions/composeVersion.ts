import type { Item, Resource } from '../library'
import { EMPTY_LAYER } from './emptyLayer'
import { keptItems } from './keptItems'
import { placeMarks } from './marks'
import { isSupportItem, supportItems } from './supportItems'
import type { Layer, LegendEntry, Mark } from './types'

/** What stands beside the core for a learner. No name of a trail or of a version is in it. */
export interface Support extends Omit<Layer, 'hints' | 'items' | 'marks' | 'legend'> {
  /** Only those whose words are in the text. */
  readonly marks: readonly Mark[]
  /** Only what a mark is of. */
  readonly legend: readonly LegendEntry[]
}

/** What one learner gets: the core, what they fill in of the support, its questions with their hints, the support. */
export interface ComposedVersion {
  readonly resource: Resource
  readonly support: Support
}

/**
 * Lays support over a piece. All of the core stays, but for questions where the layer asks fewer; what of the layer no
 * longer fits the core is left out (`misfitsOf` reports it).
 */
export function composeVersion(core: Resource, layer: Layer): ComposedVersion {
  const { hints, items, marks } = layer
  const placed = placeMarks(core.content, marks).placed.map((p) => p.mark)
  const hintOf = new Map(hints.map((h) => [h.itemId, h.hint]))
  const hinted = (item: Item): Item => ({ ...item, hint: hintOf.get(item.id) ?? item.hint })
  const asked = keptItems(
    core.items.filter((item) => !isSupportItem(item)),
    items,
  )
  return {
    resource: { ...core, items: [...supportItems(layer), ...asked.map(hinted)] },
    support: composeSupport(layer, placed),
  }
}

function composeSupport(layer: Layer, placed: readonly Mark[]): Support {
  const { hints: _, items: __, legend, ...support } = layer
  const isUsed = (entry: LegendEntry) => placed.some((mark) => mark.sort === entry.id)
  return { ...support, marks: placed, legend: legend.filter(isUsed) }
}

/** What lies over a piece when nothing does. */
export const NO_SUPPORT: Support = composeSupport(EMPTY_LAYER, [])
