import type { WorkState } from '../availability'
import type { AssignmentState } from './types'

export const NEEDS = ['to-publish', 'late', 'open', 'coming-up', 'done', 'withdrawn'] as const
/** What an assignment needs of its teacher, the most urgent first. */
export type Need = (typeof NEEDS)[number]

/**
 * What an assignment needs, from its own state and its states in the classes it goes to; with what is only
 * recommended nobody is late.
 */
export function needOf(state: AssignmentState, inClasses: readonly WorkState[], isRecommended = false): Need {
  if (state === 'held') return 'to-publish'
  if (state === 'withdrawn') return 'withdrawn'
  if (inClasses.includes('late')) return isRecommended ? 'open' : 'late'
  if (inClasses.includes('open')) return 'open'
  return inClasses.some((s) => s === 'coming-up' || s === 'not-listed') ? 'coming-up' : 'done'
}

/** More urgent first. */
export function byNeed(a: { readonly need: Need }, b: { readonly need: Need }): number {
  return NEEDS.indexOf(a.need) - NEEDS.indexOf(b.need)
}
