import { keptScore, passingOf, pieceName } from '../attempts'
import type { Kept, NamedPiece, TryInShort } from '../attempts'
import { groupBy } from '../base'
import type { Instant, UserId } from '../base'
import type { Cell, CellState, GridInput, GridTerms, GridTry } from './types'

/**
 * The learners × work grid at `now`: one cell for every pair, in the order given, work by work within a
 * learner.
 */
export function grid(input: GridInput, now: Instant): Cell[] {
  const { isDrafted = () => false } = input
  const termsOf = new Map(input.terms.map((t) => [nameOf(t, t.learnerId), t]))
  const triesOf = groupBy(input.attempts, (t) => nameOf(t, t.learnerId))
  return input.learnerIds.flatMap((learnerId) =>
    input.works.map((work): Cell => {
      const { assignmentId, pieceId, kept, isRecommended = false } = work
      const key = nameOf(work, learnerId)
      const tries = triesOf.get(key) ?? []
      const terms = termsOf.get(key)
      const ratio = keptScore(tries, kept)
      const passPercent = terms?.passPercent === undefined ? work.passPercent : terms.passPercent
      return {
        assignmentId,
        pieceId,
        learnerId,
        state: stateOf(tries, terms, { now, isRecommended }),
        ratio,
        passPercent,
        passing: passingOf(ratio, { passPercent }),
        attempts: tries.length,
        toScore: sumOf(tries, (t) => t.waitingIds.filter((id) => !isDrafted(t, id)).length),
        toRelease: sumOf(tries, (t) => t.waitingIds.filter((id) => isDrafted(t, id)).length),
        late: !isRecommended && isLate(tries, kept, terms?.dueAt ?? null),
        isParallel: terms?.isParallel ?? false,
      }
    }),
  )
}

function sumOf<T>(list: readonly T[], of: (one: T) => number): number {
  return list.reduce((sum, one) => sum + of(one), 0)
}

function nameOf(of: NamedPiece, learnerId: UserId): string {
  return `${pieceName(of)} ${learnerId}`
}

function stateOf(
  tries: readonly TryInShort[],
  terms: GridTerms | undefined,
  { now, isRecommended }: { readonly now: Instant; readonly isRecommended: boolean },
): CellState {
  if (tries.some((t) => t.submittedAt === null)) return 'in-progress'
  if (tries.length > 0) return 'handed-in'
  if (!terms) return 'not-for-them'
  if (terms.opensAt !== null && now < terms.opensAt) return 'not-open'
  const over = terms.dueAt ?? terms.closesAt
  return !isRecommended && over !== null && now >= over ? 'missing' : 'to-do'
}

/** Something of it is scored or waits to be: what was only read is never late. */
function isJudged({ score, waitingIds }: GridTry): boolean {
  return score !== null || waitingIds.length > 0
}

function isLate(tries: readonly GridTry[], kept: Kept, dueAt: Instant | null): boolean {
  if (dueAt === null) return false
  const done = [...tries].filter((t) => t.submittedAt !== null).sort((a, b) => a.number - b.number)
  const score = keptScore(done, kept)
  const counted =
    kept === 'mean'
      ? done
      : kept === 'first'
        ? done.slice(0, 1)
        : kept === 'latest'
          ? done.slice(-1)
          : done.filter((t) => isJudged(t) && (t.score?.ratio ?? null) === score).slice(0, 1)
  return counted.some((t) => t.submittedAt !== null && t.submittedAt >= dueAt)
}

/**
 * The try whose answers stand for the learner: the one kept; for a mean, the latest. Null while none is
 * handed in.
 */
export function tryThatCounts<T extends TryInShort>(tries: readonly T[], kept: Kept): T | null {
  const done = [...tries].filter((t) => t.submittedAt !== null).sort((a, b) => a.number - b.number)
  if (kept === 'first') return done[0] ?? null
  if (kept !== 'best') return done[done.length - 1] ?? null
  return done.reduce<T | null>(
    (best, t) => (best === null || (t.score?.ratio ?? 0) > (best.score?.ratio ?? 0) ? t : best),
    null,
  )
}
