import { cardOfKind } from '#core/library'
import type { Zone } from '#core/calendar'
import { daysToDo } from '#core/load'
import type { LoadPiece } from '#core/load'
import type { PieceToDo } from '#db/repositories'

/** A piece as the load is reckoned with it. */
export function asLoadPiece(piece: PieceToDo, zone: Zone): LoadPiece {
  const { learnerIds, minutes, kind } = piece
  return {
    learnerIds,
    minutes,
    isTest: cardOfKind(kind).measures === 'test',
    ...daysToDo(piece, zone),
  }
}
