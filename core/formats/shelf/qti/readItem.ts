import { asId, isId } from '../../../base'
import type { ItemId } from '../../../base'
import { faultOf } from '../../../library'
import type { Item } from '../../../library'
import { allOf, firstOf, isElement } from '../xml'
import type { Xml } from '../xml'
import type { Shortfall } from '../types'
import { readKey } from './readKey'
import { markdownOf, nameFrom } from './text'

/** What a package says of an item beside it. */
export interface BesideItem {
  readonly standard: string | null
  readonly difficulty: number | null
}

export type QtiItemReading =
  | { readonly item: Item; readonly short: readonly Shortfall[] }
  | { readonly item: null; readonly short: readonly [Shortfall, ...Shortfall[]] }

/** What can be answered in an item; their names as `plainName` folds them. */
const INTERACTION = /interaction$/

/** Reads an assessment item, of QTI 3.0 or 2.x: an item of ours with what it lacks, or why there is none. */
export function readQtiItem(root: Xml, number: number, beside: BesideItem | null): QtiItemReading {
  const body = firstOf(root, 'itembody')
  if (root.name !== 'assessmentitem' || body === null)
    return { item: null, short: [{ code: 'not-readable', problem: 'no item body' }] }
  const asked = interactionsIn(body)
  const key = readKey(root, body, asked)
  if ('code' in key) return { item: null, short: [key] }
  const stem = key.stem ?? stemOf(body)
  if (stem === '') return { item: null, short: [{ code: 'no-text' }] }
  const id = nameFrom(root.attributes.identifier ?? '')
  const item = {
    id: asId<ItemId>(isId(id) ? id : `q${number}`),
    stem: stem.slice(0, 2000),
    points: pointsOf(root),
    standard: beside?.standard ?? null,
    difficulty: beside?.difficulty ?? 3,
    feedback: feedbackOf(root).slice(0, 2000),
    hint: rubricOf(body, 'hint').slice(0, 1000),
    ...key.of,
  } as Item
  const fault = faultOf(item, number)
  if (fault) return { item: null, short: [{ code: 'cannot-be-answered', why: fault.code }] }
  return { item, short: [...picturesIn(body), ...key.short] }
}

function interactionsIn(body: Xml): readonly Xml[] {
  const within = (of: Xml): readonly Xml[] =>
    of.children.filter(isElement).flatMap((c) => (INTERACTION.test(c.name) ? [c] : within(c)))
  return within(body)
}

/** All of the body that is no interaction, no passage with blanks and nothing for who scores. */
function stemOf(body: Xml): string {
  const holdsAsked = (of: Xml): boolean =>
    INTERACTION.test(of.name) || of.children.filter(isElement).some(holdsAsked)
  const parts = body.children.filter((c) => !isElement(c) || (c.name !== 'rubricblock' && !holdsAsked(c)))
  return parts
    .map((part) => (isElement(part) ? markdownOf(part) : part.trim()))
    .filter((text) => text !== '')
    .join('\n\n')
}

/** The most that can be earned: as it is stated, else 1. */
function pointsOf(root: Xml): number {
  const score = allOf(root, 'outcomedeclaration').find((o) => o.attributes.identifier === 'SCORE')
  const most = Number(score?.attributes.normalmaximum)
  return most > 0 && most <= 100 ? most : 1
}

function feedbackOf(root: Xml): string {
  const [first] = allOf(root, 'modalfeedback')
  if (!first) return ''
  const paragraph = firstOf(first, 'p')
  return markdownOf(paragraph ?? first)
}

function rubricOf(body: Xml, use: string): string {
  const block = allOf(body, 'rubricblock').find((b) => b.attributes.use === use)
  if (!block) return ''
  return markdownOf(firstOf(block, 'p') ?? block)
}

function picturesIn(body: Xml): readonly Shortfall[] {
  const count = allOf(body, 'img').length + allOf(body, 'object').length
  return count === 0 ? [] : [{ code: 'picture-left-out', count }]
}
