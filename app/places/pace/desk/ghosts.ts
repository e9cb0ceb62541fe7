import type { LessonId } from '#core/base'
import type { DeskColumn } from '../stores/deskColumn'

const NONE: ReadonlySet<string> = new Set()

/** Lessons of a class that lie elsewhere than before the change that is looked at. */
export function ghostsOf(column: DeskColumn, before: DeskColumn | undefined): ReadonlySet<string> {
  if (!before || before === column) return NONE
  const moved = [...column.extents.keys()].filter((id) => datesOf(column, id) !== datesOf(before, id))
  return new Set(moved)
}

function datesOf({ extents, calendar }: DeskColumn, id: LessonId): string {
  const extent = extents.get(id)
  return extent ? `${calendar.meetings[extent.first]?.on} ${calendar.meetings[extent.last]?.on}` : ''
}
