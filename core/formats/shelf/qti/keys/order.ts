import { mixed } from '../../../../library'
import type { Shortfall } from '../../types'
import { allOf } from '../../xml'
import type { Xml } from '../../xml'
import { bestOf, reading } from './keyReading'
import type { Asked, KeyReading, Sample } from './keyReading'
import { optionsOf } from './options'

/** As many options as all orders of them are looked at. */
const ALL_ORDERS = 5

/** Options that are put in order. */
export function order(interaction: Xml, { scoring }: Asked): KeyReading | Shortfall {
  const response = interaction.attributes.responseidentifier ?? ''
  const named = optionsOf(allOf(interaction, 'simplechoice'))
  if ('code' in named) return named
  const { options, ids, outside } = named
  const given = (way: readonly string[]) => ({ [response]: way.map((id) => outside.get(id) ?? '') })
  const all = options.map((o) => o.id)
  const ways = [
    (scoring.declared.get(response)?.correct ?? []).map(String),
    ...(scoring.rules
      ? allOf(scoring.rules, 'ordered').map((of) =>
          allOf(of, 'basevalue').map((v) => String(v.children[0] ?? '').trim()),
        )
      : []),
  ]
    .map((names) => names.flatMap((name) => ids.get(name) ?? []))
    .filter((way) => way.length === all.length)
  const best = bestOf([...ways, ...(all.length <= ALL_ORDERS ? ordersOf(all) : [])], (way) =>
    scoring.scoreOf(given(way)),
  )
  if (best === null || best.score <= 0 || all.length === 0) return { code: 'no-key' }
  const right = best.way
  const swapped = right
    .slice(1)
    .map((id, i) => right.map((r, j) => (j === i ? id : j === i + 1 ? (right[i] ?? r) : r)))
  const asShown = shownSo(options, right)
  const samples = [right, [...right].reverse(), ...swapped, []].map((way): Sample => ({
    answer: { kind: 'ordering', order: way.map(asShown.renamed) },
    given: given(way),
  }))
  return reading(
    { kind: 'ordering', options: asShown.options, right: right.map(asShown.renamed) },
    best.score,
    samples,
  )
}

/** Options in another order where theirs is the right one: it would tell the answer. */
function shownSo(
  options: readonly { readonly id: string; readonly text: string }[],
  right: readonly string[],
) {
  const tells = options.every((o, i) => o.id === right[i])
  if (!tells) return { options, renamed: (id: string) => id }
  const textOf = new Map(options.map((o) => [o.id, o.text]))
  const shown = mixed(
    right.map((id) => textOf.get(id) ?? ''),
    'a',
  )
  return { options: shown, renamed: (id: string) => shown.find((o) => o.text === textOf.get(id))?.id ?? '' }
}

function ordersOf(ids: readonly string[]): readonly (readonly string[])[] {
  if (ids.length === 0) return [[]]
  return ids.flatMap((id) => ordersOf(ids.filter((other) => other !== id)).map((rest) => [id, ...rest]))
}
