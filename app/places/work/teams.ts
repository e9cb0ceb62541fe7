import type { ClassId, UserId } from '#core/base'
import type { Preview } from '#shared/contracts/work'

type Teams = readonly (readonly UserId[])[]
interface Named {
  readonly id: UserId
  readonly name: string
}
interface ClassTeams {
  readonly classId: ClassId
  readonly name: string
  readonly teams: readonly { readonly index: number; readonly learners: readonly Named[] }[]
  /** Where somebody of this class can be put; the last one stands for alone. */
  readonly choices: { readonly value: string; readonly label: string }[]
}
/** What stands for working alone where a team is chosen. */
const ALONE = -1

function reachedIn(preview: Preview | null): ReadonlyMap<UserId, Named & { readonly classId: ClassId }> {
  return new Map((preview?.who ?? []).map(({ learnerId: id, name, classId }) => [id, { id, name, classId }]))
}

/** Teams under the class of their first learner whom the work reaches; teams that it does not reach are left out. */
export function teamsByClass(teams: Teams, preview: Preview | null): readonly ClassTeams[] {
  const reached = reachedIn(preview)
  const named = teams.map((team, index) => {
    const learners = team.flatMap((id) => reached.get(id) ?? [])
    return { index, learners, classId: learners[0]?.classId ?? null }
  })
  return (preview?.classes ?? []).flatMap(({ classId, name }) => {
    const own = named.filter((t) => t.classId === classId)
    if (own.length === 0) return []
    const choices = [
      ...own.map(({ index }) => ({ value: String(index), label: String(index + 1) })),
      { value: String(ALONE), label: 'alone' },
    ]
    return [{ classId, name, teams: own, choices }]
  })
}

/** Whom the work reaches and who is in no team, by name. */
export function unteamed(teams: Teams, preview: Preview | null): readonly Named[] {
  const inTeams = new Set(teams.flat())
  return [...reachedIn(preview).values()]
    .filter((l) => !inTeams.has(l.id))
    .sort((a, b) => (a.name < b.name ? -1 : 1))
}

/** Teams with somebody in another one of them, or (−1) in none; teams keep their places while anybody is in them. */
export function inTeam(teams: Teams, learnerId: UserId, index: number): Teams {
  return teams
    .map((team, i) => {
      const others = team.filter((id) => id !== learnerId)
      return i === index ? [...others, learnerId] : others
    })
    .filter((team) => team.length > 0)
}
