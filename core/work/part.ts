import { ok, refuse, same } from '../base'
import type { ClassId, GroupId, Instant, Result, UserId } from '../base'
import type { Target } from '../audience'
import { published, withdrawn } from './acts'
import type { WorkRefusal } from './refusals'
import type { Assignment, AssignmentTarget, Draft } from './types'

/**
 * How far somebody reaches on an assignment: all of it, for its author and for who teaches all its
 * classes; else only these of its classes.
 */
export type WorkReach = 'whole' | ReadonlySet<ClassId>

/** Who reaches how far, of all classes that an assignment goes to. */
export function reachOnWork(
  isAuthor: boolean,
  goesTo: readonly ClassId[],
  taught: ReadonlySet<ClassId>,
): WorkReach {
  if (isAuthor || goesTo.every((id) => taught.has(id))) return 'whole'
  return new Set(goesTo.filter((id) => taught.has(id)))
}

/** Published as far as somebody reaches: the other classes of held work go on waiting. */
export function publishedBy(
  reach: WorkReach,
  assignment: Assignment,
  goesTo: readonly ClassId[],
  now: Instant,
): Assignment {
  const waiting = new Set(reach === 'whole' ? [] : waitingIn(assignment, goesTo))
  if (reach !== 'whole') for (const id of reach) waiting.delete(id)
  return { ...published(assignment, now), notFor: [...waiting] }
}

/** Taken back as far as somebody reaches; from all when nothing is left. */
export function withdrawnBy(
  reach: WorkReach,
  assignment: Assignment,
  goesTo: readonly ClassId[],
): Assignment {
  if (reach === 'whole') return withdrawn(assignment)
  const waiting = new Set([...assignment.notFor, ...reach])
  return goesTo.every((id) => waiting.has(id))
    ? withdrawn(assignment)
    : { ...assignment, notFor: [...waiting] }
}

function waitingIn(assignment: Assignment, goesTo: readonly ClassId[]): readonly ClassId[] {
  return assignment.state === 'published' ? assignment.notFor : goesTo
}

/** In which classes a target's learners are. */
export interface WhereTargetsAre {
  readonly groups: ReadonlyMap<GroupId, { readonly classId: ClassId; readonly alsoIn: readonly ClassId[] }>
  readonly learners: ReadonlyMap<UserId, readonly ClassId[]>
}

/**
 * Whether a change stays within the own classes of who makes it: their targets, and exceptions among their learners.
 * Refused when it touches what all classes share, or another class.
 */
export function checkPart(
  reach: WorkReach,
  assignment: Draft,
  draft: Draft,
  where: WhereTargetsAre,
): Result<Draft, WorkRefusal> {
  if (reach === 'whole') return ok(draft)
  const isOwn = (ids: readonly ClassId[]) => areWithin(reach, ids)
  const ofOthers = (targets: readonly AssignmentTarget[]) =>
    targets.filter((t) => !targetWithin(reach, t.target, where))
  const othersIn = (ids: readonly UserId[]) => ids.filter((id) => !isOwn(where.learners.get(id) ?? [])).sort()
  const shared = SHARED.find((part) => !same(assignment[part], draft[part]))
  const staysWithin =
    shared === undefined &&
    same(ofOthers(assignment.targets), ofOthers(draft.targets)) &&
    same(othersIn(assignment.exceptIds), othersIn(draft.exceptIds)) &&
    same(othersIn(assignment.overCeiling), othersIn(draft.overCeiling))
  return staysWithin ? ok(draft) : refuse({ code: 'work/not-whole', field: shared ?? 'targets' })
}

/** What all classes of a piece of work share; who it goes to is each class's own. */
const IS_SHARED = {
  pieces: true,
  title: true,
  note: true,
  about: true,
  isFirst: true,
  inTurn: true,
  window: true,
  rules: true,
  newcomers: true,
  teams: true,
  targets: false,
  exceptIds: false,
  overCeiling: false,
} satisfies Record<keyof Draft, boolean>
type SharedPart = { [Part in keyof Draft]: (typeof IS_SHARED)[Part] extends true ? Part : never }[keyof Draft]
const isShared = (part: keyof Draft): part is SharedPart => IS_SHARED[part]
const SHARED = (Object.keys(IS_SHARED) as (keyof Draft)[]).filter(isShared)

function areWithin(reach: ReadonlySet<ClassId>, ids: readonly ClassId[]): boolean {
  return ids.length > 0 && ids.every((id) => reach.has(id))
}

/** Whether all learners of a target are in classes that somebody reaches. */
export function targetWithin(reach: ReadonlySet<ClassId>, target: Target, where: WhereTargetsAre): boolean {
  return areWithin(reach, classesOf(target, where))
}

function classesOf(target: Target, { groups, learners }: WhereTargetsAre): readonly ClassId[] {
  switch (target.kind) {
    case 'class':
      return [target.classId]
    case 'group': {
      const group = groups.get(target.groupId)
      return group ? [group.classId, ...group.alsoIn] : []
    }
    case 'learner':
      return learners.get(target.learnerId) ?? []
  }
}
