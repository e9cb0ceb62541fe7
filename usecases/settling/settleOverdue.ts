import type { AssignmentId, Instant, ItemId, UserId } from '#core/base'
import {
  GRACE_SECONDS,
  NO_LATE_DAYS,
  endingOf,
  isAdaptive,
  itemsOf,
  rescored,
  scoreAttempt,
  waitingForFiles,
} from '#core/attempts'
import type { Attempt, AttemptScore, EndedBy } from '#core/attempts'
import { schoolDays, zoneOf } from '#core/calendar'
import { cardOfKind, isOmitted } from '#core/library'
import { isSupportItem } from '#core/versions'
import { tryTermsOf } from '#core/work'
import {
  answersOf,
  assignmentById,
  classById,
  endAttempt,
  handedAt,
  overdueAttempts,
  publishedWorkFor,
  yearsById,
} from '#db/repositories'
import { CannotWrite } from '#db/repositories'
import type { Connection, OwnTerms } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { givenPiece } from './givenPiece'
import type { GivenPiece } from './givenPiece'
import { endForTeam, isAmong } from './team'

interface End {
  readonly at: Instant
  readonly endedBy: EndedBy
}

/** A try, and on what terms its learner has the work. */
export interface TryOfWork {
  readonly attempt: Attempt
  readonly work: OwnTerms
}

/**
 * Scores a try from its saved answers and ends it, for all of its team; what is only read has no score. False when it
 * was ended before.
 */
export async function endTry(
  tx: Connection,
  deps: Pick<Deps, 'ids'>,
  { attempt, work }: TryOfWork,
  end: End,
): Promise<boolean> {
  const given = await givenPiece(tx, attempt)
  const scoreFor = async (theirs: OwnTerms) =>
    given.isRead ? null : scored(tx, { attempt, work: theirs }, given, end)
  const { at: submittedAt, endedBy } = end
  const isEnded = await endAttempt(tx, attempt.id, { submittedAt, endedBy, score: await scoreFor(work) })
  if (isEnded) await endForTeam(tx, deps, { attempt, teams: given.teams }, { ...end, scoreFor })
  return isEnded
}

/** What a try has earned somebody, by their own due date. */
async function scored(
  tx: Connection,
  { attempt, work }: TryOfWork,
  { resource, rules, teams, fixes }: GivenPiece,
  end: End,
): Promise<AttemptScore> {
  const answers = (await answersOf(tx, [attempt.id])).get(attempt.id) ?? new Map()
  const isLate = work.terms.due !== null && end.at >= work.terms.due
  const days = isLate ? await lateDays(tx, work) : NO_LATE_DAYS
  const isOneByOne = isAdaptive(rules, attempt)
  const given = itemsOf(resource.items, attempt, 'as-written')
  // the last one was not there to be answered when the time was over
  const cutOff = isOneByOne && end.endedBy !== 'learner' && isOmitted(answers.get(given.at(-1)?.id as ItemId))
  const late = { rule: rules.late, dueAt: work.terms.due, submittedAt: end.at, days }
  const items = cutOff ? given.slice(0, -1) : given
  const bank = isOneByOne ? resource.items.filter((i) => !isSupportItem(i)) : null
  const first = scoreAttempt(items, answers, late, bank)
  const by = { corrections: fixes, rule: rules.late, bank }
  const score = fixes.length === 0 ? first : rescored(first, items, answers, by)
  const files = cardOfKind(resource.kind).takesFiles ? await handedAt(tx, attempt) : []
  const hasFiles = files.some((f) => isAmong(teams, attempt.learnerId, f.learnerId))
  return hasFiles ? waitingForFiles(score, items, rules.late) : score
}

async function lateDays(tx: Connection, work: OwnTerms) {
  const record = await classById(tx, work.classId)
  const year = record ? (await yearsById(tx, [record.yearId])).get(record.yearId)?.year : null
  if (!year) throw new Error('work without a school year')
  const zone = zoneOf(year.zone)
  return {
    zoneDayOf: (at: Instant) => zone.local(at).on,
    instructional: new Set(
      schoolDays(year)
        .filter((d) => d.closedBy === null)
        .map((d) => d.on),
    ),
  }
}

/**
 * Ends, as saved, every try whose time limit or window has passed; looked for whenever somebody looks. True when there
 * was one.
 */
export async function settleOverdue(
  deps: Deps,
  of: { readonly learnerId?: UserId; readonly assignmentIds?: readonly AssignmentId[] },
): Promise<boolean> {
  const now = deps.clock.now()
  const overdue = await overdueAttempts(deps.store.read, of, now, GRACE_SECONDS * 1000)
  if (overdue.length === 0) return false
  await writtenLater(deps, async (tx) => {
    for (const attempt of overdue) {
      const work = await publishedWorkFor(tx, attempt, attempt.learnerId)
      const end = work ? endingOf(attempt, tryTermsOf(work, false), now) : null
      if (work && end) await endTry(tx, deps, { attempt, work }, end)
    }
  })
  return true
}

/** Ends what others of a team have overrun as well: it counts for all of them. */
export async function settleTeam(deps: Deps, assignmentId: AssignmentId): Promise<void> {
  const work = await assignmentById(deps.store.read, assignmentId)
  const isTogether = work?.pieces.some((p) => p.handIn === 'together') ?? false
  if (isTogether) await settleOverdue(deps, { assignmentIds: [assignmentId] })
}

/** While the database takes no writes, looking goes on: what is due is ended by whoever looks later. */
async function writtenLater(deps: Deps, work: (tx: Connection) => Promise<void>): Promise<void> {
  try {
    await deps.store.writeSoon(work)
  } catch (error) {
    if (!(error instanceof CannotWrite)) throw error
  }
}
