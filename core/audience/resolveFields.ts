import { byStrength } from './levels'
import type { Because, Kinder, Layer, ResolvedFields } from './types'

/** An assignment's own values, before anybody changes anything. */
export function asDefaults<F extends object>(fields: F): ResolvedFields<F> {
  return {
    fields,
    because: (Object.keys(fields) as (keyof F)[]).map((field) => ({
      field,
      level: 'assignment',
      sourceId: null,
    })),
  }
}

/**
 * One learner's values, field by field: learner over group over class over what stands below.
 * Among several layers of one level, the value kinder to the learner. Every field says where it came from.
 * @param below the assignment's defaults, or what lower levels have made of them.
 */
export function resolveFields<F extends object>(
  below: ResolvedFields<F>,
  layers: readonly Layer<F>[],
  kinder: Kinder<F>,
): ResolvedFields<F> {
  if (layers.length === 0) return below
  const won: { [K in keyof F]?: Layer<F> } = {}
  for (const layer of layers) {
    for (const field in layer.fields) if (wins(layer, won[field], field, kinder)) won[field] = layer
  }
  const fields = { ...below.fields }
  const because = below.because.map((reason): Because<F> => {
    const { field } = reason
    const by = won[field]
    if (!by) return reason
    fields[field] = by.fields[field] as F[typeof field]
    return { field, level: by.passedOn?.get(field) ?? by.level, sourceId: by.sourceId }
  })
  return { fields, because }
}

/** Whether a layer's value of a field goes before the one that has won so far. */
function wins<F, K extends keyof F>(
  layer: Layer<F>,
  best: Layer<F> | undefined,
  field: K,
  kinder: Kinder<F>,
): boolean {
  const given = layer.fields[field]
  if (given === undefined || best === undefined) return given !== undefined
  const higher = byStrength(best.level, layer.level)
  return higher > 0 || (higher === 0 && kinder[field](given, best.fields[field] as F[K]) > 0)
}
