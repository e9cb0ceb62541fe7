import type { TrailId, UserId } from '#core/base'
import type { Parts } from '#core/combining'
import type { TrailSheet } from '#shared/contracts/versions'

/** The trails of a class's learners, and the one that is usual there. */
export interface ClassTrails {
  readonly usual: TrailId | null
  readonly learners: readonly { readonly learnerId: UserId; readonly trailId: TrailId }[]
}
export const CLASS_TRAILS_PARTS: Parts<ClassTrails> = {
  usual: 'whole',
  learners: { nameOf: (learner) => learner.learnerId },
}

/** As the sheet shows them. */
export function trailsOf(sheet: TrailSheet | null): ClassTrails {
  return {
    usual: sheet?.usual ?? null,
    learners: (sheet?.rows ?? []).map(({ learnerId, trailId }) => ({ learnerId, trailId })),
  }
}

/** What is to be set so that what stands becomes what is wanted; who is no longer there is left out. */
export function stepsFrom(stands: ClassTrails, wanted: ClassTrails) {
  const now = new Map(stands.learners.map((l) => [l.learnerId, l.trailId]))
  const learners = wanted.learners.flatMap(({ learnerId, trailId }) => {
    const seen = now.get(learnerId)
    return seen === undefined || seen === trailId ? [] : [{ learnerId, trailId, seen }]
  })
  return { usual: null, seenUsual: stands.usual, learners }
}
