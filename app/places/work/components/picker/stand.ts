import type { MeanOnStandards } from '#core/evidence'

/** How a learner stands on the standards of the pieces, and what they have to hand in this week. */
export interface Stand {
  readonly standing: MeanOnStandards | null
  readonly minutes: number
  /** How many pieces of the work's category they have open, of how many they may; null: as many as come. */
  readonly open: { readonly pieces: number; readonly most: number } | null
}
