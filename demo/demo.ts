import type { ClassId, GroupId, Instant, LessonId, PlanId, UserId } from '#core/base'
import type { Deps } from '#usecases/ground/deps'
import type { Teacher } from '#core/access'

/** The school as it was set up. */
export interface DemoSchool {
  readonly teacher: Teacher
  readonly classes: ReadonlyMap<string, ClassId>
  readonly plans: ReadonlyMap<string, PlanId>
}

/** The school while its weeks are lived through: who is in it, what it can reach, and its clock to be set. */
export type Demo = DemoSchool & {
  readonly known: ReadonlySet<UserId>
  readonly deps: Deps
  readonly clock: { readonly set: (at: Instant) => void }
  readonly lessons: ReadonlyMap<string, LessonId>
  readonly groups: ReadonlyMap<ClassId, GroupId>
}
