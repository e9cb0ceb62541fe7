/** How likely a class is to finish by a date. */
export { PRIOR_MEETINGS, forecaster, paceOf } from './forecast'
export type { Band, Forecast, Forecaster, Pace } from './forecast'
