import type { WayShown } from '#shared/contracts/pacing'

/** Neighbouring ways out that come to the same: shown, and chosen, as one. */
export function waysTogether(ways: readonly WayShown[]): readonly (readonly [WayShown, ...WayShown[]])[] {
  const groups: [WayShown, ...WayShown[]][] = []
  for (const way of ways) {
    const last = groups.at(-1)
    if (last && comesTo(last[0]) === comesTo(way)) last.push(way)
    else groups.push([way])
  }
  return groups
}

/** What a way out does, whatever it is called. */
function comesTo({ consequence, work }: WayShown): string {
  return JSON.stringify([consequence, work])
}
