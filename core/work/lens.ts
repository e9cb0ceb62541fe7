import type { Level } from '../audience'
import { WINDOW_FIELDS, windowState } from '../availability'
import type { LearnerTerms, WindowField } from '../availability'
import { groupBy } from '../base'
import type { AssignmentId, ClassId, GroupId, Instant, UserId } from '../base'
import { namedClasses } from './classWindows'
import type { Assignment, LearnerWork, WorkBecause, WorkPiece } from './types'

/** Why somebody does not see a piece of work. */
export type NotThere =
  /** It waits to be published, or was only published later. */
  | { readonly code: 'held' }
  | { readonly code: 'published-later'; readonly at: Instant }
  | { readonly code: 'withdrawn' }
  /** Their teacher has not given it to this class, or has taken it back. */
  | { readonly code: 'class-waits' }
  | { readonly code: 'excepted' }
  /** Their class lets them have no more of its category at once: it comes when they have room. */
  | { readonly code: 'queued' }
  /** They joined the class when it had gone out, and newcomers do not get it. */
  | { readonly code: 'joined-later'; readonly at: Instant }
  /** It was over before their start line in the class. */
  | { readonly code: 'before-start'; readonly at: Instant }
  /** It goes to groups or learners that they are not among. */
  | { readonly code: 'not-chosen' }
  | { readonly code: 'not-listed'; readonly at: Instant }
  | { readonly code: 'put-away'; readonly at: Instant }

/** The learner of whom it is asked. */
export interface LensLearner {
  readonly id: UserId
  readonly classIds: readonly ClassId[]
  readonly groupIds: readonly GroupId[]
  /** What waits for them until they have room for it. */
  readonly queued: ReadonlySet<AssignmentId>
  /** When they joined each of their classes. */
  readonly joinedAt: ReadonlyMap<ClassId, Instant>
  /** Their start lines. */
  readonly startsAt: ReadonlyMap<ClassId, Instant>
}

/**
 * Why a learner does not see a piece of an assignment at an instant; null when they do.
 * @param row what is resolved for them; null when nothing is.
 */
export function notThere(
  work: Assignment,
  piece: Pick<WorkPiece, 'onlyIds'>,
  learner: LensLearner,
  row: Pick<LearnerWork, 'terms'> | null,
  at: Instant,
): NotThere | null {
  if (row === null && piece.onlyIds && !piece.onlyIds.includes(learner.id)) return { code: 'not-chosen' }
  if (work.state === 'held') return { code: 'held' }
  if (work.state === 'withdrawn') return { code: 'withdrawn' }
  if (row === null) return notReached(work, learner)
  const { publishedAt } = work
  if (publishedAt !== null && at < publishedAt) return { code: 'published-later', at: publishedAt }
  const { listed, putAway } = row.terms
  const { state } = windowState(row.terms, at)
  if (state === 'not-listed' && listed !== null) return { code: 'not-listed', at: listed }
  return state === 'put-away' && putAway !== null ? { code: 'put-away', at: putAway } : null
}

/**
 * Whether work that a learner has nothing of yet is still about them: published work of their classes is, so that it
 * can be said why they do not have it; else it names a class or a group of theirs, or them.
 */
export function concerns(work: Assignment, { id, classIds, groupIds }: LensLearner): boolean {
  if (work.state === 'published') return true
  return work.targets.some(({ target: t }) => {
    if (t.kind === 'class') return classIds.includes(t.classId)
    return t.kind === 'group' ? groupIds.includes(t.groupId) : t.learnerId === id
  })
}

function notReached(work: Assignment, learner: LensLearner): NotThere {
  if (learner.queued.has(work.id)) return { code: 'queued' }
  if (work.exceptIds.includes(learner.id)) return { code: 'excepted' }
  if (learner.classIds.some((c) => work.notFor.includes(c))) return { code: 'class-waits' }
  const { publishedAt, newcomers } = work
  if (publishedAt === null) return { code: 'not-chosen' }
  const named = learner.classIds.filter((id) => namedClasses(work).includes(id))
  const later = (since: ReadonlyMap<ClassId, Instant>) =>
    named.flatMap((id) => since.get(id) ?? []).find((at) => at > publishedAt)
  const joinedAt = newcomers ? undefined : later(learner.joinedAt)
  if (joinedAt !== undefined) return { code: 'joined-later', at: joinedAt }
  const startsAt = later(learner.startsAt)
  return startsAt === undefined ? { code: 'not-chosen' } : { code: 'before-start', at: startsAt }
}

/** A moment at which what a learner may do changes. */
export interface Change {
  readonly at: Instant
  readonly field: WindowField
  readonly title: string
}

/** The next changes after an instant, soonest first. */
export function changesAfter(
  windows: readonly { readonly title: string; readonly terms: LearnerTerms }[],
  at: Instant,
  most: number,
): readonly Change[] {
  return windows
    .flatMap(({ title, terms }) =>
      WINDOW_FIELDS.flatMap((field): readonly Change[] => {
        const moment = terms[field]
        // what closes when it is due changes once
        const isSame = field === 'closes' && moment === terms.due
        return moment === null || moment <= at || isSame ? [] : [{ at: moment, field, title }]
      }),
    )
    .sort((a, b) => a.at - b.at)
    .slice(0, most)
}

/** What set some of a learner's moments and limits. */
export interface Why {
  readonly level: Level
  readonly sourceId: string | null
  readonly fields: readonly WorkBecause['field'][]
}

/** Levels on which several sources may stand, so that it has to be said which. */
const NAMED: ReadonlySet<Level> = new Set(['class', 'group'])

/** The reasons of a learner's terms, each level and source once, with all that it set. */
export function whyOf(because: readonly WorkBecause[]): readonly Why[] {
  const sourceOf = (b: WorkBecause) => (NAMED.has(b.level) ? b.sourceId : null)
  return [...groupBy(because, (b) => `${b.level} ${sourceOf(b) ?? ''}`).values()].flatMap((list) => {
    const [first] = list
    if (!first) return []
    return { level: first.level, sourceId: sourceOf(first), fields: list.map((b) => b.field) }
  })
}
