import type { ClassId, UserId } from '../base'
import type { Parts } from '../combining'
import type { GroupRule } from './groupRule'

/** What a teacher sets of a group. */
export interface GroupSetting {
  readonly name: string
  /** All classes in which it stands, the one where it was made first. */
  readonly classIds: readonly ClassId[]
  /** Null: who is in it is chosen by hand. */
  readonly rule: GroupRule | null
  readonly learnerIds: readonly UserId[]
}

/** Classes and members one by one: two people may change different ones at once. */
export const GROUP_PARTS: Parts<GroupSetting> = {
  name: 'whole',
  classIds: { nameOf: (id) => id },
  rule: 'whole',
  learnerIds: { nameOf: (id) => id },
}
