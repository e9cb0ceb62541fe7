import type { ClassId, GroupId, UserId } from '../base'

/** Learners who came to a class by a table, with the groups and grades that it gave them. */
export interface RosterCommand {
  readonly kind: 'roster'
  readonly classId: ClassId
  /** Who came. */
  readonly learnerIds: readonly UserId[]
  /** Who came into which group, of those who came and of those who were there. */
  readonly members: readonly { readonly groupId: GroupId; readonly learnerIds: readonly UserId[] }[]
  readonly madeGroups: readonly { readonly groupId: GroupId; readonly name: string }[]
  /** Grades of those who were there; null: nobody had said. */
  readonly grades: readonly {
    readonly learnerId: UserId
    readonly from: number | null
    readonly to: number
  }[]
}

/** The same as it is said. */
export interface RosterStep extends Pick<RosterCommand, 'kind' | 'classId'> {
  readonly learners: number
  readonly groups: number
}

/** An act as whoever looks at undo, redo or the history needs it. */
export function asRosterStep({ kind, classId, learnerIds, members }: RosterCommand): RosterStep {
  return { kind, classId, learners: learnerIds.length, groups: members.length }
}
