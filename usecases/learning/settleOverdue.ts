import type { AssignmentId, Instant, ItemId, UserId } from '#core/base'
import { GRACE_SECONDS, NO_LATE_DAYS, endingOf, itemsOf, scoreAttempt } from '#core/attempts'
import type { Attempt, EndedBy } from '#core/attempts'
import { schoolDays, zoneOf } from '#core/calendar'
import { isOmitted } from '#core/library'
import {
  answersOf,
  classById,
  endAttempt,
  overdueAttempts,
  publishedWorkFor,
  yearsById,
} from '#db/repositories'
import type { LearnerWork } from '#core/work'
import { CannotWrite } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { givenPiece, isAdaptive, tryTermsOf } from './givenPiece'

/**
 * Scores a try from its saved answers and ends it; what is only read has no score. False when it was ended before.
 */
export async function endTry(
  tx: Connection,
  attempt: Attempt,
  work: LearnerWork,
  end: { readonly at: Instant; readonly endedBy: EndedBy },
): Promise<boolean> {
  const { resource, rules, isRead } = await givenPiece(tx, attempt)
  if (isRead) return endAttempt(tx, attempt.id, { submittedAt: end.at, endedBy: end.endedBy, score: null })
  const answers = (await answersOf(tx, [attempt.id])).get(attempt.id) ?? new Map()
  const isLate = work.terms.due !== null && end.at >= work.terms.due
  const days = isLate ? await lateDays(tx, work) : NO_LATE_DAYS
  const isOneByOne = isAdaptive(rules, attempt)
  const given = itemsOf(resource.items, attempt, 'as-written')
  // the last one was not there to be answered when the time was over
  const cutOff = isOneByOne && end.endedBy !== 'learner' && isOmitted(answers.get(given.at(-1)?.id as ItemId))
  const late = { rule: rules.late, dueAt: work.terms.due, submittedAt: end.at, days }
  const items = cutOff ? given.slice(0, -1) : given
  const score = scoreAttempt(items, answers, late, isOneByOne ? resource.items : null)
  return endAttempt(tx, attempt.id, { submittedAt: end.at, endedBy: end.endedBy, score })
}

async function lateDays(tx: Connection, work: LearnerWork) {
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

/** Ends, as saved, every try whose time limit or window has passed; looked for whenever somebody looks. */
export async function settleOverdue(
  deps: Deps,
  of: { readonly learnerId?: UserId; readonly assignmentIds?: readonly AssignmentId[] },
): Promise<void> {
  const now = deps.clock.now()
  const overdue = await overdueAttempts(deps.store.read, of, now, GRACE_SECONDS * 1000)
  if (overdue.length === 0) return
  await writtenLater(deps, async (tx) => {
    for (const attempt of overdue) {
      const work = await publishedWorkFor(tx, attempt, attempt.learnerId)
      const end = work ? endingOf(attempt, tryTermsOf(work, false), now) : null
      if (work && end) await endTry(tx, attempt, work, end)
    }
  })
}

/** While the database takes no writes, looking goes on: what is due is ended by whoever looks later. */
async function writtenLater(deps: Deps, work: (tx: Connection) => Promise<void>): Promise<void> {
  try {
    await deps.store.write(work)
  } catch (error) {
    if (!(error instanceof CannotWrite)) throw error
  }
}
