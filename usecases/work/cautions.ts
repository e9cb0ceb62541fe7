import type { ClassId, Instant, LessonId, ResourceId } from '#core/base'
import type { Actor } from '#core/access'
import { lastLook, namedClasses } from '#core/work'
import type { Assignment, Caution, ClassAtLastLook, Draft, Resolution } from '#core/work'
import { assignmentsFor } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { ClassGround } from '../pacing/grounds'
import type { World } from './world'

/** What the last look finds in a draft, class by class. `stands`: the assignment that is changed. */
export async function cautionsFor(
  tx: Connection,
  actor: Actor,
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
  const ids = classes.map((c) => c.classId)
  const others = (await assignmentsFor(tx, actor.schoolId, actor.userId, ids)).filter(
    (a) => a.id !== stands?.id && a.state !== 'withdrawn',
  )
  const looked = classes.flatMap(({ classId, window, pieces, span }) => {
    const ground = world.classes.get(classId)
    if (!ground) return []
    const had = hadIn(classId, others)
    return { classId, window, pieces, span, had, ground: ground.ground, ...ofYear(ground) }
  })
  return lastLook(draft, looked, reached, now)
}

function hadIn(classId: ClassId, others: readonly Assignment[]): ReadonlyMap<ResourceId, string> {
  const given = others.filter((a) => namedClasses(a).includes(classId) && !a.notFor.includes(classId))
  return new Map(given.flatMap((a) => a.pieces.map((p) => [p.resourceId, a.title] as const)))
}

function ofYear({ year, record }: ClassGround) {
  const records = Object.entries(record.pacing.records)
  return {
    termEnds: year.terms.map((t) => t.lastOn),
    covered: new Set(records.filter(([, r]) => r.outcome === 'covered').map(([id]) => id as LessonId)),
  }
}
