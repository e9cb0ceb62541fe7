import { z } from 'zod'
import type { Standard } from '#core/library'
import { readShape } from './body'

const codes = z.array(z.string())

/** Row to standard. */
export function toStandard(row: {
  readonly code: string
  readonly text: string
  readonly level: Standard['level']
  readonly parent: string | null
  readonly requires: string
}): Standard {
  const { code, text, level, parent } = row
  const requires = readShape(codes, JSON.parse(row.requires), 'standards.requires')
  return { code, text, level, parent, requires }
}
