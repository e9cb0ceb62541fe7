import { blanksIn, passageParts, readAccepted, rightInWords } from '../../../library'
import type { Item, Option } from '../../../library'
import { element, escapeXml } from '../xml'
import { byNeighbours, moreScore, setScore, whenNear, withinTolerance } from './printRules'
import { paragraph } from './text'

const MAP = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/map_response.xml'

/** What an item has by its kind: declarations, what is asked, and how it is scored. */
export interface Parts {
  readonly responses: string
  readonly body: string
  readonly scoring: string
}

/** A text for some eyes only, such as those of who scores. */
export function rubric(view: string, use: string, text: string): string {
  return element('qti-rubric-block', { view, use }, element('qti-content-body', {}, paragraph(text)))
}

export const value = (text: string | number) => element('qti-value', {}, escapeXml(String(text)))
const template = (address: string) => element('qti-response-processing', { template: address })
const prompt = (text: string) => paragraph(text, 'qti-prompt')

function declared(
  id: string,
  cardinality: 'single' | 'multiple' | 'ordered',
  type: string,
  correct: readonly (string | number)[],
  mapping = '',
): string {
  const right = correct.length === 0 ? [] : [element('qti-correct-response', {}, ...correct.map(value))]
  const of = { identifier: id, cardinality, 'base-type': type }
  return element('qti-response-declaration', of, ...right, mapping)
}

function mapped(
  entries: readonly (readonly [key: string, points: number])[],
  attributes: Readonly<Record<string, string | number>> = {},
): string {
  return element(
    'qti-mapping',
    { 'default-value': 0, ...attributes },
    ...entries.map(([key, points]) =>
      element('qti-map-entry', { 'map-key': key, 'mapped-value': points, 'case-sensitive': 'false' }),
    ),
  )
}

const choices = (options: readonly Option[]) =>
  options.map((o) => paragraph(o.text, 'qti-simple-choice', { identifier: o.id }))

const ASKED = { 'response-identifier': 'RESPONSE' }
type Of<Kind extends Item['kind']> = Extract<Item, { kind: Kind }>

/** How items of a kind are printed; of a kind that the format does not know, as a text that a person scores. */
const PARTS: { readonly [Kind in Item['kind']]?: (item: Of<Kind>) => Parts } = {
  single: choiceParts,
  multiple: choiceParts,
  numeric: typedParts,
  text: typedParts,
  ordering: (item) => ({
    responses: declared('RESPONSE', 'ordered', 'identifier', item.right),
    body: element('qti-order-interaction', ASKED, prompt(item.stem), ...choices(item.options)),
    scoring: byNeighbours(item.right, item.points),
  }),
  matching: matchingParts,
  blanks: blanksParts,
  extended: ({ stem, guide, leastWords, mostWords, leastParagraphs }) =>
    writtenParts(stem, guide, {
      'data-least-words': leastWords,
      'data-most-words': mostWords,
      'data-least-paragraphs': leastParagraphs,
    }),
}

/** The parts of an item by its kind. */
export function partsOf(item: Item): Parts {
  const print = PARTS[item.kind] as ((item: Item) => Parts) | undefined
  return print ? print(item) : writtenParts(item.stem, rightInWords(item), {})
}

/** A text; `guide` tells who scores it what earns the points. */
function writtenParts(stem: string, guide: string, range: Readonly<Record<string, number>>): Parts {
  const asked = { ...ASKED, 'min-strings': 1, ...range }
  const told = guide === '' ? '' : rubric('scorer', 'scoring', guide)
  return {
    responses: declared('RESPONSE', 'single', 'string', []),
    body: `${told}${element('qti-extended-text-interaction', asked, prompt(stem))}`,
    scoring: '',
  }
}

