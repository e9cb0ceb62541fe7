import type { ClassId, LessonId } from '#core/base'
import type { Plan } from '#core/pacing'
import type { AssignmentTarget } from '#core/work'
import type { Recipients } from '#shared/contracts/work'

/** A lesson on which a moment can hang. */
export interface LessonChoice {
  readonly label: string
  readonly value: LessonId
  readonly number: string
  /** The title of its unit. */
  readonly unit: string
}

/** Lessons of the plans that the chosen classes follow; of all own plans while none is chosen. */
export function lessonsOffered(
  targets: readonly AssignmentTarget[],
  of: {
    readonly recipients: Recipients | null
    readonly desk: {
      readonly classes: readonly { readonly id: ClassId; readonly planId: string | null }[]
      readonly plans: readonly Pick<Plan, 'id' | 'lessons' | 'units'>[]
    }
  },
): LessonChoice[] {
  const groups = new Map((of.recipients?.groups ?? []).map((g) => [g.id, g.classIds]))
  const chosen = new Set<ClassId>(
    targets.flatMap(({ target }) => {
      if (target.kind === 'class') return [target.classId]
      return target.kind === 'group' ? (groups.get(target.groupId) ?? []) : []
    }),
  )
  const { classes, plans } = of.desk
  const planIds = new Set<string | null>(
    classes.filter((c) => chosen.size === 0 || chosen.has(c.id)).map((c) => c.planId),
  )
  return plans
    .filter((p) => planIds.has(p.id))
    .flatMap((p) =>
      p.lessons.map((l) => ({
        label: `${l.number} ${l.title}`.trim(),
        value: l.id,
        number: l.number,
        unit: p.units.find((u) => u.id === l.unitId)?.title ?? '',
      })),
    )
}
