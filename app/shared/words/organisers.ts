import type { CellPlace } from '#core/versions'

/** What a cell of an organiser is for. */
export function sayCell(place: CellPlace): string {
  switch (place.kind) {
    case 'table':
      return `${place.row}: ${place.column}`
    case 'branch':
      return `Thought ${place.number}`
    case 'point':
      return place.number === 1 ? 'First' : `Then (${place.number})`
    case 'claim':
      return 'What I claim'
    case 'reason':
      return `Reason ${place.number}`
    case 'evidence':
      return `What shows it (${place.number})`
  }
}
