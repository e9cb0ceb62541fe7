import { faultInRules } from '../attempts'
import type { AttemptRefusal } from '../attempts'
import type { AudienceRefusal, Target } from '../audience'
import { refuse, ok } from '../base'
import type { ClassId, GroupId, Result, UserId } from '../base'
import { isMeetingLink } from './about'
import { faultInPieces, rulesOf } from './pieces'
import type { WorkRefusal } from './refusals'
import { faultInTeams } from './teams'
import type { Draft } from './types'

/** What is known of the people a draft names. `isMine`: the one who assigns teaches the class. */
export interface Recipients {
  readonly classes: ReadonlyMap<ClassId, { readonly isMine: boolean }>
  readonly groups: ReadonlyMap<GroupId, { readonly classId: ClassId; readonly alsoIn: readonly ClassId[] }>
  readonly learners: ReadonlyMap<UserId, readonly ClassId[]>
}

/** The people a draft names. */
type PeopleNamed = Pick<Draft, 'targets' | 'exceptIds' | 'teams'>

/**
 * Accepts a draft of at least one piece whose rules a learner can meet and whose targets and exceptions are the
 * assigner's own, or stand already; else the first fault. What is somebody else's is as unknown as what is not there.
 */
export function checkDraft(
  draft: Draft,
  recipients: Recipients,
  stands: PeopleNamed | null = null,
): Result<Draft, AttemptRefusal | AudienceRefusal | WorkRefusal> {
  const pieces = faultInPieces(draft.pieces) ?? faultInTeams(draft.teams)
  if (pieces) return refuse(pieces)
  const fault =
    faultInRules(draft.rules) ??
    [
      ...draft.pieces.map((p) => rulesOf(draft, p)),
      ...draft.targets.map((t) => ({ ...draft.rules, ...t.rules })),
    ]
      .map(faultInRules)
      .find((f) => f !== null)
  if (fault) return refuse({ code: 'attempts/bad-rules', field: fault })
  const { link } = draft.about
  if (link !== '' && !isMeetingLink(link)) return refuse({ code: 'work/bad-link', field: 'about' })
  const people = faultInTargets(draft, recipients, stands)
  return people ? refuse(people) : ok(draft)
}

/** What is wrong with the people a draft names; null: nothing. */
export function faultInTargets(
  draft: PeopleNamed,
  recipients: Recipients,
  stands: PeopleNamed | null,
): AudienceRefusal | null {
  if (draft.targets.length === 0) return { code: 'audience/nobody-chosen', field: 'targets' }
  const twice = targetNamedTwice(draft.targets.map((t) => t.target))
  if (twice !== null) return { code: 'audience/same-target-twice', field: 'targets', id: twice }
  const known = new Set(stands?.targets.map((t) => idOf(t.target)))
  const unknown = draft.targets.map((t) => t.target).find((t) => !known.has(idOf(t)) && !isOwn(t, recipients))
  if (unknown) return { code: 'audience/unknown-target', field: 'targets', id: idOf(unknown) }
  const exception = badException(draft.exceptIds, recipients, new Set(stands?.exceptIds))
  if (exception !== null) return { code: 'audience/bad-exception', field: 'exceptIds', id: exception }
  // a team is told its members' names
  const mates = new Set(stands?.teams.flat())
  const stranger = draft.teams
    .flat()
    .find((learnerId) => !mates.has(learnerId) && !isOwn({ kind: 'learner', learnerId }, recipients))
  if (stranger) return { code: 'audience/unknown-target', field: 'teams', id: stranger }
  return null
}

/** An exception named twice, or a learner who is not the assigner's. */
function badException(
  exceptIds: readonly UserId[],
  recipients: Recipients,
  stand: ReadonlySet<UserId>,
): UserId | null {
  const seen = new Set<UserId>()
  for (const learnerId of exceptIds) {
    const isKnown = stand.has(learnerId) || isOwn({ kind: 'learner', learnerId }, recipients)
    if (!isKnown || seen.has(learnerId)) return learnerId
    seen.add(learnerId)
  }
  return null
}

function targetNamedTwice(targets: readonly Target[]): string | null {
  const seen = new Set<string>()
  for (const target of targets) {
    const id = idOf(target)
    if (seen.has(id)) return id
    seen.add(id)
  }
  return null
}

function idOf(target: Target): string {
  switch (target.kind) {
    case 'class':
      return target.classId
    case 'group':
      return target.groupId
    case 'learner':
      return target.learnerId
  }
}

function isOwn(target: Target, { classes, groups, learners }: Recipients): boolean {
  const isMine = (id: ClassId | undefined) => id !== undefined && (classes.get(id)?.isMine ?? false)
  switch (target.kind) {
    case 'class':
      return isMine(target.classId)
    case 'group': {
      // of a group over several classes the assigner reaches those whom they teach
      const group = groups.get(target.groupId)
      return group !== undefined && [group.classId, ...group.alsoIn].some(isMine)
    }
    case 'learner':
      return learners.get(target.learnerId)?.some(isMine) ?? false
  }
}
