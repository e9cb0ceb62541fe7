/** Files with pieces, items and standards: CASE, QTI, tables of items, readings. */
export { printCase } from './caseOut'
export { printItems } from './itemsCsv'
export { printQtiPackage } from './qti/package'
export { LARGEST_FILE, readShelfFile } from './readShelfFile'
export { SHELF_FORMATS } from './types'
export type { ReadPiece, ReadStandard, ShelfFormat, ShelfReading, ShelfRow, Shortfall } from './types'
