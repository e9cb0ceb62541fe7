import { fit, withCuts } from '../../fit'
import { pushedLessons } from './wayOut'
import type { WayOut } from './wayOut'

/** Fixed dates stay: free meetings in front of the next one are eaten, and buffers as far as needed. */
export const useSlack: WayOut = (bitten) => {
  const { after } = bitten
  return withCuts(after.pacing, fit(after.course, { among: pushedLessons(bitten), by: 'buffers' }).cuts)
}
