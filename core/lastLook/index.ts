/** The last look at work before it goes out: what is known of its classes and pieces, and what is seldom meant. */
export type { Caution } from './caution'
export type { ClassAtLastLook, LastLookFacts, OtherWork, PieceAtLastLook, WaitsInClass } from './facts'
export { lastLook } from './lastLook'
export { MANY_PIECES } from './ofPieces'
