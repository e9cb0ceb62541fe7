import type { Shortfall } from '../../types'
import { allOf } from '../../xml'
import type { Xml } from '../../xml'
import type { Scoring } from '../scoring/readScoring'
import { bestOf, reading } from './keyReading'
import type { Asked, KeyReading, Sample } from './keyReading'
import { optionsOf } from './options'
import type { NamedOptions } from './options'

/** As many options as all sets of them are looked at. */
const ALL_SETS = 8

/** One of several options, or several of them. */
export function choice(interaction: Xml, { scoring }: Asked): KeyReading | Shortfall {
  const named = optionsOf(allOf(interaction, 'simplechoice'))
  return 'code' in named ? named : choiceOf(interaction.attributes.responseidentifier ?? '', named, scoring)
}

/** The same for options that were read already. */
export function choiceOf(response: string, named: NamedOptions, scoring: Scoring): KeyReading | Shortfall {
  const isMany = scoring.declared.get(response)?.cardinality === 'multiple'
  return isMany ? several(response, named, scoring) : one(response, named, scoring)
}

function one(response: string, { options, outside }: NamedOptions, scoring: Scoring): KeyReading | Shortfall {
  const given = (id: string | null) => ({ [response]: id === null ? [] : [outside.get(id) ?? ''] })
  const ids = options.map((o) => o.id)
  const best = bestOf(ids, (id) => scoring.scoreOf(given(id)))
  if (best === null || best.score <= 0) return { code: 'no-key' }
  if (ids.filter((id) => scoring.scoreOf(given(id)) === best.score).length > 1)
    return { code: 'several-right' }
  const samples = [...ids, null].map((id): Sample => ({
    answer: { kind: 'single', choice: id },
    given: given(id),
  }))
  return reading({ kind: 'single', options, right: best.way }, best.score, samples)
}

function several(response: string, named: NamedOptions, scoring: Scoring): KeyReading | Shortfall {
  const { options, ids, outside } = named
  const given = (set: readonly string[]) => ({ [response]: set.map((id) => outside.get(id) ?? '') })
  const all = options.map((o) => o.id)
  const stated = scoring.named(response).flatMap((name) => ids.get(name) ?? [])
  const correct = (scoring.declared.get(response)?.correct ?? []).flatMap(
    (name) => ids.get(String(name)) ?? [],
  )
  const earning = stated.filter((id) => scoring.scoreOf(given([id])) > 0)
  const first = [correct, earning, stated].filter((set) => set.length > 0)
  const sets = [...first, ...(all.length <= ALL_SETS ? setsOf(all) : nearly(all, correct))]
  const best = bestOf(sets, (set) => scoring.scoreOf(given(set)))
  if (best === null || best.score <= 0) return { code: 'no-key' }
  const right = all.filter((id) => best.way.includes(id))
  const compared = all.length <= ALL_SETS ? setsOf(all) : nearly(all, right)
  const samples = compared.map((choices): Sample => ({
    answer: { kind: 'multiple', choices },
    given: given(choices),
  }))
  return reading({ kind: 'multiple', options, right }, best.score, samples)
}

/** All sets of some options, the small ones first. */
function setsOf(ids: readonly string[]): readonly (readonly string[])[] {
  const sets = ids.reduce<readonly (readonly string[])[]>(
    (done, id) => [...done, ...done.map((set) => [...set, id])],
    [[]],
  )
  return [...sets].sort((a, b) => a.length - b.length)
}

/** Sets that differ a little from the right one, each option alone, none and all. */
function nearly(all: readonly string[], right: readonly string[]): readonly (readonly string[])[] {
  const changed = all.map((id) => (right.includes(id) ? right.filter((r) => r !== id) : [...right, id]))
  return [[], right, ...changed, ...all.map((id) => [id]), all]
}
