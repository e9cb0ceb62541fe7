import { same } from '../base'
import type { Layer } from './types'

/** No support: what learners get is the piece as it is. */
export const EMPTY_LAYER: Layer = {
  wordBank: [],
  glossary: [],
  starters: [],
  frames: [],
  legend: [],
  marks: [],
  organisers: [],
  hints: [],
  steps: [],
  items: { kind: 'all' },
  example: '',
  readAloud: false,
  largerType: false,
  translation: null,
}

/** The parts of a layer that a teacher can add, in the order in which they are offered. */
export const LAYER_PARTS = [
  'steps',
  'wordBank',
  'glossary',
  'starters',
  'frames',
  'marks',
  'organisers',
  'hints',
  'items',
  'example',
  'readAloud',
  'largerType',
  'translation',
] as const satisfies readonly (keyof Layer)[]
export type LayerPart = (typeof LAYER_PARTS)[number]

/** The parts of a layer that have something in them. */
export function partsIn(layer: Layer): readonly LayerPart[] {
  return LAYER_PARTS.filter((part) => !same(layer[part], EMPTY_LAYER[part]))
}
