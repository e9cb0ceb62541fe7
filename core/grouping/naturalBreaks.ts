import type { Scored, Split } from './types'

/**
 * Groups at the natural breaks of shares: `k` runs of the sorted values with the least sum of squared distances from
 * the means of their runs (Jenks, found exactly by Fisher's recurrence in k times n squared steps). Equal shares are
 * never parted, so that there are fewer groups where there are fewer different shares.
 */
export function byNaturalBreaks(scored: readonly Scored[], k: number): Split {
  const unscored = scored.filter((s) => s.share === null).map((s) => s.learnerId)
  const withShare = scored.flatMap(({ learnerId, share }) => (share === null ? [] : [{ learnerId, share }]))
  const values = [...new Set(withShare.map((s) => s.share))].sort((a, b) => a - b)
  if (values.length === 0) return { groups: [], unscored }
  const counts = values.map((value) => withShare.filter((s) => s.share === value).length)
  const starts = breaksOf(values, counts, Math.min(k, values.length))
  const groups = starts.map((start, i) => {
    const from = values[start] ?? 0
    const below = values[starts[i + 1] ?? values.length] ?? Infinity
    return withShare.filter((s) => s.share >= from && s.share < below).map((s) => s.learnerId)
  })
  return { groups, unscored }
}

/** Where each of `k` runs of sorted values begins; `counts` says how often each value is there. */
function breaksOf(values: readonly number[], counts: readonly number[], k: number): readonly number[] {
  const cost = costsOf(values, counts)
  const n = values.length
  // least[j]: the least cost of values 0 to j in as many runs as have been looked at
  let least = values.map((_, j) => cost(0, j))
  const begun: number[][] = []
  for (let runs = 2; runs <= k; runs++) {
    const next = least.map(() => Infinity)
    const from = least.map(() => 0)
    for (let j = runs - 1; j < n; j++) {
      for (let i = runs - 1; i <= j; i++) {
        const sum = (least[i - 1] ?? 0) + cost(i, j)
        // what differs by rounding only does not move a break
        if (sum < (next[j] ?? 0) - 1e-12) {
          next[j] = sum
          from[j] = i
        }
      }
    }
    least = next
    begun.push(from)
  }
  const starts = [0]
  let end = n - 1
  for (const from of begun.reverse()) {
    const start = from[end] ?? 0
    starts.push(start)
    end = start - 1
  }
  return starts.sort((a, b) => a - b)
}

/** The sum of squared distances from their mean of values i to j, from sums that are taken once. */
function costsOf(values: readonly number[], counts: readonly number[]) {
  const sums = [{ n: 0, sum: 0, squares: 0 }]
  values.forEach((value, i) => {
    const count = counts[i] ?? 0
    const last = sums[i] ?? { n: 0, sum: 0, squares: 0 }
    sums.push({
      n: last.n + count,
      sum: last.sum + count * value,
      squares: last.squares + count * value * value,
    })
  })
  return (i: number, j: number): number => {
    const [before, upTo] = [sums[i], sums[j + 1]]
    if (!before || !upTo) return 0
    const sum = upTo.sum - before.sum
    return Math.max(0, upTo.squares - before.squares - (sum * sum) / (upTo.n - before.n))
  }
}
