import type { Item, Resource } from '../library'
import { keptItems } from './keptItems'
import { placeMarks } from './marks'
import type { Layer, LegendEntry, Mark } from './types'

/** What stands beside the core for a learner. No name of a trail or of a version is in it. */
export interface Support extends Omit<Layer, 'hints' | 'items' | 'marks' | 'legend'> {
  /** Only those whose words are in the text. */
  readonly marks: readonly Mark[]
  /** Only what a mark is of. */
  readonly legend: readonly LegendEntry[]
}

/** What one learner gets: the core, its questions with their hints, and the support. */
export interface ComposedVersion {
  readonly resource: Resource
  readonly support: Support
}

/**
 * Lays support over a piece. All of the core stays, but for questions where the layer asks fewer; what of the layer no
 * longer fits the core is left out (`misfitsOf` reports it).
 */
export function composeVersion(core: Resource, layer: Layer): ComposedVersion {
  const { hints, items, marks, legend, ...support } = layer
  const placed = placeMarks(core.content, marks).placed.map((p) => p.mark)
  const hintOf = new Map(hints.map((h) => [h.itemId, h.hint]))
  const hinted = (item: Item): Item => ({ ...item, hint: hintOf.get(item.id) ?? item.hint })
  return {
    resource: { ...core, items: keptItems(core.items, items).map(hinted) },
    support: {
      ...support,
      marks: placed,
      legend: legend.filter((entry) => placed.some((mark) => mark.sort === entry.id)),
    },
  }
}
