import type { Reach } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'

/** What a stretch goes up to: a lesson with a fixed date, the end of a part, the end of the year. */
export function nameOfReach(reach: Pick<Reach, 'upTo' | 'endsBecause'>, column: DeskColumn): string {
  const lesson = reach.upTo ? column.lessons.get(reach.upTo) : undefined
  if (lesson) return `to ${lesson.number || lesson.title}`
  return reach.endsBecause === 'part' ? 'to the end of the part' : 'to the end of the year'
}
