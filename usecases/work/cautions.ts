import type { Instant, LessonId } from '#core/base'
import { lastLook } from '#core/work'
import type { Assignment, Caution, ClassAtLastLook, Draft, Resolution } from '#core/work'
import { givenBefore } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { ClassGround } from '../pacing/grounds'
import type { World } from './world'

/** What the last look finds in a draft, class by class. `stands`: the assignment that is changed. */
export async function cautionsFor(
  tx: Connection,
  of: {
    readonly draft: Draft
    readonly stands: Assignment | null
    readonly world: World
    readonly classes: readonly Pick<ClassAtLastLook, 'classId' | 'window' | 'pieces' | 'span'>[]
    readonly reached: Resolution['reached']
    readonly now: Instant
  },
): Promise<readonly Caution[]> {
  const { draft, stands, world, classes, reached, now } = of
  const given = await givenBefore(
    tx,
    draft.pieces.map((p) => p.resourceId),
    classes.map((c) => c.classId),
    stands?.id ?? null,
  )
  const looked = classes.flatMap(({ classId, window, pieces, span }) => {
    const ground = world.classes.get(classId)
    if (!ground) return []
    const had = new Map(given.filter((g) => g.classId === classId).map((g) => [g.resourceId, g.title]))
    return { classId, window, pieces, span, had, ground: ground.ground, ...ofYear(ground) }
  })
  return lastLook(draft, looked, reached, now)
}

function ofYear({ year, record }: ClassGround) {
  const records = Object.entries(record.pacing.records)
  return {
    termEnds: year.terms.map((t) => t.lastOn),
    covered: new Set(records.filter(([, r]) => r.outcome === 'covered').map(([id]) => id as LessonId)),
  }
}
