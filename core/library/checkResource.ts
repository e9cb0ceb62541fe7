import { ok, refuse } from '../base'
import type { Result } from '../base'
import type { LibraryRefusal } from './refusals'
import { ITEM_KINDS, checkItem } from './kinds'
import type { Item, ItemKind } from './kinds'
import { hasSilentPicture, textsOf } from './files'
import { cardOfKind } from './resourceCards'
import { withScoredPart } from './scoredPart'
import { isWebAddress } from './webAddress'
import type { Resource } from './types'

/** Counts of items by kind, for looking before choosing. */
export function countByKind(items: readonly Item[]): Readonly<Record<ItemKind, number>> {
  const counts = Object.fromEntries(ITEM_KINDS.map((kind) => [kind, 0])) as Record<ItemKind, number>
  for (const item of items) counts[item.kind]++
  return counts
}

/**
 * Accepts a resource that has what its kind needs, a code of one word, and items each with a key that can be met, with
 * the question for what is made where criteria are worth points; or names the first fault.
 */
export function checkResource(written: Resource): Result<Resource, LibraryRefusal> {
  const resource = withScoredPart(written)
  if (!/^[a-z0-9]{2,16}$/i.test(resource.code))
    return refuse({ code: 'library/bad-code', field: 'code', value: resource.code })
  const missing = missingIn(resource)
  if (missing) return refuse(missing)
  const ids = resource.items.map((item) => item.id)
  const twice = ids.findIndex((id, i) => ids.indexOf(id) !== i)
  if (twice >= 0) return refuse({ code: 'library/same-item-twice', field: 'items', item: twice + 1 })
  for (const [i, item] of resource.items.entries()) {
    const fault = faultOf(item, i + 1)
    if (fault) return refuse(fault)
  }
  return ok(resource)
}

function missingIn(resource: Resource): LibraryRefusal | null {
  const { kind, items, material } = resource
  const { link, words, files } = material
  const card = cardOfKind(kind)
  if (textsOf(resource).some(hasSilentPicture)) return { code: 'library/silent-picture', field: 'content' }
  if (card.needsFile && files.length === 0) return { code: 'library/no-file', field: 'files' }
  const isFilmHere = card.link === 'film' && files.some((f) => f.sort === 'film')
  if (card.items === 'needed' && items.length === 0) return { code: 'library/no-items', field: 'items' }
  if (card.items === 'none' && items.length > 0)
    return { code: 'library/items-not-asked', field: 'items', kind }
  if (link !== '' && !isWebAddress(link)) return { code: 'library/bad-link', field: 'link' }
  if (card.link !== null && link === '' && !isFilmHere) return { code: 'library/bad-link', field: 'link' }
  if (card.words === 'learnt' && words.length === 0) return { code: 'library/no-words', field: 'words' }
  const folded = words.map((w) => w.word.trim().toLowerCase())
  const twice = folded.findIndex((word, i) => folded.indexOf(word) !== i)
  if (twice >= 0) return { code: 'library/same-word-twice', field: 'words', word: words[twice]?.word ?? '' }
  return null
}

/** Why the item of a number, counted from 1, cannot be given; null when it can. */
export function faultOf(item: Item, number: number): LibraryRefusal | null {
  if (!(item.points > 0 && item.points <= 100))
    return { code: 'library/bad-points', field: 'points', item: number }
  const fault = checkItem(item)
  return fault && { ...fault, item: number }
}
