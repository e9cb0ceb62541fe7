/** A share from 0 to 1 as the whole per cent that is shown of it. What per cents decide, this decides: 59.6 % is 60. */
export function wholePercent(share: number): number {
  return Math.round(share * 100)
}
