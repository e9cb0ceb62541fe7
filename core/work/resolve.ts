import { reach } from '../audience'
import type { Reached, Roster } from '../audience'
import { NO_ACCOMMODATION, resolveWindow, resolverFor } from '../availability'
import type { Accommodation, AvailabilityRefusal, Ground, Overrides, Terms } from '../availability'
import { groupBy } from '../base'
import type { ClassId, Instant, LessonId, PieceId, UserId } from '../base'
import { anchoredLessons, namedClasses, windowsOfClass } from './classWindows'
import { ownRulesBy } from './ownRules'
import { rulesOf } from './pieces'
import type { Draft, LearnerWork, RuledGroup } from './types'
import { versionsBy } from './versionsFor'
import type { VersionsAround } from './versionsFor'

/** The classes and people among whom assignments are resolved. Who is not among the people is not reached. */
export interface Surroundings {
  readonly grounds: ReadonlyMap<ClassId, Ground>
  readonly roster: Roster
  readonly people: ReadonlyMap<UserId, { readonly accommodation: Accommodation }>
  /** Absent: nobody has trails here. */
  readonly versions?: VersionsAround
}

export interface Resolvable extends Pick<Draft, 'pieces' | 'window' | 'rules' | 'targets' | 'exceptIds'> {
  /** Classes whose learners do not have it. */
  readonly notFor?: readonly ClassId[]
  /** False: who joins a class after `publishedAt` does not have it through that class. */
  readonly newcomers?: boolean
  readonly publishedAt?: Instant | null
  /** Its groups by rule, as they stood; others are as they stand. */
  readonly ruled?: readonly RuledGroup[]
}

export interface Resolution {
  readonly reached: readonly Reached[]
  readonly rows: readonly Omit<LearnerWork, 'assignmentId'>[]
  /** Windows that cannot stand, each with the class in which. */
  readonly problems: readonly { readonly classId: ClassId | null; readonly refusal: AvailabilityRefusal }[]
}

/** Who an assignment reaches, and each learner's own window and limits for each of its pieces. */
export function resolveWork(work: Resolvable, around: Surroundings): Resolution {
  const { grounds, roster, people } = around
  const reached = reachedBy(work, around)
  const rows: Omit<LearnerWork, 'assignmentId'>[] = []
  const problems = new Map<string, Resolution['problems'][number]>()
  /** Who has none of some pieces: they were over before their start line, or are for others. */
  const without = new Set<UserId>()
  const isTheirs = piecesOfEach(work.pieces)
  const own = ownTo(work, around)
  for (const { pieceIds, terms: given } of termsOf(work)) {
    const resolve = resolverFor(given, grounds)
    for (const one of reached) {
      const { learnerId } = one
      const resolved = resolve(one, people.get(learnerId)?.accommodation ?? NO_ACCOMMODATION)
      if (resolved.ok) {
        const { classId, terms, because } = resolved.value
        if (isBeforeStart(one, { classId, terms }, roster)) {
          without.add(learnerId)
          continue
        }
        const more = given.overrides.learners.get(learnerId)?.moreTries
        const theirs = pieceIds.filter((id) => isTheirs(id, learnerId))
        if (theirs.length < pieceIds.length) without.add(learnerId)
        for (const pieceId of theirs) {
          const { rules, version, because: ofOwn } = own(one, pieceId, classId)
          const row = withTries({ terms, because: [...because, ...ofOwn] }, more?.[pieceId])
          rows.push({ learnerId, pieceId, classId, rules, version, ...row })
        }
        continue
      }
      const classId = one.classIds[0] ?? null
      problems.set(`${classId} ${JSON.stringify(resolved.error)}`, { classId, refusal: resolved.error })
    }
  }
  for (const [classId, refusal] of faultsInEmpty(work, around, reached))
    problems.set(`${classId} ${JSON.stringify(refusal)}`, { classId, refusal })
  const having = new Set(rows.map((r) => r.learnerId))
  const isReached = ({ learnerId }: Reached) => having.has(learnerId) || !without.has(learnerId)
  return { reached: reached.filter(isReached), rows, problems: [...problems.values()] }
}

/** Whom its targets reach, each in the classes through which they have it. */
function reachedBy(work: Resolvable, { grounds, roster, people }: Surroundings): readonly Reached[] {
  const lessons = anchoredLessons(work)
  const targets = work.targets.map((t) => t.target)
  return among(
    reach(targets, asPublished(work, roster), new Set(work.exceptIds), inTime(work, roster)),
    new Set(work.notFor),
  )
    .filter((r) => people.has(r.learnerId))
    .map((r) => (r.byClass ? r : { ...r, classIds: preferring(r.classIds, lessons, grounds) }))
}

/** Whether a piece is a learner's: of one that is for some, only theirs. */
function piecesOfEach(pieces: Draft['pieces']): (pieceId: PieceId, learnerId: UserId) => boolean {
  const only = new Map(pieces.flatMap((p) => (p.onlyIds ? [[p.id, new Set(p.onlyIds)] as const] : [])))
  return (pieceId, learnerId) => only.get(pieceId)?.has(learnerId) ?? true
}

/** Whether work of the whole class was over before a learner's start line: it is none of theirs. */
function isBeforeStart(
  { byName, groupIds, learnerId }: Reached,
  { classId, terms }: Pick<LearnerWork, 'classId' | 'terms'>,
  { startsAt }: Roster,
): boolean {
  const start = startsAt?.get(classId)?.get(learnerId)
  const ends = terms.closes ?? terms.due
  return !byName && groupIds.length === 0 && start !== undefined && ends !== null && ends <= start
}

