import { mixed } from '../../../library'
import type { Option } from '../../../library'
import { allOf, firstOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'
import type { Shortfall } from '../types'
import { markdownOf } from './text'

/** What an item has by its kind; `stem` where the interaction itself asks. */
export interface KeyReading {
  readonly of: Readonly<Record<string, unknown>>
  readonly stem: string | null
  readonly short: readonly Shortfall[]
}

/** Reads what is asked in an item, and what is right; or why that is nothing of ours. */
export function readKey(root: Xml, body: Xml, asked: readonly Xml[]): KeyReading | Shortfall {
  const [first, ...more] = asked
  if (!first) return { code: 'unknown-kind', name: 'no interaction' }
  if (asked.every((a) => a.name === 'textentryinteraction'))
    return more.length === 0 && !isWithinText(body, first)
      ? typed(root, body, first)
      : blanks(root, body, asked)
  if (more.length > 0) return { code: 'unknown-kind', name: asked.map((a) => a.name).join(', ') }
  switch (first.name) {
    case 'choiceinteraction':
      return choice(root, first)
    case 'orderinteraction':
      return order(root, first)
    case 'matchinteraction':
      return match(root, first)
    case 'extendedtextinteraction':
      return extended(body, first)
    case 'inlinechoiceinteraction':
      return { code: 'unknown-kind', name: 'inlineChoiceInteraction' }
    default:
      return { code: 'unknown-kind', name: first.name }
  }
}

function declarationOf(root: Xml, interaction: Xml): Xml | null {
  const id = interaction.attributes.responseidentifier
  return allOf(root, 'responsedeclaration').find((d) => d.attributes.identifier === id) ?? null
}

/** The values of the correct response; where there is none, those that earn something. */
function rightIn(declaration: Xml | null): readonly string[] {
  const correct = declaration && firstOf(declaration, 'correctresponse')
  const values = correct ? allOf(correct, 'value').map(textIn) : []
  if (values.length > 0 || declaration === null) return values
  return allOf(declaration, 'mapentry')
    .filter((e) => Number(e.attributes.mappedvalue) > 0)
    .map((e) => e.attributes.mapkey ?? '')
}

const promptOf = (interaction: Xml) => {
  const prompt = firstOf(interaction, 'prompt')
  return prompt ? markdownOf(prompt) : null
}

/** Options under names of ours, and theirs by the names that they had. */
function optionsOf(elements: readonly Xml[], first = 'a') {
  const start = first.charCodeAt(0)
  const ids = new Map<string, string>()
  const options = elements.slice(0, 12).map((e, i): Option => {
    const id = String.fromCharCode(start + i)
    ids.set(e.attributes.identifier ?? '', id)
    return { id, text: markdownOf(e).slice(0, 500) }
  })
  return { options, ids }
}

function choice(root: Xml, interaction: Xml): KeyReading | Shortfall {
  const { options, ids } = optionsOf(allOf(interaction, 'simplechoice'))
  const declaration = declarationOf(root, interaction)
  const right = rightIn(declaration).flatMap((id) => ids.get(id) ?? [])
  if (right.length === 0) return { code: 'no-key' }
  const isOne = declaration?.attributes.cardinality !== 'multiple'
  const of = isOne ? { kind: 'single', options, right: right[0] } : { kind: 'multiple', options, right }
  return { of, stem: promptOf(interaction), short: [] }
}

function order(root: Xml, interaction: Xml): KeyReading | Shortfall {
  const { options, ids } = optionsOf(allOf(interaction, 'simplechoice'))
  const right = rightIn(declarationOf(root, interaction)).flatMap((id) => ids.get(id) ?? [])
  if (right.length !== options.length || options.length === 0) return { code: 'no-key' }
  const tells = options.every((o, i) => o.id === right[i])
  const texts = right.map((id) => options.find((o) => o.id === id)?.text ?? '')
  // shown in its right order, it would tell the answer
  const shown = tells ? mixed(texts, 'a') : options
  const key = texts.map((text) => shown.find((o) => o.text === text)?.id ?? '')
  return { of: { kind: 'ordering', options: shown, right: key }, stem: promptOf(interaction), short: [] }
}

function match(root: Xml, interaction: Xml): KeyReading | Shortfall {
  const [left, right] = allOf(interaction, 'simplematchset')
  if (!left || !right) return { code: 'no-key' }
  const prompts = optionsOf(allOf(left, 'simpleassociablechoice'))
  const partners = optionsOf(allOf(right, 'simpleassociablechoice'), 'p')
  const pairs = rightIn(declarationOf(root, interaction)).flatMap((pair) => {
    const [from = '', to = ''] = pair.split(/\s+/)
    const [prompt, partner] = [prompts.ids.get(from), partners.ids.get(to)]
    return prompt && partner ? [[prompt, partner] as const] : []
  })
  if (pairs.length === 0) return { code: 'no-key' }
  const key = Object.fromEntries(pairs)
  const tells = prompts.options.every((p, i) => key[p.id] === partners.options[i]?.id)
  const shown = tells ? remixed(partners.options, key) : { partners: partners.options, right: key }
  return {
    of: { kind: 'matching', prompts: prompts.options, ...shown },
    stem: promptOf(interaction),
    short: [],
  }
}

/** Partners in another order: beside their prompts they would tell the answer. */
function remixed(partners: readonly Option[], key: Readonly<Record<string, string>>) {
  const shown = mixed(
    partners.map((p) => p.text),
    'p',
  )
  const renamed = (id: string) => {
    const text = partners.find((p) => p.id === id)?.text
    return shown.find((o) => o.text === text)?.id ?? ''
  }
  return {
    partners: shown,
    right: Object.fromEntries(Object.entries(key).map(([prompt, id]) => [prompt, renamed(id)])),
  }
}

function countIn(text: string | undefined, most: number): number {
  return Math.min(most, Math.max(0, Math.round(Number(text) || 0)))
}

function extended(body: Xml, interaction: Xml): KeyReading {
  const block = allOf(body, 'rubricblock').find((b) => b.attributes.view?.split(/\s+/).includes('scorer'))
  const guide = block ? markdownOf(firstOf(block, 'p') ?? block) : ''
  const { dataleastwords, datamostwords, dataleastparagraphs } = interaction.attributes
  const of = {
    kind: 'extended',
    leastWords: countIn(dataleastwords, 5000),
    mostWords: countIn(datamostwords, 5000),
    leastParagraphs: countIn(dataleastparagraphs, 50),
    guide,
  }
  return { of, stem: promptOf(interaction), short: [] }
}

/** Whether a blank stands in a text, rather than alone on its line or before its unit. */
function isWithinText(body: Xml, blank: Xml): boolean {
  const line = body.children.filter(isElement).find((c) => allOf(c, blank.name).includes(blank))
  if (!line) return false
  const unit = allOf(line, 'span').find((s) => s.attributes.class === 'unit')
  return textIn(line) !== textIn(unit ?? null)
}

function typed(root: Xml, body: Xml, interaction: Xml): KeyReading | Shortfall {
  const declaration = declarationOf(root, interaction)
  const type = declaration?.attributes.basetype ?? 'string'
  const right = rightIn(declaration)
  if (right.length === 0) return { code: 'no-key' }
  if (type !== 'float' && type !== 'integer') {
    const accepted = acceptedIn(declaration, right)
    return { of: { kind: 'text', accepted }, stem: null, short: [] }
  }
  const value = Number(right[0])
  const equal = firstOf(root, 'equal')
  const isAbsolute = equal?.attributes.tolerancemode === 'absolute'
  const tolerance = isAbsolute ? Number((equal.attributes.tolerance ?? '0').split(/\s+/)[0]) : 0
  const unit = allOf(body, 'span').find((s) => s.attributes.class === 'unit')
  const isRelative = equal?.attributes.tolerancemode === 'relative'
  return {
    of: { kind: 'numeric', value, tolerance, unit: textIn(unit ?? null).slice(0, 20) },
    stem: null,
    short: isRelative ? [{ code: 'scored-otherwise' }] : [],
  }
}

function acceptedIn(declaration: Xml | null, right: readonly string[]): readonly string[] {
  const mappedTo = declaration
    ? allOf(declaration, 'mapentry')
        .filter((e) => Number(e.attributes.mappedvalue) > 0)
        .map((e) => e.attributes.mapkey ?? '')
    : []
  return [...new Set([...right, ...mappedTo])]
    .map((word) => word.trim())
    .filter((word) => word !== '')
    .slice(0, 20)
}

/** A text with several blanks, or with one within a line; what stands before its line is the question. */
function blanks(root: Xml, body: Xml, asked: readonly Xml[]): KeyReading | Shortfall {
  const accepted: Record<string, readonly string[]> = {}
  const numberOf = new Map<Xml, number>()
  for (const [i, interaction] of asked.entries()) {
    const declaration = declarationOf(root, interaction)
    accepted[String(i + 1)] = acceptedIn(declaration, rightIn(declaration))
    numberOf.set(interaction, i + 1)
  }
  const write = (of: Xml | string): string => {
    if (!isElement(of)) return of.replace(/\[(\d)/g, '( $1').replace(/[\t\r\n]+/g, ' ')
    const number = numberOf.get(of)
    return number === undefined ? of.children.map(write).join('') : `[${number}]`
  }
  const holds = (of: Xml): boolean => numberOf.has(of) || of.children.filter(isElement).some(holds)
  const lines = body.children.filter(isElement).filter(holds).map(write)
  const passage = lines.join('\n').replace(/ {2,}/g, ' ').trim().slice(0, 4000)
  const before = body.children
    .filter(isElement)
    .filter((c) => !holds(c) && c.name !== 'rubricblock')
    .map(markdownOf)
    .filter((text) => text !== '')
  const stem = before.join('\n\n') || 'Fill in what is missing.'
  return { of: { kind: 'blanks', passage, accepted }, stem, short: [] }
}
