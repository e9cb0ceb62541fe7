import type { Instant, IsoDay, LessonId } from '../../base'
import type { Meeting } from '../../calendar'
import { isLeft } from '../layout'
import type { Layout, Placement } from '../layout'
import type { Baseline } from '../plan'

/** The layout as it stands, kept for comparison. */
export function baselineOf(
  layout: Layout,
  meetings: readonly Pick<Meeting, 'on'>[],
  agreedAt: Instant,
): Baseline {
  const lessons: Record<LessonId, (readonly [IsoDay, number])[]> = {}
  for (const p of layout.placements) {
    if (!p.placed) continue
    const held = (p.gone ?? []).map((g) => [g.on, g.halves] as const)
    const laid = p.slots.flatMap((s) => {
      const on = meetings[s.meeting]?.on
      return on ? [[on, s.halves] as const] : []
    })
    lessons[p.lessonId] = [...held, ...laid]
  }
  return { agreedAt, lessons }
}

/** Drift at the end of a day, in meetings of the baseline: ahead (+) or behind (−). */
export interface DriftPoint {
  readonly on: IsoDay
  readonly meetings: number
}

/**
 * Drift = actual position − baseline position, so that a class ahead of what was agreed has a plus and one behind
 * it a minus; both are counted in the baseline's meetings, at the end of a day: every lesson counts with its
 * baseline length, by the share of it that is done. A lesson left out counts as passed once the lesson before it
 * is done; lessons that came later than the baseline count nothing.
 */
export function driftOn(
  baseline: Baseline,
  layout: Layout,
  meetings: readonly Pick<Meeting, 'on'>[],
  on: IsoDay,
): number {
  let planned = 0
  let actual = 0
  let passed = true
  for (const p of layout.placements) {
    const base = baseline.lessons[p.lessonId]
    if (p.placed) {
      const done = doneBy(p, meetings, on)
      passed = done === p.halves
      if (base && p.halves > 0) actual += halvesOf(base) * (done / p.halves)
    } else if (base && passed && isLeft(p.because.why)) actual += halvesOf(base)
    if (base) for (const [day, halves] of base) if (day <= on) planned += halves
  }
  return Math.round((actual - planned) * 50) / 100
}

/** Drift at each of the class's meeting days. */
export function driftSeries(
  baseline: Baseline,
  layout: Layout,
  meetings: readonly Pick<Meeting, 'on'>[],
): DriftPoint[] {
  return [...new Set(meetings.map((m) => m.on))].map((on) => ({
    on,
    meetings: driftOn(baseline, layout, meetings, on),
  }))
}

function halvesOf(base: readonly (readonly [IsoDay, number])[]): number {
  return base.reduce((n, [, halves]) => n + halves, 0)
}

function doneBy(
  { slots, gone = [] }: Extract<Placement, { readonly placed: true }>,
  meetings: readonly Pick<Meeting, 'on'>[],
  on: IsoDay,
): number {
  let done = 0
  for (const s of slots) if ((meetings[s.meeting]?.on ?? '9') <= on) done += s.halves
  for (const s of gone) if (s.on <= on) done += s.halves
  return done
}
