import type { Parts } from '../combining'
import type { StepThresholds } from './suggest'
import type { Layer, Trail } from './types'

/** Entries that have a name of their own one by one; what is read in its order, as a whole. */
export const LAYER_COMBINING: Parts<Layer> = {
  wordBank: { nameOf: (word) => word },
  glossary: { nameOf: (entry) => entry.word },
  starters: { nameOf: (starter) => starter },
  frames: { nameOf: (frame) => frame.id },
  legend: { nameOf: (entry) => entry.id },
  marks: { nameOf: (mark) => `${mark.sort} ${mark.nth} ${mark.quote}` },
  organisers: 'whole',
  hints: { nameOf: (hint) => hint.itemId },
  steps: 'whole',
  items: 'whole',
  example: 'whole',
  readAloud: 'whole',
  largerType: 'whole',
  translation: 'whole',
}

/** A school's trails and from which scores a step is suggested. */
export interface TrailSetting {
  readonly trails: readonly Trail[]
  readonly thresholds: StepThresholds
}
export const TRAIL_SETTING_PARTS: Parts<TrailSetting> = {
  trails: { nameOf: (trail) => trail.id },
  thresholds: 'fields',
}
