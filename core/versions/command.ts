import type { ResourceId, TrailId } from '../base'
import type { Layer } from './types'

/** A version of a piece laid, changed, or (to null) taken off for the learners on a trail. */
export interface LayerCommand {
  readonly kind: 'layer'
  readonly resourceId: ResourceId
  readonly trailId: TrailId
  /** The piece's title. */
  readonly title: string
  readonly from: Layer | null
  readonly to: Layer | null
}

/** The same as it is said. */
export interface LayerStep extends Pick<LayerCommand, 'kind' | 'title'> {
  readonly what: 'laid' | 'changed' | 'taken-off'
}

/** An act as whoever looks at undo, redo or the history needs it. */
export function asLayerStep({ kind, title, from, to }: LayerCommand): LayerStep {
  if (to === null) return { kind, title, what: 'taken-off' }
  return { kind, title, what: from === null ? 'laid' : 'changed' }
}
