import type { ClassId } from '../base'
import type { WorkCommand } from '../work'
import type { Filing } from './types'

/** A change of a class's headings and categories, with the work that was filed anew by it. */
export interface FilingCommand {
  readonly kind: 'filing'
  readonly classId: ClassId
  readonly from: Filing
  readonly to: Filing
  readonly works: readonly WorkCommand[]
}

/** The same as it is said. */
export interface FilingStep extends Pick<FilingCommand, 'kind' | 'classId'> {
  /** How many pieces of work were filed anew. */
  readonly works: number
}

/** An act as whoever looks at undo, redo or the history needs it. */
export function asFilingStep({ kind, classId, works }: FilingCommand): FilingStep {
  return { kind, classId, works: works.length }
}
