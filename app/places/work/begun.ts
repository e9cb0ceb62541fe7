import type { Instant, LessonId } from '#core/base'
import type { DraftInWork } from './draft'

/** What was chosen in the composer and neither published nor held, as this machine keeps it. */
export interface Begun {
  /** Where it was begun: the address with all that it says. */
  readonly address: string
  /** Of work that is changed, as it stood; null: it is new. */
  readonly version: number | null
  readonly draft: DraftInWork
  readonly lesson: LessonId | null
  readonly at: Instant
}

/** As many as are kept, the latest first. */
export const MOST_BEGUN = 5
/** What is older is offered, not gone on with: its days may have passed. */
const FRESH = 12 * 3600_000

/** What was begun at an address, of the same version of its work; null: nothing. */
export function begunAt(
  all: readonly Begun[],
  { address, version }: Pick<Begun, 'address' | 'version'>,
): Begun | null {
  return all.find((b) => b.address === address && b.version === version) ?? null
}

/** All that is kept, with one more in front in the place of what was begun there before. */
export function withBegun(all: readonly Begun[], begun: Begun): readonly Begun[] {
  return [begun, ...without(all, begun.address)].slice(0, MOST_BEGUN)
}

/** All that is kept but what was begun at an address. */
export function without(all: readonly Begun[], address: string): readonly Begun[] {
  return all.filter((b) => b.address !== address)
}

/** Whether it is gone on with at once. */
export function isFresh({ at }: Begun, now: Instant): boolean {
  return now - at < FRESH
}
