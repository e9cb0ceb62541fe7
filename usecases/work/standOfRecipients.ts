import { groupBy, ok, refuse } from '#core/base'
import type { Instant, ResourceId, UserId } from '#core/base'
import { canSeeResource, isTeacher } from '#core/access'
import type { Actor } from '#core/access'
import { standingOn, standingTry } from '#core/evidence'
import type { CountedTry, Standing } from '#core/evidence'
import { rulesOf } from '#core/work'
import type { Assignment } from '#core/work'
import {
  assignmentIdsNear,
  assignmentsById,
  attemptsOf,
  classesTaughtBy,
  formName,
  learnersOf,
  minutesDue,
  piecesIn,
  resourcesById,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'

const WEEK = 7 * 24 * 3600 * 1000

/**
 * How the learners of the actor's classes stand on the standards of some pieces, and how many minutes of work they
 * have to hand in within a week; for choosing who needs what.
 */
export async function standOfRecipients(
  deps: Deps,
  actor: Actor,
  { resourceIds }: { readonly resourceIds: readonly ResourceId[] },
) {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' as const })
  const tx = deps.store.read
  const found = [...(await resourcesById(tx, resourceIds)).values()].filter((r) => canSeeResource(actor, r))
  const standards = new Set(
    found.flatMap(({ resource: r }) => [...r.standards, ...r.items.flatMap((i) => i.standard ?? [])]),
  )
  const classIds = (await classesTaughtBy(tx, actor.userId)).map((c) => c.id)
  const learners = new Set([...(await learnersOf(tx, classIds)).values()].flat().map((l) => l.id))
  const work = await assignmentsById(tx, await assignmentIdsNear(tx, classIds))
  const standing = standingOn(standards, await countedTries(tx, work, learners, standards))
  const now = deps.clock.now()
  const minutes = await minutesDue(tx, classIds, { from: now, until: (now + WEEK) as Instant })
  return ok({
    standards: [...standards].sort(),
    learners: [...learners].map(
      (id): { readonly id: UserId; readonly standing: Standing | null; readonly minutes: number } => ({
        id,
        standing: standing.get(id) ?? null,
        minutes: minutes.get(id) ?? 0,
      }),
    ),
  })
}

/** The tries that count of pieces with items of these standards. */
async function countedTries(
  tx: Connection,
  work: readonly Assignment[],
  learners: ReadonlySet<UserId>,
  standards: ReadonlySet<string>,
): Promise<readonly CountedTry[]> {
  const forms = await piecesIn(
    tx,
    work.flatMap((w) => w.pieces),
  )
  const asked = work.flatMap((w) =>
    w.pieces.flatMap((piece) => {
      const items = forms.get(formName(piece))?.items ?? []
      const has = items.some((i) => i.standard !== null && standards.has(i.standard))
      return has ? [{ id: w.id, pieceId: piece.id, items, kept: rulesOf(w, piece).kept }] : []
    }),
  )
  const tries = await attemptsOf(tx, [...new Set(asked.map((a) => a.id))])
  const triesOf = groupBy(tries, (t) => `${t.assignmentId} ${t.pieceId} ${t.learnerId}`)
  return asked.flatMap(({ id, pieceId, items, kept }) =>
    [...learners].flatMap((learnerId) => {
      const standing = standingTry(triesOf.get(`${id} ${pieceId} ${learnerId}`) ?? [], kept)
      return standing?.score ? [{ learnerId, score: standing.score, items }] : []
    }),
  )
}
