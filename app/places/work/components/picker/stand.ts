import type { Standing } from '#core/evidence'

/** How a learner stands on the standards of the pieces, and what they have to hand in this week. */
export interface Stand {
  readonly standing: Standing | null
  readonly minutes: number
}
