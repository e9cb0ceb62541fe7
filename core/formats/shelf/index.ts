/** Files with pieces, items and standards: CASE, QTI, tables of items, readings. */
export { printOutline } from './books/outlineTable'
export { printCase } from './caseOut'
export { printItems } from './itemsCsv'
export { printQtiPackage } from './qti/printPackage'
export { readGivenFile } from './givenFile'
export { readShelfFile } from './readShelfFile'
export type { ReadPiece, ReadStandard, ShelfFormat, ShelfReading, ShelfRow, Shortfall } from './types'
