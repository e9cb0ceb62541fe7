import { fit, withCuts } from '../../fit'
import type { FitInput } from '../../fit'
import type { ClassPacing } from '../../plan'
import { stepBack } from '../../track'
import { pushedLessons } from './wayOut'
import type { Bitten, WayOut } from './wayOut'

/**
 * The exact fit within the stretch: the cheapest shortenings and omissions that win back what was lost,
 * keeping its slack.
 */
export const tighten: WayOut = (bitten) => winBack(bitten, 'all')

/**
 * Cuts within the stretch until it is as long as before; when that cannot be, until it just fits; else as far
 * as it goes.
 */
export function winBack(bitten: Bitten, by: NonNullable<FitInput['by']>): ClassPacing {
  const { after, to, behind, slackBeforeHalves } = bitten
  const input: FitInput = { among: pushedLessons(bitten), by }
  const at = stepBack(after.course.track, to, slackBeforeHalves)
  const kept = fit(after.course, { ...input, endBefore: { index: behind, at } })
  return withCuts(after.pacing, kept.fits ? kept.cuts : fit(after.course, input).cuts)
}
