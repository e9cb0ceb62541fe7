export const PLACES = ['now', 'next', 'done'] as const
/** Where a learner finds a piece: to do now, coming up, or behind them. */
export type Place = (typeof PLACES)[number]

/** Work in progress is always now; once handed in, a further try is offered from done. */
export function placeOf(of: {
  readonly notYetOpen: boolean
  readonly over: boolean
  readonly inProgress: boolean
  readonly handedIn: boolean
}): Place {
  if (of.inProgress) return 'now'
  if (of.notYetOpen) return 'next'
  return of.handedIn || of.over ? 'done' : 'now'
}
