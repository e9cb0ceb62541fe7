import { groupBy, seededRandom, shuffled } from '../base'
import type { UserId } from '../base'
import type { WorkRefusal } from './refusals'

/** The others with whom somebody works; nobody: alone. */
export function teamMates(teams: readonly (readonly UserId[])[], learnerId: UserId): readonly UserId[] {
  return teams.find((t) => t.includes(learnerId))?.filter((id) => id !== learnerId) ?? []
}

/** A learner works in one team. Null when each does. */
export function faultInTeams(teams: readonly (readonly UserId[])[]): WorkRefusal | null {
  const seen = new Set<UserId>()
  for (const learnerId of teams.flat()) {
    if (seen.has(learnerId)) return { code: 'work/in-two-teams', field: 'teams', learnerId }
    seen.add(learnerId)
  }
  return null
}

/** How teams are put together: by chance, or each with learners who stand high and low. */
export type Mixing = 'by-chance' | 'by-standing'

/** How teams are mixed. */
export interface TeamMixing {
  readonly mixing: Mixing
  /** Shares of points, for mixing by them; who has none counts as middling. */
  readonly standing: ReadonlyMap<UserId, number>
}

/**
 * Teams of about `size` in which everybody is and nobody is alone: sizes differ by one at most, and where it does not
 * come out even, pairs become threes and larger teams go to the nearer number of teams. The same seed gives the same.
 */
export function madeTeams(
  learnerIds: readonly UserId[],
  size: number,
  seed: number,
  { mixing, standing }: TeamMixing = { mixing: 'by-chance', standing: new Map() },
): readonly (readonly UserId[])[] {
  if (learnerIds.length === 0) return []
  const nearest = Math.max(1, Math.round(learnerIds.length / size))
  // nobody is left alone
  const count = Math.min(nearest, Math.max(1, Math.floor(learnerIds.length / 2)))
  const drawn = shuffled(learnerIds, seededRandom(seed))
  const order =
    mixing === 'by-chance'
      ? drawn
      : [...drawn].sort((a, b) => (standing.get(b) ?? 0.5) - (standing.get(a) ?? 0.5))
  const dealt = order.map((id, i) => ({ id, team: seatOf(i, count) }))
  return [...groupBy(dealt, (d) => d.team).values()].map((team) => team.map(({ id }) => id))
}

/** Dealt forth and back, so that no team has the best of every round. */
function seatOf(i: number, count: number): number {
  const round = Math.floor(i / count)
  const seat = i % count
  return round % 2 === 0 ? seat : count - 1 - seat
}
