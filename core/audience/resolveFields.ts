import type { Because, Kinder, Layer, Level } from './types'

const RANK = ['class', 'group', 'learner'] as const

/**
 * One learner's values, field by field: learner over group over class over the assignment's own default.
 * Among several layers of one level, the value kinder to the learner. Every field says where it came from.
 */
export function resolveFields<F extends object>(defaults: F, layers: readonly Layer<F>[], kinder: Kinder<F>): { readonly fields: F, readonly because: readonly Because<F>[] } {
  const fields = { ...defaults }
  const because: Because<F>[] = []
  for (const field of Object.keys(defaults) as (keyof F)[]) {
    let won: { level: Level, sourceId: string | null } = { level: 'assignment', sourceId: null }
    for (const level of RANK) {
      let best: Layer<F> | null = null
      for (const layer of layers) {
        if (layer.level !== level || !(field in layer.fields)) continue
        if (best === null || kinder[field](layer.fields[field] as F[typeof field], best.fields[field] as F[typeof field]) > 0) best = layer
      }
      if (best) {
        fields[field] = best.fields[field] as F[typeof field]
        won = { level, sourceId: best.sourceId }
      }
    }
    because.push({ field, ...won })
  }
  return { fields, because }
}
