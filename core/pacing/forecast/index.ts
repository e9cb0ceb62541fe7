/** How likely a class is to finish by a date. */
export { forecaster } from './forecast'
export type { Forecaster } from './forecast'
export { PRIOR_MEETINGS, paceOf } from './pace'
export type { Pace } from './pace'
export type { Band, Forecast } from './summary'
