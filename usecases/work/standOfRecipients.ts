import { ok, refuse } from '#core/base'
import type { Instant, ResourceId, UserId } from '#core/base'
import { canSeeResource, isTeacher } from '#core/access'
import type { Actor } from '#core/access'
import type { Standing } from '#core/evidence'
import { classesTaughtBy, learnersOf, minutesDue, resourcesById } from '#db/repositories'
import type { Deps } from '../deps'
import { standingIn } from './standing'

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
  const standing = await standingIn(tx, classIds, learners, standards)
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