function choiceParts(item: Of<'single' | 'multiple'>): Parts {
  const { points } = item
  const isOne = item.kind === 'single'
  const right: readonly string[] = isOne ? [item.right] : item.right
  const share = points / right.length
  const earned = (id: string) => (right.includes(id) ? share : -share)
  const map = isOne
    ? mapped([[item.right, points]])
    : mapped(
        item.options.map((o) => [o.id, earned(o.id)] as const),
        { 'lower-bound': 0, 'upper-bound': points },
      )
  const asked = { ...ASKED, 'max-choices': isOne ? 1 : 0 }
  return {
    responses: declared('RESPONSE', isOne ? 'single' : 'multiple', 'identifier', right, map),
    body: element('qti-choice-interaction', asked, prompt(item.stem), ...choices(item.options)),
    scoring: template(MAP),
  }
}

function typedParts(item: Of<'numeric' | 'text'>): Parts {
  const entry = element('qti-text-entry-interaction', ASKED)
  if (item.kind === 'numeric') {
    const unit = element('span', { class: 'unit' }, escapeXml(item.unit))
    return {
      responses: declared('RESPONSE', 'single', 'float', [item.value]),
      body: `${paragraph(item.stem)}${element('p', {}, entry, ' ', unit)}`,
      scoring: withinTolerance(item.tolerance, item.points),
    }
  }
  const { words, map } = acceptedWords(item.accepted, item.points)
  return {
    responses: declared('RESPONSE', 'single', 'string', words, map),
    body: `${paragraph(item.stem)}${element('p', {}, entry)}`,
    scoring: template(MAP),
  }
}

function matchingParts(item: Of<'matching'>): Parts {
  const pairs = item.prompts.map((p) => `${p.id} ${item.right[p.id] ?? ''}`)
  const share = item.points / item.prompts.length
  const set = (options: readonly Option[], most: number) =>
    element(
      'qti-simple-match-set',
      {},
      ...options.map((o) =>
        paragraph(o.text, 'qti-simple-associable-choice', { identifier: o.id, 'match-max': String(most) }),
      ),
    )
  const most = item.prompts.length
  return {
    responses: declared(
      'RESPONSE',
      'multiple',
      'directedPair',
      pairs,
      mapped(pairs.map((pair) => [pair, share])),
    ),
    body: element(
      'qti-match-interaction',
      { 'response-identifier': 'RESPONSE', 'max-associations': most },
      prompt(item.stem),
      set(item.prompts, 1),
      set(item.partners, 1),
    ),
    scoring: template(MAP),
  }
}

/** The first of the words that earn all, and what each earns. */
function acceptedWords(accepted: readonly string[], points: number) {
  const read = accepted.map(readAccepted)
  const map = mapped(read.map(({ text, share }) => [text, points * share]))
  return {
    words: read
      .filter((a) => a.share === 1)
      .map((a) => a.text)
      .slice(0, 1),
    map,
  }
}

function blanksParts(item: Of<'blanks'>): Parts {
  const numbers = blanksIn(item.passage)
  const share = item.points / numbers.length
  const blanks = numbers.map((n) => ({ id: `BLANK${n}`, accepted: item.accepted[n] ?? [] }))
  const nearIn = (accepted: readonly string[]) =>
    accepted.length === 1 ? readAccepted(accepted[0] ?? '').near : null
  const responses = blanks.map(({ id, accepted }) => {
    const near = nearIn(accepted)
    if (near) return declared(id, 'single', 'float', [near.value])
    const { words, map } = acceptedWords(accepted, share)
    return declared(id, 'single', 'string', words, map)
  })
  const text = passageParts(item.passage).map((part) =>
    'blank' in part
      ? element('qti-text-entry-interaction', { 'response-identifier': `BLANK${part.blank}` })
      : escapeXml(part.text),
  )
  const sum = blanks
    .filter(({ accepted }) => nearIn(accepted) === null)
    .map(({ id }) => element('qti-map-response', { identifier: id }))
  const added = blanks.flatMap(({ id, accepted }) => {
    const near = nearIn(accepted)
    return near ? [whenNear(id, near.tolerance, moreScore(share))] : []
  })
  return {
    responses: responses.join(''),
    body: `${paragraph(item.stem)}${element('p', { class: 'passage', 'data-source': item.passage }, ...text)}`,
    scoring: element(
      'qti-response-processing',
      {},
      sum.length > 0 ? setScore(element('qti-sum', {}, ...sum)) : '',
      ...added,
    ),
  }
}
