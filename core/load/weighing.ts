/** Sums of shares differ by less than this when they are meant to be equal. */
const REST = 1e-6

/** Whether one load is more than another, beyond what adding up shares leaves over: how all of load compares. */
export function isMore(load: number, than: number): boolean {
  return load > than + REST
}

/** Orders loads, the lightest first; those that are alike are equal. */
export function byWeight(a: number, b: number): number {
  if (isMore(a, b)) return 1
  return isMore(b, a) ? -1 : 0
}
