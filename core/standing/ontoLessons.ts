import type { Moment, WindowSpec } from '../availability'
import type { LessonId } from '../base'
import { anchoredLessons } from '../work'
import type { StandingPiece } from './types'

/**
 * Standing work as it hangs on the lessons of a copy, each named by the lesson it was copied from. Null: its lesson, or
 * one that a moment hangs on, is not there.
 */
export function ontoLessons(
  piece: StandingPiece,
  copies: ReadonlyMap<LessonId, LessonId>,
): StandingPiece | null {
  const lessonId = copies.get(piece.lessonId)
  const isThere = anchoredLessons(piece).every((id) => copies.has(id))
  if (lessonId === undefined || !isThere) return null
  const moved = (moment: Moment | null | undefined) =>
    moment?.kind === 'anchor'
      ? { ...moment, lessonId: copies.get(moment.lessonId) ?? moment.lessonId }
      : moment
  const all = <W extends Partial<WindowSpec>>(window: W) =>
    Object.fromEntries(Object.entries(window).map(([field, moment]) => [field, moved(moment)])) as W
  const pieces = piece.pieces.map((p) => ({ ...p, window: all(p.window) }))
  return { ...piece, lessonId, window: all(piece.window), pieces }
}
