/** Learners' texts: their figures. */
export { figuresOf } from './figuresOf'
export type { TextFigures } from './figuresOf'
