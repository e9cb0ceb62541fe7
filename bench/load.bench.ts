import { addDays, asId, daysThrough, isoDay, weekdayOf } from '#core/base'
import type { AssignmentId, PieceId, UserId } from '#core/base'
import { USUAL_LIMITS, cautionsIn, loadOf } from '#core/load'
import type { LoadPiece } from '#core/load'
import { measure } from './measure'
import type { Line } from './measure'

const first = isoDay('2026-08-24')
const days = daysThrough(first, addDays(first, 40 * 7 - 1)).filter((d) => weekdayOf(d) <= 5)

/** Six pieces a week for each learner over forty weeks, each open for some days. */
function pieces(learners: number): readonly LoadPiece[] {
  const learnerIds = Array.from({ length: learners }, (_, l) => asId<UserId>(`l${l}`))
  return Array.from({ length: 240 }, (_, n): LoadPiece => {
    const fromOn = addDays(first, Math.floor(n / 6) * 7 + (n % 5))
    const throughOn = addDays(fromOn, n % 9)
    const ids = { assignmentId: asId<AssignmentId>(`w${n}`), pieceId: asId<PieceId>('p1') }
    return { learnerIds, ...ids, minutes: 10 + (n % 30), fromOn, throughOn, isTest: n % 40 === 0 }
  })
}

/** The same minutes, summed the plain way: a sum by learner and Monday, laid on the day they are due. */
function plainly(of: readonly LoadPiece[]): number {
  const sums = new Map<string, number>()
  for (const { learnerIds, throughOn, minutes } of of)
    for (const learnerId of learnerIds) {
      const key = `${learnerId} ${throughOn.slice(0, 7)}`
      sums.set(key, (sums.get(key) ?? 0) + minutes)
    }
  return sums.size
}

/** What 200 learners carry over 40 weeks, day by day and week by week, with what is too much. */
export function loadBench(): Line[] {
  const made = pieces(200)
  const ids = [...new Set(made.flatMap((p) => p.learnerIds))]
  const whole = measure('load', () => cautionsIn(loadOf(made, days, ids, 'window'), USUAL_LIMITS))
  const plain = measure('plain', () => plainly(made))
  return [
    {
      what: 'load of 200 learners × 40 weeks, 48,000 pieces',
      medianMs: whole.medianMs,
      bar: 'under 300 ms',
      note: `${(whole.medianMs / plain.medianMs).toFixed(1)}× of summing minutes alone`,
    },
  ]
}
