import type { Parts } from '#core/combining'
import type { WorkInClass, WorkRow } from '#shared/contracts/work'
import type { PartWords } from '~/shared/conflict/words'
import { sayMoment } from '~/shared/words/times'

/** Rows of the list of work. */
export interface Rows {
  readonly rows: readonly WorkRow[]
}
export const ROWS_PARTS: Parts<Rows> = { rows: { nameOf: (row) => row.id } }

const STATES: Record<WorkRow['state'], string> = {
  held: 'held',
  published: 'published',
  withdrawn: 'withdrawn',
}

/** Each row by its title, with its state and its dates in each class. */
export function rowsWords(zone: string): PartWords<Rows> {
  const inClass = ({ name, window }: WorkInClass) => {
    const due = window.due === null ? 'no due date' : `due ${sayMoment(window.due, zone, 'due')}`
    return window.opens === null
      ? `${name} ${due}`
      : `${name} opens ${sayMoment(window.opens, zone, 'opens')}, ${due}`
  }
  return {
    label: (_, value) => `“${(value as WorkRow).title}”`,
    value: (_, value) => {
      const row = value as WorkRow | undefined
      return row ? [row.title, STATES[row.state], ...row.classes.map(inClass)].join(', ') : 'no longer there'
    },
  }
}
