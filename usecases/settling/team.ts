import { asId } from '#core/base'
import type { AttemptId, Instant, UserId } from '#core/base'
import type { Attempt, AttemptScore, EndedBy, NamedPiece } from '#core/attempts'
import { teamMates } from '#core/work'
import { addAttempt, attemptsAt, copyAnswers, publishedWorkFor, userById } from '#db/repositories'
import type { Connection, OwnTerms } from '#db/repositories'
import type { Deps } from '../ground/deps'
import type { GivenPiece } from './givenPiece'

/** The try at which somebody else of a learner's team is; null: nobody is. It is theirs to go on with. */
export async function tryOfTeam(
  tx: Connection,
  of: NamedPiece,
  { teams }: Pick<GivenPiece, 'teams'>,
  learnerId: UserId,
): Promise<Attempt | null> {
  for (const mate of teamMates(teams, learnerId)) {
    const open = (await attemptsAt(tx, of, mate)).find((t) => t.submittedAt === null)
    // one who no longer has the work has taken their try with them
    if (open && (await publishedWorkFor(tx, of, mate))) return open
  }
  return null
}

/** Whether somebody may work at a try: their own, or one of their team. */
export function isAmong(teams: GivenPiece['teams'], learnerId: UserId, owner: UserId): boolean {
  return learnerId === owner || teamMates(teams, owner).includes(learnerId)
}

/** With whom a learner works, by name. */
export async function namesOfMates(
  tx: Connection,
  teams: GivenPiece['teams'],
  learnerId: UserId,
): Promise<readonly string[]> {
  const mates = await Promise.all(teamMates(teams, learnerId).map((id) => userById(tx, id)))
  return mates.flatMap((m) => m?.name ?? []).sort()
}

/**
 * What one has handed in counts for all of the team who have the work: each gets a try of their own with the same
 * answers, scored by their own terms, so that it can be judged apart from then on.
 */
export async function endForTeam(
  tx: Connection,
  deps: Pick<Deps, 'ids'>,
  { attempt, teams }: { readonly attempt: Attempt; readonly teams: GivenPiece['teams'] },
  end: {
    readonly at: Instant
    readonly endedBy: EndedBy
    readonly scoreFor: (work: OwnTerms) => Promise<AttemptScore | null>
  },
): Promise<void> {
  for (const learnerId of teamMates(teams, attempt.learnerId)) {
    const work = await publishedWorkFor(tx, attempt, learnerId)
    if (!work) continue
    const tries = await attemptsAt(tx, attempt, learnerId)
    const id = asId<AttemptId>(deps.ids.newId())
    await addAttempt(tx, {
      ...attempt,
      id,
      learnerId,
      number: Math.max(0, ...tries.map((t) => t.number)) + 1,
      submittedAt: end.at,
      endedBy: end.endedBy,
      score: await end.scoreFor(work),
      sharedFrom: attempt.id,
    })
    await copyAnswers(tx, attempt.id, id)
  }
}
