import { addMinutes, asId, instant } from '#core/base'
import type { ClassId, GroupId, UserId } from '#core/base'
import { reach } from '#core/audience'
import type { Roster, Target } from '#core/audience'
import { NO_ACCOMMODATION, resolverFor, windowState } from '#core/availability'
import type { Ground, Overrides, Terms, Window } from '#core/availability'
import { meetings, zoneOf } from '#core/calendar'
import { extentsOf, layOut } from '#core/pacing'
import type { PlanLesson } from '#core/pacing'
import { aYear, daily, lessons } from './layOut.bench'
import { measure } from './measure'
import type { Line } from './measure'

const user = (n: number) => asId<UserId>(`l${n}`)
const group = (n: number) => asId<GroupId>(`g${n}`)
const room = asId<ClassId>('c')

/** One assignment to a class, groups and single learners, each with changes of its own. */
function scene(learners: number, groups: number, personal: number) {
  const roster: Roster = {
    classes: new Map([[room, Array.from({ length: learners }, (_, i) => user(i))]]),
    groups: new Map(
      Array.from({ length: groups }, (_, g) => [
        group(g),
        Array.from({ length: Math.ceil(learners / 8) }, (__, i) => user((g * 7 + i * 3) % learners)),
      ]),
    ),
  }
  const targets: Target[] = [
    { kind: 'class', classId: room },
    ...Array.from({ length: groups }, (_, g) => ({ kind: 'group' as const, groupId: group(g) })),
    ...Array.from({ length: personal }, (_, i) => ({ kind: 'learner' as const, learnerId: user(i) })),
  ]
  const calendar = meetings(aYear(), room, daily, [])
  const plan = { lessons: lessons(160) }
  const ground: Ground = {
    zone: zoneOf('America/Denver'),
    firstOn: aYear().firstOn,
    lastOn: aYear().lastOn,
    meetings: calendar.meetings,
    extents: extentsOf(layOut(plan, calendar.meetings)),
  }
  const anchor = (offset: number) => ({
    kind: 'anchor' as const,
    lessonId: (plan.lessons[40] as PlanLesson).id,
    edge: 'last' as const,
    offset,
    step: 'meetings' as const,
    at: 'class-end' as const,
  })
  const over = (n: number): Overrides => ({ window: { due: anchor(2 + (n % 5)) }, maxAttempts: n % 3 })
  const terms: Terms = {
    own: {},
    window: { listed: null, opens: anchor(-1), due: anchor(1), closes: anchor(9), putAway: null },
    limits: { maxAttempts: 2, timeLimitMinutes: 30 },
    overrides: {
      classes: new Map(),
      groups: new Map(Array.from({ length: groups }, (_, g) => [group(g), over(g)])),
      learners: new Map(Array.from({ length: personal }, (_, i) => [user(i), over(i)])),
    },
  }
  const grounds = new Map([[room, ground]])
  return () => {
    const resolve = resolverFor(terms, grounds)
    return reach(targets, roster).map((r) => resolve(r, NO_ACCOMMODATION))
  }
}

/** Who gets what, and states of many assignments. */
export function windowsBench(): Line[] {
  const resolve = measure('resolve', scene(200, 30, 60))
  const grown = [1, 4, 16].map((times) => measure(`×${times}`, scene(200 * times, 30, 60)).medianMs)
  const now = instant(Date.UTC(2026, 9, 21, 20, 30))
  const windows: Window[] = Array.from({ length: 1000 }, (_, i) => ({
    listed: null,
    opens: addMinutes(now, (i - 500) * 60),
    due: addMinutes(now, (i - 400) * 60),
    closes: addMinutes(now, (i - 300) * 60),
    putAway: null,
  }))
  const states = measure('states', () => windows.map((w) => windowState(w, now)))
  return [
    {
      what: 'resolve for 200 learners, 30 groups, 60 personal',
      medianMs: resolve.medianMs,
      bar: 'under 1 ms',
      note: `p95 ${resolve.p95Ms.toFixed(2)} ms`,
    },
    {
      what: 'growth at 1×, 4×, 16× learners',
      medianMs: grown[2] ?? 0,
      bar: 'linear',
      note: grown.map((g) => `${(g / (grown[0] ?? 1)).toFixed(1)}×`).join(', '),
    },
    {
      what: 'states of 1,000 assignments',
      medianMs: states.medianMs,
      bar: 'under 1 ms',
      note: `p95 ${states.p95Ms.toFixed(3)} ms`,
    },
  ]
}
