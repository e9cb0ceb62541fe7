import { addDays, asId, instant, isoDay } from '#core/base'
import type { AssignmentId, ClassId } from '#core/base'
import { movedWindows } from '#core/availability'
import type { Ground, WindowSpec } from '#core/availability'
import { meetings, zoneOf } from '#core/calendar'
import type { ClassCalendar, SchoolYear } from '#core/calendar'
import { AS_PLANNED, courseOf, extentsOf, fit, forecaster, ripple } from '#core/pacing'
import type { Layout, PlanLesson } from '#core/pacing'
import { CLASSES, aYear, daily, lessons } from './layOut.bench'
import { measure } from './measure'
import type { Line } from './measure'

const room = asId<ClassId>('c')
const zone = zoneOf('America/Denver')
const growth = (list: readonly number[]) => list.map((g) => `${(g / (list[0] ?? 1)).toFixed(1)}×`).join(', ')

/** A plan of lessons of differing length and weight, every 30th fixed. */
function plan(count: number, year: SchoolYear, withFixed = true): PlanLesson[] {
  return lessons(count).map((l, i) => ({
    ...l,
    weight: (['core', 'useful', 'optional'] as const)[i % 3] ?? 'core',
    length: { unit: 'meetings', min: 0.5, typical: 0.5 + (i % 3) / 2, max: 3 },
    fixed:
      withFixed && i % 30 === 29 ? { kind: 'on', on: addDays(year.firstOn, Math.round(i * 1.45) + 7) } : null,
  }))
}

/** A stretch of lessons that needs 15 meetings more than there are. */
function stretch(times: number) {
  const own = plan(60 * times, aYear(), false)
  const need = own.reduce((n, l) => n + l.length.typical, 0)
  const all = meetings(aYear(), room, daily, []).meetings
  const many = Array.from({ length: times }, () => all)
    .flat()
    .slice(0, Math.floor(need) - 15 * times)
  return courseOf({ lessons: own }, many, AS_PLANNED, { terms: [] })
}

/** One more closed day for classes with work hanging on their lessons. */
function snowDay(classes: number, work: number) {
  const year = aYear()
  const closed: SchoolYear = {
    ...year,
    notes: [
      {
        id: 'n',
        kind: 'closure',
        name: 'Snow',
        fromOn: isoDay('2026-10-22'),
        throughOn: isoDay('2026-10-22'),
        classIds: [],
      },
    ],
  }
  const own = { lessons: plan(160, year) }
  const [before, after] = [year, closed].map((y) => meetings(y, room, daily, [], zone)) as [
    ClassCalendar,
    ClassCalendar,
  ]
  const anchor = (i: number, offset: number) => ({
    kind: 'anchor' as const,
    lessonId: (own.lessons[i % own.lessons.length] as PlanLesson).id,
    edge: 'last' as const,
    offset,
    step: 'meetings' as const,
    at: 'class-end' as const,
  })
  const windows = Array.from({ length: work }, (_, i): { id: AssignmentId; spec: WindowSpec } => ({
    id: asId(`w${i}`),
    spec: { listed: null, opens: anchor(i, 0), due: anchor(i, 1), closes: null, putAway: null },
  }))
  const ground = (calendar: ClassCalendar, layout: Layout): Ground => ({
    zone,
    firstOn: year.firstOn,
    lastOn: year.lastOn,
    meetings: calendar.meetings,
    extents: extentsOf(layout),
  })
  return () => {
    let moved = 0
    for (let c = 0; c < classes; c++) {
      const got = ripple(
        room,
        { plan: own, pacing: AS_PLANNED, calendar: before, terms: [] },
        { plan: own, pacing: AS_PLANNED, calendar: after, terms: [] },
      )
      const old = ground(before, got.before)
      for (const way of got.ways) moved += movedWindows(windows, old, ground(after, way.layout)).length
    }
    return moved
  }
}

/** The rest of a year, played many times. */
function years(count: number, times: number) {
  const all = meetings(aYear(), room, daily, []).meetings
  const many = Array.from({ length: times }, () => all).flat()
  const course = courseOf({ lessons: plan(count * times, aYear(), false) }, many, AS_PLANNED, { terms: [] })
  const pace = { lessons: 20, usedRatio: 1.08, spreadRatio: 0.28, lossRatio: 0.03, lost: 1, held: 40 }
  const starts = many.map((m) => m.startsAt)
  const ends = course.items.filter((_, i) => i % 20 === 19).map((i) => i.lesson.id)
  return () => {
    const f = forecaster({ course, pace, now: instant(0), starts, ends, seed: 7 })
    f.run(2000)
    return f.result()
  }
}

/** Fit, ripple and forecast: against their bars, and in growth. */
export function planningBench(): Line[] {
  const fits = [1, 4, 16].map((times) => {
    const course = stretch(times)
    return measure(`fit ×${times}`, () => fit(course))
  })
  const ripples = [1, 4, 16].map((times) =>
    measure(`ripple ×${times}`, snowDay(CLASSES * times, 300 / CLASSES)),
  )
  const forecasts = [1, 4, 16].map((times) => measure(`forecast ×${times}`, years(160, times), 1500))
  const [oneFit, oneRipple, oneForecast] = [fits[0], ripples[0], forecasts[0]]
  return [
    {
      what: 'exact fit of 60 lessons short by 15 meetings',
      medianMs: oneFit?.medianMs ?? 0,
      bar: 'under 10 ms',
      note: `p95 ${oneFit?.p95Ms.toFixed(1)} ms`,
    },
    {
      what: 'fit, growth at 1×, 4×, 16× lessons and meetings',
      medianMs: fits[2]?.medianMs ?? 0,
      bar: 'lessons × places',
      note: growth(fits.map((f) => f.medianMs)),
    },
    {
      what: 'ripple, five ways, 6 classes, 300 assignments',
      medianMs: oneRipple?.medianMs ?? 0,
      bar: 'under 50 ms',
      note: `p95 ${oneRipple?.p95Ms.toFixed(1)} ms`,
    },
    {
      what: 'ripple, growth at 1×, 4×, 16× classes',
      medianMs: ripples[2]?.medianMs ?? 0,
      bar: 'linear',
      note: growth(ripples.map((r) => r.medianMs)),
    },
    {
      what: 'forecast, 2,000 runs, 160 lessons',
      medianMs: oneForecast?.medianMs ?? 0,
      bar: 'under 150 ms',
      note: `p95 ${oneForecast?.p95Ms.toFixed(0)} ms; in a worker`,
    },
    {
      what: 'forecast, growth at 1×, 4×, 16× lessons',
      medianMs: forecasts[2]?.medianMs ?? 0,
      bar: 'linear',
      note: growth(forecasts.map((f) => f.medianMs)),
    },
  ]
}
