import type { IsoDay, LessonId } from '../../../base'
import { fixedOf } from '../../plan'
import type { FixedDate } from '../../plan'
import { firstOnOrAfter } from '../../track'
import type { Bitten, WayOut } from './wayOut'

/**
 * Everything behind the change moves on, fixed dates of the class with it; slack and buffers stay as long as
 * they are, and the end overflows.
 */
export const pushOn: WayOut = (bitten) => {
  const { before, after, first, extraHalves } = bitten
  const shift = Math.ceil(extraHalves / 2)
  const fixed: Record<LessonId, FixedDate | 'free'> = { ...after.pacing.fixed }
  for (const { lesson } of after.course.items.slice(first)) {
    const now = fixedOf(lesson, after.pacing)
    if (!now) continue
    const next = shifted(now, (on) => sameMeetingOf(on, bitten, shift))
    if (next === 'free' || JSON.stringify(next) !== JSON.stringify(now)) fixed[lesson.id] = next
  }
  return before === after ? after.pacing : { ...after.pacing, fixed }
}

function shifted(fixed: FixedDate, move: (on: IsoDay) => IsoDay | null): FixedDate | 'free' {
  if (fixed.kind !== 'within') {
    const on = move(fixed.on)
    return on === null ? 'free' : { ...fixed, on }
  }
  const [fromOn, throughOn] = [move(fixed.fromOn), move(fixed.throughOn)]
  return fromOn === null || throughOn === null ? 'free' : { kind: 'within', fromOn, throughOn }
}

/**
 * The date of the meeting that is the class's nth after the change, where the old date's meeting was the nth
 * before; no earlier than it was; null past the year.
 */
function sameMeetingOf(on: IsoDay, { before, after }: Bitten, shift: number): IsoDay | null {
  const nth = firstOnOrAfter(before.course.track, on)
  const old = before.course.track.meetings[nth]?.on
  const next = after.course.track.meetings[nth + shift]?.on
  if (next === undefined) return null
  // a date on which the class did not meet stays as long as its meeting does; time that is gained pulls no
  // date forward
  return next === old || next < on ? on : next
}
