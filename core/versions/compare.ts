import type { Resource } from '../library'
import { composeVersion } from './composeVersion'
import { partsIn } from './emptyLayer'
import type { LayerPart } from './emptyLayer'
import { keptItems } from './keptItems'
import { placeMarks } from './marks'
import type { Layer, Mark } from './types'

/** One paragraph or question of the core, and what each version makes of it; versions in the order given. */
export type ComparedBlock =
  | { readonly kind: 'text'; readonly markdown: string; readonly versions: readonly TextInVersion[] }
  | { readonly kind: 'item'; readonly number: number; readonly versions: readonly ItemInVersion[] }
  /** What stands beside the core: which of the parts a version has. */
  | { readonly kind: 'part'; readonly part: LayerPart; readonly versions: readonly boolean[] }
export interface TextInVersion {
  readonly marks: readonly Mark[]
}
export interface ItemInVersion {
  readonly isAsked: boolean
  readonly hint: string
}

/** Versions of one core beside each other, block by block; blocks in which they differ have `differs`. */
export function compareVersions(
  core: Resource,
  layers: readonly Layer[],
): readonly (ComparedBlock & { readonly differs: boolean })[] {
  return [...comparedText(core, layers), ...comparedItems(core, layers), ...comparedParts(layers)].map(
    (block) => ({
      ...block,
      differs: new Set(block.versions.map((v) => JSON.stringify(v))).size > 1,
    }),
  )
}

function comparedText({ content }: Resource, layers: readonly Layer[]): readonly ComparedBlock[] {
  const paragraphs = content.split(/\n\s*\n/).filter((p) => p.trim() !== '')
  const placed = layers.map((layer) => placeMarks(content, layer.marks).placed.map((p) => p.mark))
  return paragraphs.map((markdown) => ({
    kind: 'text',
    markdown,
    versions: placed.map((marks) => ({
      marks: placeMarks(markdown, marks.map(asFirst)).placed.map((p) => p.mark),
    })),
  }))
}
const asFirst = (mark: Mark): Mark => ({ ...mark, nth: 1 })

function comparedItems(core: Resource, layers: readonly Layer[]): readonly ComparedBlock[] {
  const asked = layers.map(
    (layer) => new Map(composeVersion(core, layer).resource.items.map((item) => [item.id, item])),
  )
  return core.items.map(({ id }, i) => ({
    kind: 'item',
    number: i + 1,
    versions: asked.map((items) => ({ isAsked: items.has(id), hint: items.get(id)?.hint ?? '' })),
  }))
}

function comparedParts(layers: readonly Layer[]): readonly ComparedBlock[] {
  const beside = layers.map((layer) => new Set(partsIn(layer)))
  const shown = [...new Set(beside.flatMap((parts) => [...parts]))]
  return shown.map((part) => ({ kind: 'part', part, versions: beside.map((parts) => parts.has(part)) }))
}

/** How many questions a version asks. */
export function itemsAsked(core: Resource, { items }: Layer): number {
  return keptItems(core.items, items).length
}
