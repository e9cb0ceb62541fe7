import type { Shortfall } from '../../types'
import { allOf, isElement } from '../../xml'
import type { Xml } from '../../xml'
import { markdownOf } from '../text'
import type { Given } from '../scoring/readScoring'
import { bestOf, reading } from './keyReading'
import type { Asked, KeyReading, Sample } from './keyReading'
import { numberKey } from './number'
import { optionsOf } from './options'
import { acceptedOf, isNumeric, variantsOf } from './typed'

/** What a blank may hold: a name of theirs, and the words that are written here. */
interface Candidate {
  readonly value: string
  readonly text: string
}
/** A place in a text where something is missing. */
interface Blank {
  readonly element: Xml
  readonly response: string
  /** What may be chosen; null: it is typed. */
  readonly choices: readonly Candidate[] | null
  /** As the rules see what is given: a pair with the gap, or the value itself. */
  readonly asGiven: (value: string) => string
}
/** By the place of each blank what stands in it. */
type Filled = readonly (string | null)[]

/** A text with several blanks, typed or chosen, or with one within a line. */
export function blanks(interactions: readonly Xml[], asked: Asked): KeyReading | Shortfall {
  const found = interactions.map(blanksOf)
  const fault = found.find((f): f is Shortfall => 'code' in f)
  if (fault) return fault
  const places = found.flatMap((f) => ('code' in f ? [] : f))
  const earned = (filled: Filled) => asked.scoring.scoreOf(givenBy(places, filled))
  const right = rightOnes(places, asked, earned)
  const best = earned(right)
  if (best <= 0) return { code: 'no-key' }
  const accepted: Record<string, readonly string[]> = {}
  const tried: string[][] = []
  for (const [i, blank] of places.entries()) {
    const at = (value: string | null) => earned(right.map((r, j) => (j === i ? value : r)))
    const read = acceptedIn(blank, asked, at, best)
    if (read === null) return { code: 'no-key' }
    accepted[String(i + 1)] = read.accepted
    tried.push([...read.tried])
  }
  const samples = samplesOf(places, right, tried)
  const of = { kind: 'blanks', passage: passageOf(asked.body, places), accepted }
  return { ...reading(of, best, samples), after: wordsToChoose(interactions) }
}

function blanksOf(interaction: Xml): readonly Blank[] | Shortfall {
  const response = interaction.attributes.responseidentifier ?? ''
  const asIs = (value: string) => value
  if (interaction.name === 'textentryinteraction')
    return [{ element: interaction, response, choices: null, asGiven: asIs }]
  if (interaction.name === 'inlinechoiceinteraction') {
    const choices = candidatesIn(interaction, 'inlinechoice')
    return 'code' in choices
      ? choices
      : [{ element: interaction, response, choices: choices.all, asGiven: asIs }]
  }
  const choices = candidatesIn(interaction, 'gaptext')
  if ('code' in choices) return choices
  return allOf(interaction, 'gap').map((gap) => ({
    element: gap,
    response,
    choices: choices.all,
    asGiven: (value) => `${value} ${gap.attributes.identifier ?? ''}`,
  }))
}

function candidatesIn(interaction: Xml, name: string): { readonly all: readonly Candidate[] } | Shortfall {
  const named = optionsOf(allOf(interaction, name))
  if ('code' in named) return named
  return { all: named.options.map((o) => ({ value: named.outside.get(o.id) ?? '', text: o.text })) }
}

function givenBy(places: readonly Blank[], filled: Filled): Given {
  const given: Record<string, string[]> = {}
  for (const [i, { response, asGiven }] of places.entries()) {
    const value = filled[i]
    given[response] = [
      ...(given[response] ?? []),
      ...(value === null || value === undefined ? [] : [asGiven(value)]),
    ]
  }
  return given
}

/** What earns most: the values that are said to be right first, then each blank for itself as long as it earns more. */
function rightOnes(places: readonly Blank[], { scoring }: Asked, earned: (filled: Filled) => number): Filled {
  const ways = places.map(({ response, choices, asGiven }) => {
    const stated = scoring.named(response)
    if (choices === null) return stated
    const values = choices.map((c) => c.value)
    return [...values].sort((a, b) => rank(stated, asGiven(a)) - rank(stated, asGiven(b)))
  })
  let filled: Filled = ways.map(([first = null]) => first)
  for (let round = 0; round < 2; round++)
    for (const [i, values] of ways.entries()) {
      const best = bestOf([filled[i] ?? null, ...values], (v) =>
        earned(filled.map((f, j) => (j === i ? v : f))),
      )
      filled = filled.map((f, j) => (j === i ? (best?.way ?? null) : f))
    }
  return filled
}
function rank(stated: readonly string[], value: string): number {
  const at = stated.findIndex((s) => s.trim().split(/\s+/).join(' ') === value)
  return at < 0 ? stated.length : at
}

