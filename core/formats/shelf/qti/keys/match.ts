import { mixed } from '../../../../library'
import type { Option } from '../../../../library'
import type { Shortfall } from '../../types'
import { allOf } from '../../xml'
import type { Xml } from '../../xml'
import { bestOf, reading } from './keyReading'
import type { Asked, KeyReading, Sample } from './keyReading'
import { optionsOf } from './options'
import type { NamedOptions } from './options'

type Pairs = Readonly<Record<string, string>>

/** Prompts that each get a partner. */
export function match(interaction: Xml, { scoring }: Asked): KeyReading | Shortfall {
  const [left, right] = allOf(interaction, 'simplematchset')
  if (!left || !right) return { code: 'no-key' }
  const response = interaction.attributes.responseidentifier ?? ''
  const prompts = optionsOf(allOf(left, 'simpleassociablechoice'))
  if ('code' in prompts) return prompts
  const partners = optionsOf(allOf(right, 'simpleassociablechoice'), 'p')
  if ('code' in partners) return partners
  const given = (pairs: Pairs) => ({
    [response]: Object.entries(pairs).map(
      ([prompt, partner]) => `${prompts.outside.get(prompt) ?? ''} ${partners.outside.get(partner) ?? ''}`,
    ),
  })
  const earned = (pairs: Pairs) => scoring.scoreOf(given(pairs))
  const stated = (values: readonly string[]) => pairsIn(values, prompts, partners)
  const correct = stated((scoring.declared.get(response)?.correct ?? []).map(String))
  const named = stated(scoring.named(response))
  const single = (pair: readonly [string, string]) => earned(Object.fromEntries([pair]))
  const best = bestOf([correct, named.filter((pair) => single(pair) > 0), named].map(oneEach), earned)
  if (best === null || best.score <= 0) return { code: 'no-key' }
  const key = best.way
  // two partners of one prompt: nothing of ours
  if (correct.length > new Set(correct.map(([prompt]) => prompt)).size) return { code: 'several-right' }
  const shown = shownSo(prompts.options, partners.options, key)
  const samples = samplesOf(key, partners.options).map((pairs): Sample => ({
    answer: { kind: 'matching', pairs: shown.renamed(pairs) },
    given: given(pairs),
  }))
  const of = {
    kind: 'matching',
    prompts: prompts.options,
    partners: shown.partners,
    right: shown.renamed(key),
  }
  return reading(of, best.score, samples)
}

function pairsIn(values: readonly string[], prompts: NamedOptions, partners: NamedOptions) {
  return values.flatMap((pair) => {
    const [from = '', to = ''] = pair.trim().split(/\s+/)
    const ends = [prompts.ids.get(from), partners.ids.get(to)] as const
    // a pair may be written from either end
    const [prompt, partner] = ends[0] && ends[1] ? ends : [prompts.ids.get(to), partners.ids.get(from)]
    return prompt && partner ? [[prompt, partner] as const] : []
  })
}

/** The first pair of each prompt. */
function oneEach(pairs: readonly (readonly [string, string])[]): Pairs {
  return Object.fromEntries([...pairs].reverse())
}

function samplesOf(key: Pairs, partners: readonly Option[]): readonly Pairs[] {
  const entries = Object.entries(key)
  const lacking = entries.map(([prompt]) => Object.fromEntries(entries.filter(([p]) => p !== prompt)))
  const wrong = entries.flatMap(([prompt, partner]) => {
    const other = partners.find((o) => o.id !== partner)
    return other ? [{ ...key, [prompt]: other.id }] : []
  })
  return [key, {}, ...lacking, ...wrong]
}

/** Partners in another order where each stands beside its prompt: it would tell the answer. */
function shownSo(prompts: readonly Option[], partners: readonly Option[], key: Pairs) {
  const tells = prompts.every((p, i) => key[p.id] === partners[i]?.id)
  if (!tells) return { partners, renamed: (pairs: Pairs) => pairs }
  const shown = mixed(
    partners.map((p) => p.text),
    'p',
  )
  const nameOf = (id: string) => {
    const text = partners.find((p) => p.id === id)?.text
    return shown.find((o) => o.text === text)?.id ?? ''
  }
  const renamed = (pairs: Pairs) =>
    Object.fromEntries(Object.entries(pairs).map(([p, id]) => [p, nameOf(id)]))
  return { partners: shown, renamed }
}
