import type { PacingRefusal } from '../refusals'
import { singlesOf } from './command'
import type { PacingCommand } from './types'

/** More than any year has days to note. */
export const MOST_NOTES = 400

/** More notes in one act than a year may hold are refused before any of them is looked at. */
export function tooManyNotes(command: PacingCommand): PacingRefusal | null {
  const count = singlesOf(command).filter((one) => one.kind === 'note').length
  return count > MOST_NOTES ? { code: 'pacing/too-many', field: 'notes', count, most: MOST_NOTES } : null
}
