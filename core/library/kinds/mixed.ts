import { seedOf, seededRandom, shuffled } from '../../base'
import type { Option } from './fields'

/**
 * Texts with ids, in an order that depends on the texts alone and is never the one they came in, so that neither their
 * places nor their names tell what is right. Of one text, or of texts that are all alike, there is only one order.
 * @param first the letter of the first id.
 */
export function mixed(texts: readonly string[], first: string): readonly Option[] {
  const order = shuffled(texts, seededRandom(seedOf(texts.join('\n'))))
  const isAsGiven = order.every((text, i) => text === texts[i])
  const turned = isAsGiven ? [...order.slice(1), ...order.slice(0, 1)] : order
  const start = first.charCodeAt(0)
  return turned.map((text, i) => ({ id: String.fromCharCode(start + i), text }))
}
