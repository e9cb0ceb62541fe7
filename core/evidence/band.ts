import { wholePercent } from '../base'

/** How a share of points is lit: below 60 %, up to 85 %, and above. */
export type Band = 'low' | 'middle' | 'high'

/** The band of a share from 0 to 1, by the whole per cent that is shown of it: what reads 60 % is not below 60 %. */
export function bandOf(share: number): Band {
  const shown = wholePercent(share)
  if (shown < 60) return 'low'
  return shown >= 85 ? 'high' : 'middle'
}
