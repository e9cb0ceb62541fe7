import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../base'
import { aLesson, aYear, closure, ids, onDays } from '../../../tests/support/made'
import { addDays, isoDay } from '../../base'
import { meetings } from '../../calendar'
import { courseOf, layOut } from '../layout'
import { AS_PLANNED, WEIGHTS, leastAmount, typicalAmount } from '../plan'
import type { ClassPacing, FixedDate, PlanLesson } from '../plan'
import { fit } from './fit'
import { PRICES } from './price'

const SEED = 20_261_125
const CASES = 800

interface Tried {
  readonly fits: boolean
  readonly price: number
  /** Lessons without a place: core ones count a million, useful ones a thousand, optional ones one. */
  readonly lost: number
  readonly amounts: readonly number[]
}

const LOSS = { core: 1_000_000, useful: 1000, optional: 1 }
const stepOf = (l: PlanLesson) => (l.length.unit === 'minutes' ? 5 : 1)
// meetings of 50 minutes: 25 minutes are half a meeting
const meetingsIn = (l: PlanLesson, amount: number) => (l.length.unit === 'minutes' ? amount / 50 : amount / 2)

/** Whether one way is better: one that fits before one that does not; then fewer lost, then the price. */
function isBetter(a: Tried, b: Tried): boolean {
  if (a.fits !== b.fits) return a.fits
  if (!a.fits && a.lost !== b.lost) return a.lost < b.lost
  return a.price < b.price - 1e-9
}

/**
 * The slow twin: every combination of lengths and omissions, laid out for real; the best by the rule above,
 * among equals the one with earlier lessons cut least.
 */
function bruteForce(lessons: readonly PlanLesson[], list: Parameters<typeof layOut>[1]): Tried {
  let best: Tried | null = null
  const options = lessons.map((l) => {
    const amounts: number[] = []
    for (let a = typicalAmount(l); a >= leastAmount(l); a -= stepOf(l)) amounts.push(a)
    if (l.weight !== 'core' && l.fixed === null) amounts.push(0)
    return amounts
  })
  const walk = (i: number, amounts: readonly number[]): void => {
    if (i < lessons.length) {
      for (const a of options[i] as number[]) walk(i + 1, [...amounts, a])
      return
    }
    const tried = laidWith(lessons, list, amounts)
    if (best === null || isBetter(tried, best)) best = tried
  }
  walk(0, [])
  return best as unknown as Tried
}

function laidWith(
  lessons: readonly PlanLesson[],
  list: Parameters<typeof layOut>[1],
  amounts: readonly number[],
): Tried {
  const lengths: Record<string, number> = {}
  const left: Record<string, 'let-go'> = {}
  let price = 0
  for (const [j, l] of lessons.entries()) {
    const amount = amounts[j] as number
    if (amount === 0) left[l.id] = 'let-go'
    else lengths[l.id] = amount
    price +=
      PRICES[l.weight] * meetingsIn(l, typicalAmount(l) - amount) + (amount === 0 ? PRICES.omission : 0)
  }
  const pacing = { ...AS_PLANNED, lengths, left } as ClassPacing
  const { placements } = layOut({ lessons }, list, { pacing })
  const without = lessons.filter((_, i) => !placements[i]?.placed)
  return {
    fits: without.every((l) => left[l.id] !== undefined),
    lost: without.reduce((n, l) => n + LOSS[l.weight], 0),
    price,
    amounts,
  }
}

const DAY = isoDay('2026-09-01')

/** A date of any kind, or none for most lessons. */
function someDate(i: number, upTo: (n: number) => number): FixedDate | null {
  if (upTo(5) > 1) return null
  const on = addDays(DAY, 2 + i * 2)
  const dates: readonly FixedDate[] = [
    { kind: 'on', on },
    { kind: 'not-after', on: addDays(on, 1) },
    { kind: 'not-after', on: addDays(DAY, 7) },
    { kind: 'not-before', on },
    { kind: 'within', fromOn: on, throughOn: addDays(on, 4) },
  ]
  return dates[upTo(dates.length)] ?? null
}

function someLesson(i: number, upTo: (n: number) => number): PlanLesson {
  const least = 1 + upTo(3)
  const inMinutes = upTo(6) === 0
  return aLesson(`l${i}`, 1, {
    weight: WEIGHTS[upTo(3)] ?? 'core',
    fixed: someDate(i, upTo),
    notAfterBreak: upTo(6) === 0,
    length: inMinutes
      ? { unit: 'minutes', min: 20, typical: 20 + 5 * upTo(4), max: 60 }
      : { unit: 'meetings', min: least / 2, typical: (least + upTo(4)) / 2, max: 5 },
  })
}

describe('exact fit', () => {
  it(`equals trying everything, on ${CASES} cases from seed ${SEED}`, () => {
    const random = seededRandom(SEED)
    const upTo = (n: number) => Math.floor(random() * n)
    const worth = { short: 0, impossible: 0, cutInVain: 0 }
    for (let n = 0; n < CASES; n++) {
      const closed = Array.from({ length: upTo(3) }, () => closure(addDays(DAY, upTo(10))))
      const list = meetings(
        aYear({ lastOn: isoDay('2026-09-14'), notes: closed }),
        ids.class('c'),
        onDays(1, 2, 3, 5),
        [],
      )
        .meetings.slice(0, 3 + upTo(5))
        .map((m) => (upTo(6) === 0 ? { ...m, minutes: 20 } : m))
      const lessons = Array.from({ length: 2 + upTo(4) }, (_, i) => someLesson(i, upTo))
      const wanted = bruteForce(lessons, list)
      const got = fit(courseOf({ lessons }, list, AS_PLANNED, { terms: [] }))
      const said = `case ${n}`
      expect(got.fits, said).toBe(wanted.fits)
      expect(got.price, said).toBeCloseTo(wanted.price, 6)
      const amounts = lessons.map((l) => got.cuts.find((c) => c.lessonId === l.id)?.to ?? typicalAmount(l))
      const laid = laidWith(lessons, list, amounts)
      expect(laid.fits, said).toBe(wanted.fits)
      if (wanted.fits) expect(amounts, said).toEqual(wanted.amounts)
      else expect(laid.lost, said).toBe(wanted.lost)
      expect(got.short.length > 0, said).toBe(!wanted.fits)
      if (wanted.fits && wanted.price > 0) worth.short++
      if (!wanted.fits) worth.impossible++
      if (!wanted.fits && wanted.price > 0) worth.cutInVain++
    }
    // the cases are worth something: many need cuts, many cannot fit, and some of these gain by cuts
    expect(worth.short).toBeGreaterThan(100)
    expect(worth.impossible).toBeGreaterThan(100)
    expect(worth.cutInVain).toBeGreaterThan(20)
  }, 120_000)
})
