import type { Item } from './kinds'

/**
 * Questions without those that say and want the same as one before them, under whatever name: a unit's test often asks
 * what its checks asked.
 */
export function differentOnes<T>(questions: readonly T[], itemOf: (question: T) => Item): readonly T[] {
  const seen = new Set<string>()
  return questions.filter((question) => {
    const { id: _, ...said } = itemOf(question)
    const key = JSON.stringify(said)
    const isNew = !seen.has(key)
    seen.add(key)
    return isNew
  })
}
