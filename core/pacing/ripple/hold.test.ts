import { describe, expect, it } from 'vitest'
import { isoDay, seededRandom } from '../../base'
import type { IsoDay } from '../../base'
import { aLesson, aYear, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import type { MeetingChange } from '../../calendar'
import { layOut } from '../layout'
import { AS_PLANNED } from '../plan'
import type { ClassPacing, FixedDate, PlanLesson } from '../plan'
import { ripple } from './ripple'

const classId = ids.class('c')
const year = aYear({ lastOn: isoDay('2026-09-18') })
const cancel = (on: IsoDay): MeetingChange => ({
  kind: 'cancel',
  on,
  startMinute: 540,
  why: 'Snow',
})
const on = (day: string): FixedDate => ({ kind: 'on', on: isoDay(`2026-09-${day}`) })
const letGo = (id: string): Partial<ClassPacing> => ({ left: { [ids.lesson(id)]: 'let-go' } })

function waysOf(lessons: readonly PlanLesson[], change: Partial<ClassPacing>) {
  const after: ClassPacing = { ...AS_PLANNED, ...change }
  const side = (pacing: ClassPacing) => ({
    plan: { lessons },
    pacing,
    calendar: meetings(year, classId, onDays(1, 3, 5), pacing.changes),
    terms: [],
  })
  const list = side(after).calendar.meetings
  return ripple(classId, side(AS_PLANNED), side(after)).ways.map((w) => ({
    way: w.way,
    price: w.consequence.price,
    fixedMoved: w.consequence.fixedMoved,
    days: w.layout.placements.map((p) =>
      p.placed ? p.slots.map((s) => `${list[s.meeting]?.on.slice(8)}:${s.halves}`).join(' ') : p.because.why,
    ),
  }))
}
const held = (lessons: readonly PlanLesson[], change: Partial<ClassPacing>) =>
  waysOf(lessons, change).find((w) => w.way === 'hold')

describe('hold', () => {
  it('goes on behind a lesson that has no place', () => {
    // a needs two meetings and has one before k; Mon 7 Sep is lost
    const lessons = [
      aLesson('a', 2),
      aLesson('k', 1, { fixed: on('02') }),
      aLesson('b', 1.5),
      aLesson('c', 1.5),
      aLesson('d'),
    ]
    const got = held(lessons, { changes: [cancel(isoDay('2026-09-07'))] })
    expect(got?.days).toEqual(['before-fixed', '02:2', '04:2 09:1', '09:1', '11:2'])
    expect(got?.price).toBe(4)
  })

  it('keeps dates when time is freed', () => {
    const got = held([aLesson('a'), aLesson('b'), aLesson('c')], letGo('a'))
    expect(got).toMatchObject({ days: ['let-go', '02:2', '04:2'], price: 0 })
    // half a meeting earlier on the same day is the same date
    const half = held([aLesson('a', 1.5), aLesson('b', 0.5), aLesson('c')], letGo('a'))
    expect(half?.days).toEqual(['let-go', '02:1', '04:2'])
  })

  it('keeps the last day of a lesson that it keeps on its date', () => {
    const by: FixedDate = { kind: 'not-after', on: isoDay('2026-09-04') }
    const got = held([aLesson('a'), aLesson('b', 1, { fixed: by }), aLesson('c')], letGo('a'))
    expect(got?.days).toEqual(['let-go', '02:2', '04:2'])
  })

  it('cuts lessons in minutes to the minutes that are left', () => {
    const minutes = (id: string, typical: number) =>
      aLesson(id, 1, { length: { unit: 'minutes', min: 5, typical, max: 200 } })
    // 31: a 50, 2 Sep: b 50, 4 Sep: b 20 and c 30, 7 Sep: d; 2 Sep is lost, so b has 20 minutes of Fri 4
    const lessons = [minutes('a', 50), minutes('b', 70), minutes('c', 30), minutes('d', 50)]
    expect(held(lessons, { changes: [cancel(isoDay('2026-09-02'))] })?.days).toEqual([
      '31:2',
      '04:0.8',
      '04:1.2',
      '07:2',
    ])
    expect(held(lessons, letGo('a'))?.days).toEqual(['let-go', '02:2 04:0.8', '04:1.2', '07:2'])
  })

  it('costs no moved date when it is the lesson with the date that goes', () => {
    const lessons = [aLesson('a'), aLesson('t', 1, { fixed: on('07') }), aLesson('b')]
    for (const { way, price, fixedMoved } of waysOf(lessons, letGo('t')))
      expect({ way, price, fixedMoved }).toEqual({ way, price: 0, fixedMoved: [] })
  })
})

/**
 * The slow twin, for whole and half lessons without dates: every half of every meeting is one cell. A lesson
 * begins at its old place, or at the same half of the first meeting after it, and takes cells as long as the
 * next lesson's place is not reached.
 */
function twin(
  lessons: readonly PlanLesson[],
  old: readonly (readonly string[])[],
  cells: readonly string[],
): readonly (readonly string[])[] {
  let next = 0
  const firstFrom = (cell: string) => {
    const at = cells.findIndex((c) => c.slice(0, 10) >= cell.slice(0, 10))
    return at < 0 ? cells.length : at + Number(cell.slice(11)) - 1
  }
  return lessons.map((lesson, i) => {
    const own = old[i]?.[0]
    if (own === undefined) return []
    const behind = old.slice(i + 1).find((o) => o.length > 0)?.[0]
    const until = behind === undefined ? cells.length : firstFrom(behind)
    // in the half before it nothing stands: the lesson begins there
    const place = firstFrom(own)
    const from =
      next < place && cells[place - 1]?.slice(0, 10) === cells[place]?.slice(0, 10)
        ? Math.max(next, place - 1)
        : Math.max(next, place)
    const taken = cells.slice(from, Math.min(until, from + lesson.length.typical * 2))
    next = Math.max(next, from + taken.length)
    return taken
  })
}

describe('hold and its slow twin', () => {
  it('agree on every lesson when one to three meetings are lost', () => {
    const random = seededRandom(77)
    const upTo = (n: number) => Math.floor(random() * n)
    const worth = { cut: 0, gone: 0 }
    const days: IsoDay[] = meetings(year, classId, onDays(1, 3, 5), []).meetings.map((m) => m.on)
    const cellsOf = (list: readonly IsoDay[]) => list.flatMap((d) => [`${d} 1`, `${d} 2`])
    for (let n = 0; n < 600; n++) {
      const lessons = Array.from({ length: 2 + upTo(6) }, (_, i) => aLesson(`l${i}`, (1 + upTo(4)) / 2))
      const lost = new Set(Array.from({ length: 1 + upTo(3) }, () => days[upTo(days.length)] as IsoDay))
      const real = [...lost].sort().map(cancel)
      const calendars = [[], real].map((c) => meetings(year, classId, onDays(1, 3, 5), c))
      const [before, after] = calendars.map((calendar, i) => ({
        plan: { lessons },
        pacing: { ...AS_PLANNED, changes: i === 0 ? [] : real },
        calendar,
        terms: [],
      }))
      if (!before || !after) throw new Error('two sides')
      const placed = (of: typeof before, pacing: ClassPacing) => {
        const used = new Map<number, number>()
        return layOut({ lessons }, of.calendar.meetings, { pacing }).placements.map((p) =>
          p.placed
            ? p.slots.flatMap((s) => {
                const start = used.get(s.meeting) ?? 0
                used.set(s.meeting, start + s.halves)
                const day = of.calendar.meetings[s.meeting]?.on ?? ''
                return Array.from({ length: s.halves }, (_, h) => `${day} ${start + h + 1}`)
              })
            : [],
        )
      }
      const hold = ripple(classId, before, after).ways.find((w) => w.way === 'hold')
      if (!hold) throw new Error('no hold')
      const wanted = twin(lessons, placed(before, AS_PLANNED), cellsOf(days.filter((d) => !lost.has(d))))
      const got = lessons.map((_, i) => hold.layout.placements[i]?.placed)
      const said = JSON.stringify({ n, lost: [...lost], lengths: lessons.map((l) => l.length.typical) })
      const took = hold.layout.placements.map((p) => (p.placed ? p.halves : 0))
      expect(took, said).toEqual(wanted.map((w) => w.length))
      const starts = placed(after, hold.pacing).map((cells) => cells[0]?.slice(0, 10))
      expect(starts, said).toEqual(wanted.map((w) => w[0]?.slice(0, 10)))
      if (got.includes(false)) worth.gone++
      if (hold.consequence.cuts.some((c) => c.to > 0)) worth.cut++
    }
    expect(worth.gone).toBeGreaterThan(100)
    expect(worth.cut).toBeGreaterThan(100)
  })
})

describe('a lesson freed anywhere', () => {
  it('moves no other date when the class holds', () => {
    const lessons = Array.from({ length: 6 }, (_, i) => aLesson(`l${i}`, i % 2 === 0 ? 1 : 0.5))
    const days = (list: readonly string[] | undefined) => list?.map((d) => d.slice(0, 2))
    const before = days(held(lessons, {})?.days)
    for (const [i, { id }] of lessons.entries()) {
      const after = days(held(lessons, letGo(id))?.days)
      expect(after?.filter((_, j) => j !== i)).toEqual(before?.filter((_, j) => j !== i))
    }
  })
})
