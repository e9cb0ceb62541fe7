import { cardOfKind } from '../library'
import type { Material, Resource } from '../library'
import type { AttemptRules } from './types'

/**
 * What a piece shows besides its text. The words that are expected in a writing task are shown where that help is
 * allowed.
 */
export function materialShown({ kind, material }: Resource, rules: AttemptRules): Material {
  const hides = cardOfKind(kind).words === 'expected' && !rules.help.includes('expected-words')
  return hides ? { ...material, words: [] } : material
}
