import { foldedName } from './checkFiling'
import type { ByCategory, Category, CategoryPart, FiledScore } from './types'

/**
 * A learner's scores by category. The whole is the mean of the categories' means, each with its weight over the weights
 * of those that have scores, so that a category without any says nothing. Where the class has no categories, or none
 * that counts has a score, it is the plain mean of all scores.
 */
export function byCategory(scores: readonly FiledScore[], categories: readonly Category[]): ByCategory {
  const known = new Map(categories.map((c) => [foldedName(c.name), c]))
  const filed = new Map<string, number[]>()
  for (const { category, ratio } of scores) {
    const key = known.has(foldedName(category)) ? foldedName(category) : ''
    filed.set(key, [...(filed.get(key) ?? []), ratio])
  }
  const part = (category: Category): CategoryPart => {
    const own = filed.get(foldedName(category.name)) ?? []
    return { ...category, ratio: meanOf(own), scores: own.length }
  }
  const parts = categories.map(part)
  const others = filed.has('') ? [part({ name: '', weight: 0, most: null })] : []
  const counting = parts.filter((p) => p.ratio !== null && p.weight > 0)
  const weights = counting.reduce((sum, p) => sum + p.weight, 0)
  const weighted = counting.reduce((sum, p) => sum + p.weight * (p.ratio ?? 0), 0) / weights
  const ratio = counting.length > 0 ? weighted : meanOf(scores.map((s) => s.ratio))
  return { parts: [...parts, ...others], ratio }
}

function meanOf(ratios: readonly number[]): number | null {
  return ratios.length === 0 ? null : ratios.reduce((a, b) => a + b, 0) / ratios.length
}
