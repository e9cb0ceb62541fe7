import { mondayOf } from '../../base'
import type { IsoDay, LessonId } from '../../base'
import type { ClassCalendar, LostMeeting } from '../../calendar'
import { capacityOf } from '../track'
import type { Layout } from './types'

/**
 * A stretch of one week of one class, in order of time: a lesson's stone, bare ground, or a meeting that was
 * lost.
 */
export type Stretch =
  | {
      readonly kind: 'stone'
      readonly lessonId: LessonId
      readonly halves: number
      readonly meetings: readonly number[]
      readonly starts: boolean
      readonly ends: boolean
    }
  | { readonly kind: 'bare'; readonly halves: number; readonly meeting: number }
  | { readonly kind: 'lost'; readonly halves: number; readonly lost: LostMeeting }

/** One class's week; `halves` is the sum over its stretches. */
export interface WeekCell {
  readonly mondayOn: IsoDay
  readonly stretches: readonly Stretch[]
  readonly halves: number
}

interface Part {
  readonly at: string
  readonly startMinute: number
  readonly stretches: readonly Stretch[]
}

/**
 * A layout cut into weeks (by their Monday), as the desk shows it. Neighbouring parts of one lesson in a week are
 * one stone; a lost meeting between them parts it in two. A lost meeting counts two halves. Without a layout all
 * ground is bare.
 */
export function weekCells(calendar: ClassCalendar, layout: Layout | null): ReadonlyMap<IsoDay, WeekCell> {
  const weeks = new Map<IsoDay, Part[]>()
  const put = (on: IsoDay, part: Part) => {
    const monday = mondayOf(on)
    const known = weeks.get(monday)
    if (known) known.push(part)
    else weeks.set(monday, [part])
  }
  const held = heldBy(layout)
  for (const m of calendar.meetings) {
    const stones = held.get(m.index) ?? []
    const bare = (layout?.capacities[m.index] ?? capacityOf(m)) - stones.reduce((n, s) => n + s.halves, 0)
    // a lesson counted in minutes may leave a sliver that nothing fits into
    const isGround = bare > 0.2 && !m.isOff
    put(m.on, {
      at: m.on,
      startMinute: m.startMinute,
      stretches: isGround ? [...stones, { kind: 'bare', halves: bare, meeting: m.index }] : stones,
    })
  }
  for (const lost of calendar.lost)
    put(lost.on, {
      at: lost.on,
      startMinute: lost.startMinute,
      stretches: [{ kind: 'lost', halves: 2, lost }],
    })
  return new Map(
    [...weeks].map(([mondayOn, parts]) => {
      const stretches = joined(
        parts
          .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.startMinute - b.startMinute))
          .flatMap((p) => p.stretches),
      )
      return [mondayOn, { mondayOn, stretches, halves: stretches.reduce((n, s) => n + s.halves, 0) }]
    }),
  )
}

/** Stones by meeting index, each one meeting long. */
function heldBy(layout: Layout | null): ReadonlyMap<number, Stretch[]> {
  const held = new Map<number, Stretch[]>()
  for (const placement of layout?.placements ?? []) {
    if (!placement.placed) continue
    placement.slots.forEach((slot, i) => {
      const stone: Stretch = {
        kind: 'stone',
        lessonId: placement.lessonId,
        halves: slot.halves,
        meetings: [slot.meeting],
        starts: i === 0,
        ends: i === placement.slots.length - 1,
      }
      const known = held.get(slot.meeting)
      if (known) known.push(stone)
      else held.set(slot.meeting, [stone])
    })
  }
  return held
}

function joined(stretches: readonly Stretch[]): Stretch[] {
  const out: Stretch[] = []
  for (const next of stretches) {
    const last = out[out.length - 1]
    if (last?.kind === 'stone' && next.kind === 'stone' && last.lessonId === next.lessonId)
      out[out.length - 1] = {
        ...last,
        halves: last.halves + next.halves,
        meetings: [...last.meetings, ...next.meetings],
        ends: next.ends,
      }
    else out.push(next)
  }
  return out
}
