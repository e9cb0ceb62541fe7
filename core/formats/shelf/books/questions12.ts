import { asId } from '../../../base'
import type { ItemId } from '../../../base'
import { faultOf } from '../../../library'
import type { Item, Option, ResourceKind } from '../../../library'
import { toMarkdown } from '../html'
import { plainPiece } from '../plainPiece'
import type { ReadPiece, Shortfall } from '../types'
import { allOf, firstOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'

/** Nothing is said of how long a text shall be. */
const NO_RANGE = { leastWords: 0, mostWords: 0, leastParagraphs: 0 }

const MOST_IN_PIECE = 100
type Key = { readonly of: Readonly<Record<string, unknown>>; readonly short: readonly Shortfall[] }

/**
 * Reads an assessment or a bank of QTI 1.2.1, in the profile of Common Cartridge: multiple choice and response, true or
 * false, fill in, pattern match, essay. Questions that cannot be taken are counted by why.
 */
export function readQuestions(
  root: Xml,
  title: string,
  kind: ResourceKind,
): { readonly pieces: readonly ReadPiece[]; readonly short: readonly Shortfall[] } {
  const items: Item[] = []
  const short: Shortfall[] = []
  for (const item of allOf(root, 'item')) {
    const read = readItem(item, items.length + 1)
    if ('code' in read)
      short.push({ code: 'question-left-out', what: stemOf(item).slice(0, 60), because: read })
    else {
      items.push(read.item)
      short.push(...read.short)
    }
  }
  const own = firstOf(root, 'assessment')?.attributes.title ?? ''
  const named = title || own || 'Questions'
  const parts = Math.ceil(items.length / MOST_IN_PIECE)
  const pieces = Array.from({ length: parts }, (_, i) =>
    plainPiece({
      title: parts === 1 ? named : `${named.slice(0, 100)}, part ${i + 1}`,
      kind,
      items: items.slice(i * MOST_IN_PIECE, (i + 1) * MOST_IN_PIECE),
    }),
  )
  return { pieces, short: items.length === 0 && short.length === 0 ? [{ code: 'no-text' }] : short }
}

function readItem(item: Xml, number: number) {
  const key = keyOf(item)
  if ('code' in key) return key
  const stem = stemOf(item)
  if (stem === '') return { code: 'no-text' } as const
  const made = {
    id: asId<ItemId>(`q${number}`),
    stem: stem.slice(0, 2000),
    points: pointsOf(item),
    standard: null,
    difficulty: 3,
    feedback: feedbackOf(item).slice(0, 2000),
    hint: '',
    ...key.of,
  } as unknown as Item
  const fault = faultOf(made, number)
  if (fault) return { code: 'cannot-be-answered', why: fault.code } as const
  return { item: made, short: key.short }
}

function field(item: Xml, label: string): string {
  const found = allOf(item, 'qtimetadatafield').find((f) => textIn(firstOf(f, 'fieldlabel')) === label)
  return found ? textIn(firstOf(found, 'fieldentry')) : ''
}

function pointsOf(item: Xml): number {
  const weight = Number(field(item, 'cc_weighting'))
  return weight > 0 && weight <= 100 ? weight : 1
}

/** Text of a material: HTML where it says so, else as it stands. */
function words(of: Xml | null): string {
  if (!of) return ''
  return allOf(of, 'mattext')
    .map((m) => {
      const isHtml = m.attributes.texttype === 'text/html'
      const raw = m.children.map((c) => (isElement(c) ? textIn(c) : c)).join('')
      return isHtml ? (toMarkdown(raw)?.text ?? '') : raw.replace(/([\\`*_$[\]])/g, '\\$1').trim()
    })
    .filter((text) => text !== '')
    .join('\n\n')
}

function stemOf(item: Xml): string {
  const presentation = firstOf(item, 'presentation')
  if (!presentation) return ''
  const flow = firstOf(presentation, 'flow') ?? presentation
  const materials = flow.children.filter(isElement).filter((c) => c.name === 'material')
  return words({ name: 'of', attributes: {}, children: materials })
}

function feedbackOf(item: Xml): string {
  const all = allOf(item, 'itemfeedback')
  const general = all.find((f) => f.attributes.ident === 'general_fb')
  return words(general ?? all.find((f) => f.attributes.ident === 'correct_fb') ?? null)
}

/** Conditions that earn something. */
function earning(item: Xml): readonly Xml[] {
  return allOf(item, 'respcondition').filter((c) => {
    const set = firstOf(c, 'setvar')
    return set !== null && Number(textIn(set)) > 0
  })
}

/** Values that must be given, those that must not be left out. */
function wanted(of: Xml, name: string): readonly string[] {
  return of.children
    .filter(isElement)
    .flatMap((c) => (c.name === 'not' ? [] : c.name === name ? [textIn(c)] : wanted(c, name)))
}

function keyOf(item: Xml): Key | Shortfall {
  const choice = firstOf(item, 'response_lid')
  if (choice) return choiceOf(item, choice)
  if (!firstOf(item, 'response_str'))
    return { code: 'unknown-kind', name: field(item, 'cc_profile') || 'no response' }
  const profile = field(item, 'cc_profile')
  const accepted = [...new Set(earning(item).flatMap((c) => wanted(c, 'varequal')))].slice(0, 20)
  if (accepted.length > 0) return { of: { kind: 'text', accepted }, short: [] }
  const parts = [...new Set(earning(item).flatMap((c) => wanted(c, 'varsubstring')))].slice(0, 20)
  if (parts.length > 0) return { of: { kind: 'text', accepted: parts }, short: [{ code: 'part-is-enough' }] }
  if (/essay/.test(profile) || profile === '')
    return { of: { kind: 'extended', ...NO_RANGE, guide: words(firstOf(item, 'solution')) }, short: [] }
  return { code: 'no-key' }
}

function choiceOf(item: Xml, choice: Xml): Key | Shortfall {
  const ids = new Map<string, string>()
  const options = allOf(choice, 'response_label')
    .slice(0, 12)
    .map((label, i): Option => {
      const id = 'abcdefghijkl'[i] ?? ''
      ids.set(label.attributes.ident ?? '', id)
      return { id, text: words(label).slice(0, 500) }
    })
  const right = [...new Set(earning(item).flatMap((c) => wanted(c, 'varequal')))].flatMap(
    (v) => ids.get(v) ?? [],
  )
  if (right.length === 0) return { code: 'no-key' }
  const isMany = choice.attributes.rcardinality === 'Multiple'
  const of = isMany ? { kind: 'multiple', options, right } : { kind: 'single', options, right: right[0] }
  return { of, short: [] }
}
