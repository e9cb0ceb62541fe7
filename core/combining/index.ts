/** Two people's changes of the same value, put together part by part. */
export { combine } from './combine'
export type { Clash, Combined, PartOf, Parts, Side, Taken, Three } from './types'
