import { keyOf } from '../audience'
import { same } from '../base'
import type { ClassId, UserId } from '../base'
import { targetWithin } from './part'
import type { WhereTargetsAre, WorkReach } from './part'
import type { AssignmentTarget, Draft } from './types'

/**
 * What of an assignment somebody sees who reaches only some of its classes: what all share, and of targets, teams and
 * exceptions those of their own classes.
 */
export function partSeen<Of extends Draft>(reach: WorkReach, draft: Of, where: WhereTargetsAre): Of {
  if (reach === 'whole') return draft
  const isOwn = ownIn(reach, where)
  const teams = draft.teams.map((team) => team.filter(isOwn)).filter((team) => team.length > 0)
  return {
    ...draft,
    targets: draft.targets.filter((t) => targetWithin(reach, t.target, where)),
    teams,
    exceptIds: draft.exceptIds.filter(isOwn),
    overCeiling: draft.overCeiling.filter(isOwn),
  }
}

/**
 * The whole of an assignment as it is changed by somebody who sees only a part of it: what they do not see stays as it
 * stands.
 */
export function withUnseen(reach: WorkReach, stands: Draft, part: Draft, where: WhereTargetsAre): Draft {
  if (reach === 'whole') return part
  const seen = partSeen(reach, stands, where)
  const isOwn = ownIn(reach, where)
  const unseenOf = (ids: readonly UserId[], named: readonly UserId[]) =>
    ids.filter((id) => !isOwn(id) && !named.includes(id))
  return {
    ...part,
    targets: targetsWithUnseen(stands.targets, part.targets, (t) => targetWithin(reach, t.target, where)),
    teams: same(seen.teams, part.teams) ? stands.teams : part.teams,
    exceptIds: [...unseenOf(stands.exceptIds, part.exceptIds), ...part.exceptIds],
    overCeiling: [...unseenOf(stands.overCeiling, part.overCeiling), ...part.overCeiling],
  }
}

/** In the order in which they stand; new ones come last. */
function targetsWithUnseen(
  stands: readonly AssignmentTarget[],
  part: readonly AssignmentTarget[],
  isOwn: (target: AssignmentTarget) => boolean,
): readonly AssignmentTarget[] {
  const given = new Map(part.map((t) => [keyOf(t.target), t]))
  const known = new Set(stands.map((t) => keyOf(t.target)))
  const kept = stands.flatMap((t) => given.get(keyOf(t.target)) ?? (isOwn(t) ? [] : [t]))
  return [...kept, ...part.filter((t) => !known.has(keyOf(t.target)))]
}

function ownIn(reach: ReadonlySet<ClassId>, where: WhereTargetsAre): (id: UserId) => boolean {
  return (id) => (where.learners.get(id) ?? []).some((classId) => reach.has(classId))
}