function acceptedIn(blank: Blank, asked: Asked, at: (value: string | null) => number, best: number) {
  const least = at(null)
  if (blank.choices !== null) {
    const texts = new Map(blank.choices.map((c) => [c.text, c.value]))
    const { accepted } = acceptedOf([...texts.keys()], (text) => at(texts.get(text) ?? null), least)
    const isBest = blank.choices.some((c) => at(c.value) === best)
    return isBest && accepted.length > 0 ? { accepted, tried: [...texts.keys()] } : null
  }
  if (isNumeric(asked.scoring, blank.response)) {
    const key = numberKey(asked.scoring, blank.response, (value) => at(String(value)))
    if (key === null || key.best <= least) return null
    return { accepted: [`${key.value} ± ${key.tolerance}`], tried: key.edges.map(String) }
  }
  const stated = asked.scoring.named(blank.response).filter((word) => word.trim() !== '')
  const { accepted } = acceptedOf(stated, at, least)
  return accepted.length === 0 ? null : { accepted, tried: variantsOf(stated) }
}

function samplesOf(
  places: readonly Blank[],
  right: Filled,
  tried: readonly (readonly string[])[],
): readonly Sample[] {
  const textOf = ({ choices }: Blank, value: string) => choices?.find((c) => c.value === value)?.text ?? value
  const valueOf = ({ choices }: Blank, text: string) => choices?.find((c) => c.text === text)?.value ?? text
  const sample = (filled: Filled): Sample => ({
    answer: {
      kind: 'blanks',
      words: Object.fromEntries(
        places.map((blank, i) => [String(i + 1), filled[i] ? textOf(blank, filled[i]) : ''] as const),
      ),
    },
    given: givenBy(places, filled),
  })
  const one = places.flatMap((blank, i) =>
    [null, ...(tried[i] ?? []).map((text) => valueOf(blank, text) || null)].map((value) =>
      right.map((r, j) => (j === i ? value : r)),
    ),
  )
  const only = places.map((_, i) => right.map((r, j) => (j === i ? r : null)))
  return [right, right.map(() => null), ...one, ...only].map(sample)
}

/** The lines in which something is missing, with numbers in brackets where it is. */
function passageOf(body: Xml, places: readonly Blank[]): string {
  const numberOf = new Map(places.map((blank, i) => [blank.element, i + 1]))
  const write = (of: Xml | string): string => {
    if (!isElement(of)) return of.replace(/\[(\d)/g, '( $1').replace(/[\t\r\n]+/g, ' ')
    const number = numberOf.get(of)
    if (number !== undefined) {
      const choices = of.name === 'inlinechoiceinteraction' ? allOf(of, 'inlinechoice').map(markdownOf) : []
      return choices.length === 0 ? `[${number}]` : `[${number}] (${choices.join(' / ')})`
    }
    if (of.name === 'prompt' || of.name === 'gaptext') return ''
    if (of.name === 'math') return markdownOf(of)
    return of.children.map(write).join('')
  }
  const holds = (of: Xml): boolean => numberOf.has(of) || of.children.filter(isElement).some(holds)
  const isBlock = (of: Xml) => of.children.filter(isElement).some((c) => holds(c) && PARTS.has(c.name))
  const linesIn = (of: Xml): readonly string[] =>
    isBlock(of) ? of.children.filter(isElement).filter(holds).flatMap(linesIn) : [write(of)]
  const holders = body.children.filter(isElement).filter(holds)
  // as it was written here, unless somebody has changed it since
  const [source = null] = holders.map((of) => of.attributes.datasource)
  const lines = holders.flatMap(linesIn)
  if (source !== null && oneLine(source) === oneLine(lines.join(' '))) return source
  return lines
    .map((line) => line.replace(/ {2,}/g, ' ').trim())
    .join('\n')
    .slice(0, 4000)
}
const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim()
const PARTS: ReadonlySet<string> = new Set([
  'p',
  'div',
  'blockquote',
  'li',
  'ul',
  'ol',
  'gapmatchinteraction',
])

/** The words of a bank under a text, from which all blanks are filled. */
function wordsToChoose(interactions: readonly Xml[]): string {
  return interactions
    .filter((interaction) => interaction.name === 'gapmatchinteraction')
    .map((interaction) => allOf(interaction, 'gaptext').map(markdownOf).join(' · '))
    .join('\n\n')
}