/**
 * Whether nobody needs to have it yet: whoever joins one of its classes gets it, so that a year can be set up before
 * its learners are known.
 */
export function awaitsNewcomers({ targets, newcomers = true, notFor = [] }: Resolvable): boolean {
  return newcomers && namedClasses({ targets }).some((id) => !notFor.includes(id))
}

/** What cannot stand in classes that nobody is in yet. */
function faultsInEmpty(
  work: Resolvable,
  { grounds }: Surroundings,
  reached: readonly Reached[],
): readonly (readonly [ClassId, AvailabilityRefusal])[] {
  const { notFor = [] } = work
  const peopled = new Set(reached.flatMap((r) => r.classIds))
  return namedClasses(work).flatMap((classId): readonly (readonly [ClassId, AvailabilityRefusal])[] => {
    const ground = grounds.get(classId)
    if (!ground || peopled.has(classId) || notFor.includes(classId)) return []
    for (const spec of windowsOfClass(work, classId)) {
      const window = resolveWindow(spec, ground)
      if (!window.ok) return [[classId, window.error]]
    }
    return []
  })
}

/** What of a piece is a learner's own besides moments and limits: rules, and the version. */
function ownTo(work: Resolvable, { versions }: Surroundings) {
  const rulesFor = ownRulesBy(work.targets)
  const versionFor = versionsBy(work.targets, versions)
  const pieces = new Map(work.pieces.map((p) => [p.id, { piece: p, base: rulesOf(work, p) }]))
  return (one: Reached, pieceId: PieceId, classId: ClassId) => {
    const { piece, base } = pieces.get(pieceId) ?? {}
    if (!piece || !base) throw new Error('a row without its piece')
    const { rules, because } = rulesFor(one, base)
    const given = versionFor(one, piece, classId)
    return { rules, version: given.version, because: [...because, ...given.because] }
  }
}

/** The roster with groups by rule as they stood when the work was published. */
function asPublished({ ruled = [] }: Resolvable, roster: Roster): Roster {
  if (ruled.length === 0) return roster
  const stood = ruled.map(({ groupId, learnerIds }) => [groupId, learnerIds] as const)
  return { ...roster, groups: new Map([...roster.groups, ...stood]) }
}

/** Whether somebody was in a class in time to have its work. */
function inTime({ newcomers = true, publishedAt = null }: Resolvable, { joinedAt }: Roster) {
  return (classId: ClassId, learnerId: UserId) => {
    const joined = joinedAt?.get(classId)?.get(learnerId)
    return newcomers || publishedAt === null || joined === undefined || joined <= publishedAt
  }
}

/** With tries that a learner was given on top of what came out. */
function withTries(row: Pick<LearnerWork, 'terms' | 'because'>, more: number | undefined): typeof row {
  const { maxAttempts } = row.terms
  if (more === undefined || maxAttempts === null) return row
  return {
    terms: { ...row.terms, maxAttempts: maxAttempts + more },
    because: row.because.map((b) =>
      b.field === 'maxAttempts' ? { ...b, level: 'learner' as const, sourceId: null } : b,
    ),
  }
}

/** Without those who have it only through classes that do not have it. */
function among(reached: readonly Reached[], notFor: ReadonlySet<ClassId>): readonly Reached[] {
  if (notFor.size === 0) return reached
  return reached
    .map((r) => ({ ...r, classIds: r.classIds.filter((id) => !notFor.has(id)) }))
    .filter((r) => r.classIds.length > 0)
}

/**
 * Of a learner's classes, those whose layout holds all anchored lessons; all when none does, so that the
 * refusal names one.
 */
function preferring(
  classIds: readonly ClassId[],
  lessons: readonly LessonId[],
  grounds: ReadonlyMap<ClassId, Ground>,
): readonly ClassId[] {
  const fit = classIds.filter((id) => lessons.every((l) => grounds.get(id)?.extents?.has(l)))
  return fit.length > 0 ? fit : classIds
}

/** Pieces that differ in nothing that is resolved, with the terms that they share: each is worked out once. */
function termsOf(
  work: Resolvable,
): readonly { readonly pieceIds: readonly PieceId[]; readonly terms: Terms }[] {
  const overrides = overridesOf(work)
  const alike = groupBy(work.pieces, (piece) => {
    const { maxAttempts, timeLimitMinutes } = rulesOf(work, piece)
    return JSON.stringify([piece.window, maxAttempts, timeLimitMinutes])
  })
  return [...alike.values()].flatMap((pieces) => {
    const [first] = pieces
    if (!first) return []
    const { maxAttempts, timeLimitMinutes } = rulesOf(work, first)
    const limits = { maxAttempts, timeLimitMinutes }
    return {
      pieceIds: pieces.map((p) => p.id),
      terms: { window: work.window, own: first.window, limits, overrides },
    }
  })
}

function overridesOf(work: Resolvable): Terms['overrides'] {
  const classes = new Map<string, Overrides>()
  const groups = new Map<string, Overrides>()
  const learners = new Map<string, Overrides>()
  for (const { target, overrides } of work.targets) {
    if (target.kind === 'class') classes.set(target.classId, overrides)
    else if (target.kind === 'group') groups.set(target.groupId, overrides)
    else learners.set(target.learnerId, overrides)
  }
  return { classes, groups, learners }
}
