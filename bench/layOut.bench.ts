import { asId, isoDay } from '#core/base'
import type { ClassId, LessonId, UnitId, YearId } from '#core/base'
import { meetings, zoneOf } from '#core/calendar'
import type { PatternRow, SchoolYear } from '#core/calendar'
import { layOut, weekCells } from '#core/pacing'
import type { PlanLesson } from '#core/pacing'
import { measure } from './measure'
import type { Line } from './measure'
import { spreadsheet } from './spreadsheet'

export const CLASSES = 6
const weekdays = [1, 2, 3, 4, 5] as const

/** A plain year of about 180 school days, or a multiple of it in days for growth. */
export function aYear(): SchoolYear {
  return {
    id: asId<YearId>('y'),
    name: '',
    zone: 'America/Denver',
    firstOn: isoDay('2026-08-31'),
    lastOn: isoDay('2027-05-07'),
    weekdays,
    terms: [],
    notes: [],
    rotation: null,
  }
}
export const daily: readonly PatternRow[] = weekdays.map((weekday) => ({
  day: { weekday },
  startMinute: 540,
  minutes: 50,
}))

export function lessons(count: number): PlanLesson[] {
  return Array.from({ length: count }, (_, i) => ({
    id: asId<LessonId>(`l${i}`),
    unitId: asId<UnitId>('u'),
    number: `${i}`,
    title: `Lesson ${i}`,
    kind: 'lesson',
    weight: 'core',
    fixed: null,
    notAfterBreak: false,
    bookLessonId: null,
    length: { unit: 'meetings', min: 0.5, typical: 1, max: 3 },
  }))
}

/**
 * The least that has to be done: first and last meeting of each lesson over typed arrays, in halves; no
 * objects, no reasons.
 */
function minimalLoop(lengths: Uint8Array, capacities: Uint8Array): Uint16Array {
  const out = new Uint16Array(lengths.length * 2)
  let meeting = 0
  let taken = 0
  for (let i = 0; i < lengths.length; i++) {
    out[i * 2] = meeting
    for (let left = lengths[i] as number; left > 0;) {
      const here = Math.min(left, (capacities[meeting] as number) - taken)
      out[i * 2 + 1] = meeting
      left -= here
      taken += here
      if (taken === capacities[meeting]) {
        meeting++
        taken = 0
      }
    }
  }
  return out
}

/** Laying out: against the bar, a minimal loop, a spreadsheet engine, and in growth. */
export function layOutBench(): Line[] {
  const calendar = meetings(aYear(), asId<ClassId>('c'), daily, [])
  const plan = { lessons: lessons(160) }
  const six = (run: () => unknown) => () => {
    for (let c = 0; c < CLASSES; c++) run()
  }
  const ours = measure(
    'lay out',
    six(() => layOut(plan, calendar.meetings)),
  )
  const lengths = new Uint8Array(160).fill(2)
  const capacities = new Uint8Array(calendar.meetings.length).fill(2)
  const loop = measure(
    'minimal loop',
    six(() => minimalLoop(lengths, capacities)),
  )
  const grown = [1, 4, 16].map((times) => {
    const many = Array.from({ length: times }, () => calendar.meetings).flat()
    const big = { lessons: lessons(160 * times) }
    return measure(
      `×${times}`,
      six(() => layOut(big, many)),
    ).medianMs
  })
  const sheet = spreadsheet(CLASSES, 160)
  const zone = zoneOf('America/Denver')
  const whole = measure('calendar and layout', () => {
    const own = meetings(aYear(), asId<ClassId>('c'), daily, [], zone)
    return weekCells(own, layOut(plan, own.meetings))
  })
  return [
    {
      what: 'lay 160 lessons on 180 days, 6 classes',
      medianMs: ours.medianMs,
      bar: 'under 1.5 ms',
      note:
        `${(ours.medianMs / loop.medianMs).toFixed(0)}× of a minimal loop over ` +
        `typed arrays (${(loop.medianMs * 1000).toFixed(1)} µs)`,
    },
    {
      what: 'the same in a spreadsheet engine, one more closure',
      medianMs: sheet.oneMoreClosureMs,
      bar: 'at least 100× ours',
      note:
        `${(sheet.oneMoreClosureMs / ours.medianMs).toFixed(0)}× ours; building ` +
        `the sheet ${sheet.buildMs.toFixed(0)} ms`,
    },
    {
      what: 'growth at 1×, 4×, 16×',
      medianMs: grown[2] ?? 0,
      bar: 'linear',
      note: grown.map((g) => `${(g / (grown[0] ?? 1)).toFixed(1)}×`).join(', '),
    },
    {
      what: 'one class from year to desk weeks',
      medianMs: whole.medianMs,
      bar: 'a key press within 100 ms',
      note: 'meetings, layout, stones by week; zone shared',
    },
  ]
}
