import { assertNever, ok, refuse } from '../base'
import type { Result } from '../base'
import type { LibraryRefusal } from './refusals'
import type { Item, ItemKind, Resource, ResourceKind } from './types'

/** Kinds that a learner answers and that score themselves. */
export function isScored(kind: ResourceKind): boolean {
  return kind === 'check' || kind === 'test' || kind === 'practice-set'
}

/** Counts of items by kind, for looking before choosing. */
export function countByKind(items: readonly Item[]): Readonly<Record<ItemKind, number>> {
  const counts = { single: 0, multiple: 0, numeric: 0, text: 0 }
  for (const item of items) counts[item.kind]++
  return counts
}

/** Accepts a resource whose code is one word and whose items each have a key that can be met, or names the first fault. */
export function checkResource(resource: Resource): Result<Resource, LibraryRefusal> {
  if (!/^[a-z0-9]{2,16}$/i.test(resource.code))
    return refuse({ code: 'library/bad-code', field: 'code', value: resource.code })
  if (isScored(resource.kind) && resource.items.length === 0)
    return refuse({ code: 'library/no-items', field: 'items' })
  for (const [i, item] of resource.items.entries()) {
    const fault = faultOf(item, i + 1)
    if (fault) return refuse(fault)
  }
  return ok(resource)
}

function faultOf(item: Item, number: number): LibraryRefusal | null {
  if (!(item.points > 0 && item.points <= 100))
    return { code: 'library/bad-points', field: 'points', item: number }
  switch (item.kind) {
    case 'single':
    case 'multiple': {
      const texts = item.options.map((o) => o.text.trim().toLowerCase())
      if (texts.length < 2 || texts.includes(''))
        return { code: 'library/too-few-options', field: 'options', item: number }
      if (new Set(texts).size !== texts.length)
        return { code: 'library/same-option-twice', field: 'options', item: number }
      const right: readonly string[] = item.kind === 'single' ? [item.right] : item.right
      const known = item.options.map((o) => o.id)
      return right.length === 0 || right.some((r) => !known.includes(r))
        ? { code: 'library/no-right-answer', field: 'right', item: number }
        : null
    }
    case 'numeric':
      if (!Number.isFinite(item.value))
        return { code: 'library/no-right-answer', field: 'right', item: number }
      return item.tolerance >= 0 && Number.isFinite(item.tolerance)
        ? null
        : { code: 'library/bad-tolerance', field: 'tolerance', item: number }
    case 'text':
      return item.accepted.some((a) => a.trim() !== '')
        ? null
        : { code: 'library/no-right-answer', field: 'right', item: number }
    default:
      return assertNever(item)
  }
}
