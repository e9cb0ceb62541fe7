import { groupBy } from '#core/base'
import type { ResourceId, UserId } from '#core/base'
import type { NamedPiece } from '#core/attempts'
import { becameOf, onStandards } from '#core/followUp'
import type { FollowUpGround, OnStandard } from '#core/followUp'
import { allBefore, cardOfKind } from '#core/library'
import type { Standard } from '#core/library'
import type { Assignment } from '#core/work'
import { assignmentsById, queueOfLearners } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { TryInClass, WorkInClass } from './countedTries'

/** Whether two name one piece of one work. */
export function isSamePiece(a: NamedPiece, b: NamedPiece): boolean {
  return a.assignmentId === b.assignmentId && a.pieceId === b.pieceId
}

/** A piece that a learner has, or will have when there is room for it. */
interface Gift {
  readonly learnerId: UserId
  readonly resourceId: ResourceId
  readonly work: Assignment
}

/** Everything that learners of a class were given, what waits for room among it. */
export async function giftsIn(
  tx: Connection,
  { works, rows }: WorkInClass,
  learners: ReadonlySet<UserId>,
): Promise<readonly Gift[]> {
  const had = rows.flatMap(({ assignmentId, pieceId, learnerId, version }): readonly Gift[] => {
    const work = works.get(assignmentId)
    const piece = work?.pieces.find((p) => p.id === pieceId)
    return work && piece
      ? [{ learnerId, resourceId: version?.instead?.resourceId ?? piece.resourceId, work }]
      : []
  })
  const waiting = await queueOfLearners(tx, [...learners])
  const queued = await assignmentsById(tx, [...new Set(waiting.map((q) => q.assignmentId))])
  const waits = queued.flatMap((work) => {
    const ids = waiting.filter((q) => q.assignmentId === work.id).map((q) => q.learnerId)
    return ids.flatMap((learnerId) =>
      work.pieces
        .filter((p) => p.onlyIds?.includes(learnerId) ?? true)
        .map((p): Gift => ({ learnerId, resourceId: p.resourceId, work })),
    )
  })
  return [...had, ...waits]
}

interface OfCheck {
  readonly check: NamedPiece
  readonly tries: readonly TryInClass[]
  readonly ground: FollowUpGround
}
const isAfter = ({ about }: Assignment, check: NamedPiece): boolean =>
  about.followsUp !== undefined && isSamePiece(about.followsUp, check)

/**
 * On which of a check's standards each learner was given something after it, and how they did since. What teaches a
 * standard that another needs is given on that, too; a second check only shows how it went.
 */
export function followedUp({
  check,
  gifts,
  tries,
  ground,
  codes,
  standards,
}: OfCheck & {
  readonly gifts: readonly Gift[]
  readonly codes: readonly string[]
  readonly standards: readonly Standard[]
}): {
  readonly givenOf: ReadonlyMap<UserId, readonly string[]>
  readonly sinceOf: ReadonlyMap<UserId, readonly OnStandard[]>
} {
  const pieceOf = new Map(ground.pieces.map((p) => [p.id, p]))
  const leadsTo = new Map(codes.map((code) => [code, new Set([code, ...allBefore([code], standards)])]))
  const answers = (resourceId: ResourceId): readonly string[] => {
    const piece = pieceOf.get(resourceId)
    if (!piece || cardOfKind(piece.kind).measures !== null) return []
    return codes.filter(
      (c) => piece.standards.length === 0 || piece.standards.some((s) => leadsTo.get(c)?.has(s)),
    )
  }
  const after = gifts.filter((g) => isAfter(g.work, check))
  const works = new Set(after.map((g) => g.work.id))
  const since = tries.filter((t) => works.has(t.assignmentId))
  return {
    givenOf: new Map(
      [...groupBy(after, (g) => g.learnerId)].map(([id, of]) => [
        id,
        [...new Set(of.flatMap((g) => answers(g.resourceId)))],
      ]),
    ),
    sinceOf: new Map([...groupBy(since, (t) => t.learnerId)].map(([id, of]) => [id, onStandards(of)])),
  }
}

/** Work that follows a check up in the class, the latest first, and what became of it standard by standard. */
export function earlierOf({ check, work, tries, ground }: OfCheck & { readonly work: WorkInClass }) {
  const stood = tries
    .filter((t) => isSamePiece(t, check))
    .map((t) => ({ learnerId: t.learnerId, on: onStandards([t]) }))
  const servedBy = new Map<ResourceId, readonly string[]>(ground.pieces.map((p) => [p.id, p.standards]))
  return [...work.works.values()]
    .filter((w) => isAfter(w, check))
    .sort((a, b) => (b.publishedAt ?? 0) - (a.publishedAt ?? 0))
    .map((after) => {
      const rows = work.rows.filter((r) => r.assignmentId === after.id)
      const own = tries.filter((t) => t.assignmentId === after.id)
      const codesIn = new Map(after.pieces.map((p) => [p.id, servedBy.get(p.resourceId) ?? []]))
      const since = [...groupBy(own, (t) => t.learnerId)]
      return {
        assignmentId: after.id,
        title: after.title,
        publishedAt: after.publishedAt,
        learners: new Set(rows.map((r) => r.learnerId)).size,
        done: since.length,
        became: becameOf(
          rows.map((r) => ({ learnerId: r.learnerId, codes: codesIn.get(r.pieceId) ?? [] })),
          stood,
          since.map(([learnerId, of]) => ({ learnerId, on: onStandards(of) })),
        ),
      }
    })
}
