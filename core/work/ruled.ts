import type { GroupId, UserId } from '../base'
import type { Draft, RuledGroup } from './types'

/**
 * Who is in the groups by rule to which work goes, for good from its publication on: those that it knows already stay
 * as they were, others as they stand now.
 */
export function ruledNow(
  draft: Pick<Draft, 'targets'>,
  groups: readonly {
    readonly id: GroupId
    readonly rule: object | null
    readonly learnerIds: readonly UserId[]
  }[],
  known: readonly RuledGroup[],
): readonly RuledGroup[] {
  const byRule = new Map(groups.filter((g) => g.rule !== null).map((g) => [g.id, g.learnerIds]))
  return draft.targets.flatMap(({ target }): readonly RuledGroup[] => {
    if (target.kind !== 'group') return []
    const { groupId } = target
    const stood = known.find((k) => k.groupId === groupId)
    if (stood) return [stood]
    const learnerIds = byRule.get(groupId)
    return learnerIds ? [{ groupId, learnerIds }] : []
  })
}
