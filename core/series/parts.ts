import { keyOf } from '../audience'
import type { Parts } from '../combining'
import type { Series } from './types'

/** Rows and targets one by one, each of the rules by itself. */
export const SERIES_PARTS: Parts<Series> = {
  title: 'whole',
  classId: 'whole',
  rule: 'whole',
  rows: { nameOf: (row) => row.id },
  targets: { nameOf: keyOf },
  rules: 'fields',
}
