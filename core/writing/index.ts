/** Learners' texts: their figures. */
export { figuresOf, paragraphsIn, placesOf } from './figuresOf'
export type { TextFigures } from './figuresOf'
export { partsOf } from './partsOf'
export type { TextPart } from './partsOf'
export { shortfallOf } from './shortfall'
export type { Shortfall } from './shortfall'
