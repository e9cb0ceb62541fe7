import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import { aLesson, aYear, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { courseOf, layOut, reachesOf } from '../layout'
import { AS_PLANNED } from '../plan'
import type { ClassPacing, PlanLesson, Weight } from '../plan'
import { fit, withCuts } from './fit'

const calendar = meetings(aYear({ lastOn: isoDay('2026-09-18') }), ids.class('c'), onDays(1, 3, 5), [])
const lesson = (id: string, min: number, typical: number, weight: Weight, part: Partial<PlanLesson> = {}) =>
  aLesson(id, typical, { weight, length: { unit: 'meetings', min, typical, max: 20 }, ...part })
const course = (...lessons: PlanLesson[]) =>
  courseOf({ lessons }, calendar.meetings, AS_PLANNED, { terms: [] })
const cut = (of: ReturnType<typeof fit>) => of.cuts.map((c) => `${c.lessonId} ${c.from}→${c.to}`)

describe('fit', () => {
  it('cuts nothing when everything fits', () => {
    expect(fit(course(lesson('a', 1, 9, 'core')))).toEqual({
      fits: true,
      cuts: [],
      price: 0,
      short: [],
    })
  })

  it('prefers what costs least: an optional half before a core half', () => {
    // 9 meetings, 9½ needed: half an optional meeting costs ½, half a core one 2
    const got = fit(course(lesson('a', 2, 5, 'core'), lesson('b', 2, 4.5, 'optional')))
    expect(cut(got)).toEqual(['b 9→8'])
    expect(got.price).toBe(0.5)
  })

  it('leaves a lesson out only where that is cheaper than shortening others', () => {
    // 2 meetings too many. Leaving out x: 2 × 1 + 2 = 4; shortening core by 2: 2 × 4 = 8
    expect(cut(fit(course(lesson('a', 3, 9, 'core'), lesson('x', 2, 2, 'optional'))))).toEqual(['x 4→0'])
    // ½ meeting too many. Leaving out x: ½ + 2 = 2.5; shortening core by ½: 2
    expect(cut(fit(course(lesson('a', 3, 9, 'core'), lesson('x', 0.5, 0.5, 'optional'))))).toEqual([
      'a 18→17',
    ])
  })

  it('is exact where a greedy pass is not', () => {
    // 1½ meetings too many. Cheapest first would take y (1 meeting, 1 + 2) and then still need half of z; z
    // alone is enough
    const got = fit(
      course(
        lesson('a', 6, 6, 'core'),
        lesson('y', 1, 1, 'optional'),
        lesson('z', 1.5, 1.5, 'optional'),
        lesson('w', 2, 2, 'core'),
      ),
    )
    expect(cut(got)).toEqual(['z 3→0'])
    expect(got.price).toBe(3.5)
  })

  it('gives ties to later lessons', () => {
    expect(
      cut(fit(course(lesson('a', 1, 4, 'useful'), lesson('b', 1, 3, 'useful'), lesson('c', 2, 2.5, 'core')))),
    ).toEqual(['b 6→5'])
  })

  it('never leaves out a core lesson or a fixed one, and says when that is not enough', () => {
    const got = fit(course(lesson('a', 8, 9, 'core'), lesson('b', 2, 4, 'core')))
    expect(got.fits).toBe(false)
    // 8 and 2 meetings on 9: b finds no place even behind the shortest a, so nothing is cut for nothing
    expect(cut(got)).toEqual([])
    expect(got.short).toEqual([{ lessonIds: ['a', 'b'], upTo: null, halves: 2 }])
  })

  it('does not shorten what is under way: the rest of it is taught, or left out', () => {
    // three meetings of a are still to come, of nine; b and c need seven
    const lessons = [lesson('a', 1, 4, 'useful'), lesson('b', 5, 5, 'core'), lesson('c', 1, 2, 'useful')]
    const held = { on: isoDay('2026-08-31'), startMinute: 540, halves: 2 }
    const pacing: ClassPacing = {
      ...AS_PLANNED,
      through: held,
      records: { [ids.lesson('a')]: { outcome: 'under-way', held: [held], moreHalves: 6 } },
    }
    const got = fit(courseOf({ lessons }, calendar.meetings, pacing, { terms: [] }))
    // eight meetings are left for ten: c down to one (2) does not do; a out: 3 × 2 + 2, c out: 2 × 2 + 2
    expect(cut(got)).toEqual(['c 4→0'])
    const after = layOut({ lessons }, calendar.meetings, { pacing: withCuts(pacing, got.cuts) })
    expect(after.placements.every((p) => p.placed || p.because.why === 'let-go')).toBe(true)
  })

  it('cuts nothing behind a stretch that cannot fit, and says by how much that one is short', () => {
    // a may not shrink and has one meeting before Wed 2 Sep; behind it there is room for everything
    const test = lesson('t', 1, 1, 'core', { fixed: { kind: 'on', on: isoDay('2026-09-02') } })
    const behind = [lesson('o', 0.5, 1, 'optional'), lesson('u', 0.5, 1, 'useful'), lesson('k', 1, 2, 'core')]
    const got = fit(course(lesson('a', 2, 2, 'core'), test, ...behind))
    expect(got).toEqual({
      fits: false,
      cuts: [],
      price: 0,
      short: [{ lessonIds: ['a'], upTo: 't', halves: 2 }],
    })
  })

  it('says by how much a stretch without any meeting is short', () => {
    const test = lesson('t', 1, 1, 'core', { fixed: { kind: 'on', on: isoDay('2026-08-31') } })
    expect(fit(course(lesson('a', 1, 2, 'core'), lesson('o', 1, 1, 'optional'), test)).short).toEqual([
      { lessonIds: ['a'], upTo: 't', halves: 2 },
    ])
  })

  it('cuts where one cannot fit only what places more: core first, then useful, then optional', () => {
    // nine meetings: a6, o2, u2, k2 need twelve, and one more that never fits (z10)
    const got = fit(
      course(
        lesson('a', 6, 6, 'core'),
        lesson('o', 2, 2, 'optional'),
        lesson('u', 2, 2, 'useful'),
        lesson('k', 2, 2, 'core'),
        lesson('z', 10, 10, 'core'),
      ),
    )
    // without o and u, k finds its place: 2 × 1 + 2 and 2 × 2 + 2
    expect(cut(got)).toEqual(['o 4→0', 'u 4→0'])
    expect(got.price).toBe(10)
    expect(got.short).toEqual([{ lessonIds: ['a', 'k', 'z'], upTo: null, halves: 18 }])
  })

  it('fits each stretch up to its fixed date', () => {
    // three meetings before Mon 7 Sep for 4½: y goes entirely or x shortens; what follows is left alone
    const test = lesson('t', 1, 1, 'core', { fixed: { kind: 'on', on: isoDay('2026-09-07') } })
    const got = fit(
      course(
        lesson('a', 2, 3, 'core'),
        lesson('y', 0.5, 1.5, 'useful'),
        test,
        lesson('z', 0.5, 2, 'optional'),
      ),
    )
    // y down to ½ (1 meeting × 2) and a by ½ (½ × 4), or y out (1½ × 2 + 2): 4 against 5
    expect(cut(got)).toEqual(['a 6→5', 'y 3→1'])
    expect(got.price).toBe(4)
  })

  it('obeys what the teacher keeps or leaves out', () => {
    const of = course(lesson('a', 2, 5, 'core'), lesson('b', 2, 4.5, 'optional'))
    expect(cut(fit(of, { keep: new Set([ids.lesson('b')]) }))).toEqual(['a 10→9'])
    expect(cut(fit(of, { leaveOut: new Set([ids.lesson('b')]) }))).toEqual(['b 9→0'])
  })

  it('cuts lessons counted in minutes by five', () => {
    const inMinutes = aLesson('m', 1, {
      weight: 'useful',
      length: { unit: 'minutes', min: 20, typical: 60, max: 90 },
    })
    // 8 whole meetings and 50 minutes: 10 minutes too many
    expect(cut(fit(course(lesson('a', 8, 8, 'core'), inMinutes)))).toEqual(['m 60→50'])
  })

  it('makes a plan twelve meetings too long fit to the half meeting', () => {
    const list = Array.from({ length: 14 }, (_, i) =>
      lesson(`l${i}`, 0.5, 1.5, i % 3 === 0 ? 'core' : i % 3 === 1 ? 'useful' : 'optional'),
    )
    // 21 meetings on 9
    const got = fit(course(...list))
    expect(got.fits).toBe(true)
    const after = layOut({ lessons: list }, calendar.meetings, { pacing: withCuts(AS_PLANNED, got.cuts) })
    expect(after.placements.every((p) => p.placed || p.because.why === 'let-go')).toBe(true)
    expect(after.slackHalves).toBe(0)
  })
})

describe('reachesOf', () => {
  it('gives capacity, need, least need and slack of each stretch', () => {
    const test = lesson('t', 1, 1, 'core', { fixed: { kind: 'on', on: isoDay('2026-09-07') } })
    const got = reachesOf(
      course(
        lesson('a', 0.5, 1, 'core'),
        lesson('y', 0.5, 1, 'optional'),
        test,
        lesson('z', 0.5, 2, 'useful'),
      ),
    )
    expect(
      got.map((r) => [
        r.lessonIds.join(),
        r.upTo,
        r.capacityHalves,
        r.needHalves,
        r.leastHalves,
        r.slackHalves,
      ]),
    ).toEqual([
      ['a,y', 't', 6, 4, 1, 2],
      ['t,z', null, 12, 6, 3, 6],
    ])
  })

  it(
    'lets a lesson with a first and a last day head its stretch when it waits ' +
      'for the first, and close one when it does not',
    () => {
      const within = lesson('t', 1, 1, 'core', {
        fixed: { kind: 'within', fromOn: isoDay('2026-09-07'), throughOn: isoDay('2026-09-11') },
      })
      expect(
        reachesOf(course(lesson('a', 1, 2, 'core'), within, lesson('z', 1, 1, 'core'))).map((r) => [
          r.lessonIds.join(),
          r.slackHalves,
        ]),
      ).toEqual([
        ['a', 2],
        ['t,z', 8],
      ])
      // four meetings before it: it starts on Wed 9 and has to end by Fri 11
      expect(
        reachesOf(course(lesson('a', 1, 4, 'core'), within, lesson('z', 1, 1, 'core'))).map((r) => [
          r.lessonIds.join(),
          r.capacityHalves,
          r.slackHalves,
        ]),
      ).toEqual([
        ['a,t', 12, 2],
        ['z', 8, 6],
      ])
    },
  )

  it('says by how much a stretch is short', () => {
    const test = lesson('t', 1, 1, 'core', { fixed: { kind: 'on', on: isoDay('2026-09-07') } })
    expect(reachesOf(course(lesson('a', 3.5, 5, 'core'), test))[0]).toMatchObject({
      capacityHalves: 6,
      needHalves: 10,
      leastHalves: 7,
      slackHalves: -4,
    })
  })
})
