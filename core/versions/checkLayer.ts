import { ok, refuse } from '../base'
import type { Result } from '../base'
import { blanksIn } from '../library'
import type { Resource } from '../library'
import { placeMarks } from './marks'
import { cellsOf } from './organiser'
import type { VersionsRefusal } from './refusals'
import type { Layer, Organiser } from './types'

/** As many marks, words or cells as a layer may have of each. */
export const MOST_IN_PART = 60
/** As many organisers as one version may have. */
export const MOST_ORGANISERS = 4
/** As many cells as an organiser may have. */
export const MOST_CELLS = 30

/**
 * Accepts a layer for a core, or names the first fault: a mark whose words the text does not have, marks over each
 * other, a word twice, a frame without a blank, a hint for a question that there is not.
 */
export function checkLayer(core: Resource, layer: Layer): Result<Layer, VersionsRefusal> {
  const fault =
    faultInWords(layer) ??
    faultInMarks(core, layer) ??
    faultInOrganisers(layer) ??
    faultInWriting(core, layer) ??
    faultInItems(core, layer)
  return fault === null ? ok(layer) : refuse(fault)
}

function faultInWords({ wordBank, glossary, frames }: Layer): VersionsRefusal | null {
  const word = twiceIn(wordBank) ?? twiceIn(glossary.map((entry) => entry.word))
  if (word !== null) return { code: 'versions/same-word-twice', field: 'words', word }
  const number = frames.findIndex((frame) => blanksIn(frame.text).length === 0) + 1
  return number > 0 ? { code: 'versions/frame-without-blank', field: 'frames', number } : null
}

function twiceIn(words: readonly string[]): string | null {
  const folded = words.map((word) => word.trim().toLowerCase())
  return words.find((_, i) => folded.indexOf(folded[i] ?? '') !== i) ?? null
}

function faultInMarks(core: Resource, { marks, legend }: Layer): VersionsRefusal | null {
  const { gone, overlapping } = placeMarks(core.content, marks)
  const [lost] = gone
  if (lost) return { code: 'versions/mark-outside-text', field: 'marks', quote: lost.quote }
  const [pair] = overlapping
  if (pair)
    return {
      code: 'versions/marks-overlap',
      field: 'marks',
      quote: pair[1].quote,
      over: pair[0].quote,
    }
  const known = new Set(legend.map((entry) => entry.id))
  const stray = marks.find((mark) => !known.has(mark.sort))
  return stray ? { code: 'versions/mark-without-legend', field: 'marks', quote: stray.quote } : null
}

function faultInOrganisers({ organisers }: Layer): VersionsRefusal | null {
  for (const organiser of organisers) {
    const fault = faultInOrganiser(organiser)
    if (fault) return fault
  }
  return null
}

function faultInOrganiser(organiser: Organiser): VersionsRefusal | null {
  const cells = cellsOf(organiser)
  if (cells.length === 0 || cells.length > MOST_CELLS)
    return { code: 'versions/organiser-size', field: 'organisers', cells: cells.length, most: MOST_CELLS }
  const isFull = cells.every((cell) => (cell.given ?? '').trim() !== '')
  return isFull ? { code: 'versions/organiser-full', field: 'organisers' } : null
}

/** What is filled in is handed in with the answers: a piece without questions is only read. */
function faultInWriting({ items }: Resource, { organisers, frames }: Layer): VersionsRefusal | null {
  const isWritten = organisers.length > 0 || frames.length > 0
  return isWritten && items.length === 0 ? { code: 'versions/nothing-handed-in', field: 'organisers' } : null
}

function faultInItems({ items }: Resource, { hints, items: kept }: Layer): VersionsRefusal | null {
  const there = new Set(items.map((item) => item.id))
  const named = [...hints.map((h) => h.itemId), ...(kept.kind === 'chosen' ? kept.itemIds : [])]
  const stray = named.find((id) => !there.has(id))
  if (stray !== undefined) return { code: 'versions/unknown-item', field: 'items', itemId: stray }
  const isShare = kept.kind !== 'share' || (kept.percent >= 10 && kept.percent <= 100)
  if (!isShare) return { code: 'versions/bad-share', field: 'items' }
  return kept.kind === 'chosen' && kept.itemIds.length === 0
    ? { code: 'versions/bad-share', field: 'items' }
    : null
}
