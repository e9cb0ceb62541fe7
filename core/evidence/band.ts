/** How a share of points is lit: below 60 %, up to 85 %, and above. */
export type Band = 'low' | 'middle' | 'high'

/** The band of a share from 0 to 1. */
export function bandOf(share: number): Band {
  if (share < 0.6) return 'low'
  return share >= 0.85 ? 'high' : 'middle'
}
