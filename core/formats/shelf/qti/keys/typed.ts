import { writeAccepted } from '../../../../library'
import type { Shortfall } from '../../types'
import { allOf, textIn } from '../../xml'
import type { Xml } from '../../xml'
import type { Scoring } from '../scoring/readScoring'
import { reading } from './keyReading'
import type { Asked, KeyReading, Sample } from './keyReading'
import { numberKey } from './number'

/** As many spellings as are accepted here. */
const MOST_WORDS = 20

export const isNumeric = ({ declared }: Scoring, response: string) =>
  ['float', 'integer'].includes(declared.get(response)?.type ?? '')

/** The unit behind a number, where it is marked as one. */
export function unitIn(body: Xml): Xml | null {
  return allOf(body, 'span').find((s) => s.attributes.class === 'unit') ?? null
}

/** A number or a word, alone on its line. */
export function typed(interaction: Xml, { body, scoring }: Asked): KeyReading | Shortfall {
  return typedOf(interaction.attributes.responseidentifier ?? '', scoring, textIn(unitIn(body)))
}

/** The same for a response that was read already. */
export function typedOf(response: string, scoring: Scoring, unit = ''): KeyReading | Shortfall {
  return isNumeric(scoring, response) ? number(response, scoring, unit) : words(response, scoring)
}

function number(response: string, scoring: Scoring, named: string): KeyReading | Shortfall {
  const given = (text: string) => ({ [response]: text === '' ? [] : [text] })
  const key = numberKey(scoring, response, (value) => scoring.scoreOf(given(String(value))))
  if (key === null) return { code: 'no-key' }
  const unit = named.slice(0, 20)
  const samples = [...key.edges.map(String), ''].map((text): Sample => ({
    answer: { kind: 'numeric', text },
    given: given(text),
  }))
  return reading({ kind: 'numeric', value: key.value, tolerance: key.tolerance, unit }, key.best, samples)
}

function words(response: string, scoring: Scoring): KeyReading | Shortfall {
  const given = (text: string) => ({ [response]: text === '' ? [] : [text] })
  const earned = (text: string) => scoring.scoreOf(given(text))
  const stated = scoring.named(response).filter((word) => word.trim() !== '')
  const { accepted, best } = acceptedOf(stated, earned)
  if (accepted.length === 0) return { code: 'no-key' }
  const samples = variantsOf(stated).map((text): Sample => ({
    answer: { kind: 'text', text },
    given: given(text),
  }))
  return reading({ kind: 'text', accepted }, best, samples)
}

/** The spellings that earn most, and those that earn half of it; `least`: what nothing earns. */
export function acceptedOf(stated: readonly string[], earned: (text: string) => number, least = 0) {
  const best = Math.max(least, ...stated.map(earned))
  const shareOf = (text: string) => (earned(text) - least) / (best - least)
  const accepted =
    best <= least
      ? []
      : [...new Set(stated.map((word) => word.trim()))]
          .flatMap((word) => ([1, 0.5].includes(shareOf(word)) ? [writeAccepted(word, shareOf(word))] : []))
          .slice(0, MOST_WORDS)
  return { accepted, best }
}

/** Spellings, each as it stands, in capitals and small, with something more; none, and something else. */
export function variantsOf(words: readonly string[]): readonly string[] {
  const all = words.flatMap((word) => [
    word,
    word.toUpperCase(),
    word.toLowerCase(),
    `${word}x`,
    `x ${word} x`,
  ])
  return [...new Set([...all, 'qzx', ''])]
}
