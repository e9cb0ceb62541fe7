/** What came back: the grid of learners × work and figures per item, always with counts. */
export type { AnswerToScore } from './answerToScore'
export { bandOf } from './band'
export { grid, standingTry } from './grid'
export { itemFigures } from './itemFigures'
export type { Cell, CellState, GridInput, GridTerms, GridWork, ItemFigures } from './types'
export { standingOn } from './standing'
export type { CountedTry, Standing } from './standing'
