import { faultInRules } from '../attempts'
import type { AttemptRefusal } from '../attempts'
import type { AudienceRefusal, Target } from '../audience'
import { refuse, ok } from '../base'
import type { ClassId, GroupId, Result, UserId } from '../base'
import type { Draft } from './types'

/** What is known of the people a draft names. `isMine`: the one who assigns teaches the class. */
export interface Recipients {
  readonly classes: ReadonlyMap<ClassId, { readonly name: string; readonly isMine: boolean }>
  readonly groups: ReadonlyMap<GroupId, { readonly name: string; readonly classId: ClassId }>
  readonly learners: ReadonlyMap<UserId, readonly ClassId[]>
}

/**
 * Accepts a draft whose rules a learner can meet and whose targets are known and the assigner's own; else the
 * first fault.
 */
export function checkDraft(
  draft: Draft,
  recipients: Recipients,
): Result<Draft, AttemptRefusal | AudienceRefusal> {
  const fault = faultInRules(draft.rules)
  if (fault) return refuse({ code: 'attempts/bad-rules', field: fault })
  if (draft.targets.length === 0) return refuse({ code: 'audience/nobody-chosen', field: 'targets' })
  const twice = targetNamedTwice(draft.targets.map((t) => t.target))
  if (twice !== null) return refuse({ code: 'audience/same-target-twice', field: 'targets', id: twice })
  for (const { target } of draft.targets) {
    const bad = faultInTarget(target, recipients)
    if (bad) return refuse(bad)
  }
  return ok(draft)
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

function faultInTarget(target: Target, { classes, groups, learners }: Recipients): AudienceRefusal | null {
  const isMine = (id: ClassId) => classes.get(id)?.isMine ?? false
  const unknown = (id: string): AudienceRefusal => ({ code: 'audience/unknown-target', field: 'targets', id })
  const notMine = (name: string): AudienceRefusal => ({
    code: 'audience/not-your-class',
    field: 'targets',
    name,
  })
  switch (target.kind) {
    case 'class': {
      const of = classes.get(target.classId)
      if (!of) return unknown(target.classId)
      return of.isMine ? null : notMine(of.name)
    }
    case 'group': {
      const of = groups.get(target.groupId)
      if (!of) return unknown(target.groupId)
      return isMine(of.classId) ? null : notMine(of.name)
    }
    case 'learner':
      return learners.get(target.learnerId)?.some(isMine) ? null : unknown(target.learnerId)
  }
}
