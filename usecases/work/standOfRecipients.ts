import { groupBy, ok } from '#core/base'
import type { ClassId, Instant, ResourceId, UserId } from '#core/base'
import { canSeeResource } from '#core/access'
import type { Teacher } from '#core/access'
import { foldedName } from '#core/filing'
import { openAt } from '#core/load'
import { carriedBy, classesTaughtBy, learnersOf, minutesDue, resourcesById } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { ceilingsOn } from '../settling/ceiling'
import { meansInClasses } from '../ground/meansOnStandards'

const WEEK = 7 * 24 * 3600 * 1000

/**
 * How the learners of the actor's classes stand on the standards of some pieces, how many minutes of work they have to
 * hand in within a week, and how much of a category they have open; for choosing who needs what.
 */
export async function standOfRecipients(
  deps: Deps,
  actor: Teacher,
  { resourceIds, category }: { readonly resourceIds: readonly ResourceId[]; readonly category: string },
) {
  const tx = deps.store.read
  const found = [...(await resourcesById(tx, resourceIds)).values()].filter((r) => canSeeResource(actor, r))
  const standards = new Set(
    found.flatMap(({ resource: r }) => [...r.standards, ...r.items.flatMap((i) => i.standard ?? [])]),
  )
  const classIds = (await classesTaughtBy(tx, actor.userId)).map((c) => c.id)
  const learners = new Set([...(await learnersOf(tx, classIds)).values()].flat().map((l) => l.id))
  const standing = await meansInClasses(tx, classIds, learners, standards)
  const now = deps.clock.now()
  const minutes = await minutesDue(tx, classIds, { from: now, until: (now + WEEK) as Instant })
  const open = await openOf(tx, category, classIds, [...learners], now)
  return ok({
    standards: [...standards].sort(),
    learners: [...learners].map((id) => ({
      id,
      standing: standing.get(id) ?? null,
      minutes: minutes.get(id) ?? 0,
      open: open.get(id) ?? null,
    })),
  })
}

/** How many pieces of a category learners have open, in the class with a ceiling on it; in several, in the fullest. */
async function openOf(
  tx: Connection,
  category: string,
  classIds: readonly ClassId[],
  learnerIds: readonly UserId[],
  now: Instant,
) {
  const open = new Map<UserId, { readonly pieces: number; readonly most: number }>()
  const ceilings = await ceilingsOn(tx, category, classIds)
  if (ceilings.size === 0) return open
  const named = foldedName(category)
  const carried = (await carriedBy(tx, learnerIds, now)).filter((c) => c.category === named)
  for (const [classId, { most }] of ceilings) {
    const here = groupBy(
      carried.filter((c) => c.classId === classId),
      (c) => c.learnerId,
    )
    for (const [learnerId, own] of here) {
      const pieces = openAt(own, now)
      const known = open.get(learnerId)
      const isFuller = known === undefined || most - pieces < known.most - known.pieces
      if (isFuller) open.set(learnerId, { pieces, most })
    }
  }
  return open
}
