import type { Because, Kinder, Layer } from './types'

const RANK: Record<Layer<never>['level'], number> = { class: 1, group: 2, learner: 3 }

/**
 * One learner's values, field by field: learner over group over class over the assignment's own default.
 * Among several layers of one level, the value kinder to the learner. Every field says where it came from.
 */
export function resolveFields<F extends object>(defaults: F, layers: readonly Layer<F>[], kinder: Kinder<F>): { readonly fields: F, readonly because: readonly Because<F>[] } {
  const fields = { ...defaults }
  const because: Because<F>[] = []
  for (const field in defaults) {
    let best: Layer<F> | null = null
    let value: F[typeof field] | undefined
    for (const layer of layers) {
      const given = layer.fields[field]
      if (given === undefined) continue
      const higher = best === null ? 1 : RANK[layer.level] - RANK[best.level]
      if (higher < 0 || (higher === 0 && kinder[field](given, value as F[typeof field]) <= 0)) continue
      best = layer
      value = given
    }
    if (best) fields[field] = value as F[typeof field]
    because.push({ field, level: best?.level ?? 'assignment', sourceId: best?.sourceId ?? null })
  }
  return { fields, because }
}
