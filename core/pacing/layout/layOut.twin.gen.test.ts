import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../base'
import type { IsoDay, LessonId } from '../../base'
import { someDated, someRooms } from '../../../tests/support/dated'
import type { Room } from '../../../tests/support/dated'
import { AS_PLANNED } from '../plan'
import type { ClassPacing, PlanLesson } from '../plan'
import { layOut } from './layOut'

const SEED = 20_261_126
const CASES = 4000

/**
 * The slow twin, from the rules alone: time is one row of half minutes. A lesson is placed when it ends in
 * its own time and everything with a date behind it can still be placed in turn; every place is tried.
 */
function twin(lessons: readonly PlanLesson[], rooms: readonly Room[], through: number) {
  const sizes = rooms.map((r) => r.minutes * 2)
  const halves = rooms.map((r) => (r.minutes * 10 >= r.usualMinutes * 6 ? r.minutes : r.minutes * 2))
  const offsets = [0]
  for (const s of sizes) offsets.push((offsets[offsets.length - 1] as number) + s)
  const total = offsets[rooms.length] as number
  const start = offsets[through] as number
  const meetingAt = (t: number) => rooms.findIndex((_, m) => (offsets[m + 1] as number) > t)
  const dayStart = (on: IsoDay) => {
    const m = rooms.findIndex((r) => r.on >= on)
    return m < 0 ? total : (offsets[m] as number)
  }
  const dayEnd = (on: IsoDay) => {
    const m = rooms.findIndex((r) => r.on > on)
    return m < 0 ? total : (offsets[m] as number)
  }
  /** Where a lesson ends that may begin at t, and what it takes of which meeting; null past the year. */
  const lay = (lesson: PlanLesson, t: number) => {
    const inMinutes = lesson.length.unit === 'minutes'
    let left = inMinutes ? lesson.length.typical * 2 : lesson.length.typical * 2
    let at = t
    const took: [number, number][] = []
    while (left > 0) {
      const m = meetingAt(at)
      if (m < 0) return null
      const room = (offsets[m + 1] as number) - at
      const half = halves[m] as number
      const most = inMinutes ? room : Math.floor(room / half)
      const isFirst = took.length === 0
      const mayBegin = !(
        isFirst &&
        lesson.notAfterBreak &&
        lesson.fixed?.kind !== 'on' &&
        rooms[m]?.afterBreak
      )
      const here = mayBegin ? Math.min(most, left) : 0
      if (here > 0) took.push([m, inMinutes ? here / half : here])
      left -= here
      at = left > 0 ? (offsets[m + 1] as number) : at + (inMinutes ? here : here * half)
    }
    return { end: at, took }
  }
  const earliest = ({ fixed }: PlanLesson) => {
    if (fixed === null || fixed.kind === 'not-after') return 0
    return dayStart(fixed.kind === 'within' ? fixed.fromOn : fixed.on)
  }
  const lastEnd = ({ fixed }: PlanLesson) => {
    if (fixed?.kind === 'not-after') return dayEnd(fixed.on)
    return fixed?.kind === 'within' ? dayEnd(fixed.throughOn) : total
  }
  /** The latest place from which a lesson with a date still starts on its day; null without one to keep. */
  const onDay = (i: number): number | null => {
    const lesson = lessons[i] as PlanLesson
    if (lesson.fixed?.kind !== 'on') return null
    const day = earliest(lesson)
    const isShared = lessons
      .slice(0, i)
      .some((b) => b.fixed?.kind === 'on' && earliest(b) === day && onDay(lessons.indexOf(b)) !== null)
    const m = meetingAt(day)
    const inMinutes = lesson.length.unit === 'minutes'
    const least = inMinutes ? Math.min(lesson.length.typical * 2, 10) : (halves[m] ?? 0)
    const latest = isShared && m >= 0 ? (offsets[m + 1] as number) - least : day
    return latest >= start ? latest : null
  }
  /** Whether lesson i, with a date, and those with dates behind it can be placed when all before end at t. */
  const holds = (i: number, t: number): boolean => {
    const lesson = lessons[i]
    if (!lesson) return t <= total
    const day = onDay(i)
    if (day !== null) return t <= day && (day <= limit(i + 1) || holds(i + 1, t))
    const hasLastDay = lesson.fixed?.kind === 'not-after' || lesson.fixed?.kind === 'within'
    const ends = (from: number) => {
      const laid = lay(lesson, Math.max(from, earliest(lesson)))
      return laid !== null && laid.end <= lastEnd(lesson) && holds(i + 1, laid.end)
    }
    // one that has no room even when nothing else is taught binds nobody
    if (!hasLastDay || !ends(start)) return holds(i + 1, t)
    return ends(t)
  }
  const limits = new Map<number, number>()
  /** The last place at which everything with a date from lesson i on can still be placed. */
  const limit = (i: number): number => {
    const known = limits.get(i)
    if (known !== undefined) return known
    let t = total
    while (t > start && !holds(i, t)) t--
    limits.set(i, t)
    return t
  }
  let cursor = start
  let until = -1
  return lessons.map((lesson, i) => {
    const most = Math.min(limit(i + 1), lastEnd(lesson))
    if (most <= until) return null
    const laid = lay(lesson, Math.max(cursor, earliest(lesson)))
    if (laid === null || laid.end > most) {
      until = most
      return null
    }
    until = -1
    cursor = laid.end
    return laid.took
  })
}

describe('laying out with dates of all kinds', () => {
  it(`equals trying every place, on ${CASES} cases from seed ${SEED}`, () => {
    const random = seededRandom(SEED)
    const upTo = (n: number) => Math.floor(random() * n)
    const worth = { refused: 0, chained: 0, shared: 0, waits: 0 }
    for (let n = 0; n < CASES; n++) {
      const rooms = someRooms(upTo)
      const lessons = someDated(upTo)
      const through = upTo(4) === 0 ? 1 : 0
      const held = { on: rooms[0]?.on as IsoDay, startMinute: 540, halves: 2 }
      const pacing: ClassPacing = { ...AS_PLANNED, through: through === 0 ? null : held }
      const got = layOut({ lessons }, rooms, { pacing })
      const wanted = twin(lessons, rooms, through)
      const said = JSON.stringify({
        n,
        lessons: lessons.map((l) => [l.length.unit, l.length.typical, l.fixed, l.notAfterBreak]),
        rooms: rooms.map((r) => [r.on, r.minutes, r.afterBreak]),
        through,
      })
      expect(
        got.placements.map((p) => (p.placed ? p.slots.map((s) => [s.meeting, s.halves]) : null)),
        said,
      ).toEqual(wanted)
      const lastDays = lessons.filter((l) => l.fixed?.kind === 'not-after' || l.fixed?.kind === 'within')
      if (wanted.includes(null)) worth.refused++
      if (lastDays.length > 1) worth.chained++
      if (got.findings.some((f) => f.code === 'waits-after-break')) worth.waits++
      if (sharesDay(lessons, got.placements)) worth.shared++
    }
    expect(worth.refused).toBeGreaterThan(500)
    expect(worth.chained).toBeGreaterThan(500)
    expect(worth.shared).toBeGreaterThan(20)
    expect(worth.waits).toBeGreaterThan(100)
  })
})

function sharesDay(lessons: readonly PlanLesson[], placements: ReturnType<typeof layOut>['placements']) {
  const placed = new Map<LessonId, boolean>(placements.map((p) => [p.lessonId, p.placed]))
  const days = lessons.flatMap((l) => (l.fixed?.kind === 'on' && placed.get(l.id) ? [l.fixed.on] : []))
  return new Set(days).size < days.length
}
