/**
 * Pearson's correlation of pairs, -1 to 1: the sum of (x - mean x)(y - mean y), divided by the root of both sums of
 * squares. With one side 0 or 1 it is the point-biserial correlation. Null where one side does not vary.
 */
export function correlationOf(pairs: readonly (readonly [x: number, y: number])[]): number | null {
  const mean = (of: (pair: readonly [number, number]) => number) =>
    pairs.reduce((sum, pair) => sum + of(pair), 0) / pairs.length
  const meanX = mean(([x]) => x)
  const meanY = mean(([, y]) => y)
  let [xy, xx, yy] = [0, 0, 0]
  for (const [x, y] of pairs) {
    xy += (x - meanX) * (y - meanY)
    xx += (x - meanX) ** 2
    yy += (y - meanY) ** 2
  }
  // what is left of rounding is no variation
  if (xx < 1e-12 || yy < 1e-12) return null
  return Math.max(-1, Math.min(1, xy / Math.sqrt(xx * yy)))
}
