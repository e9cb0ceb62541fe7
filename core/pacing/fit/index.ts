/** What to cut so that a plan fits, at the least price. */
export { fit, withCuts } from './fit'
export { PRICES, priceOfCut } from './price'
export type { Cut, Fit, FitInput, Shortfall } from './types'
