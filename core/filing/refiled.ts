import type { About } from '../work'
import { foldedName } from './checkFiling'

/** A heading or a category that was given another name. */
export interface Renamed {
  readonly part: 'heading' | 'category'
  readonly from: string
  readonly to: string
}

/** What is said of work, filed under the names as they are now; the same value where nothing of it was renamed. */
export function refiled(about: About, renamed: readonly Renamed[]): About {
  return renamed.reduce(
    (now, { part, from, to }) =>
      foldedName(about[part]) === foldedName(from) && about[part].trim() !== ''
        ? { ...now, [part]: to }
        : now,
    about,
  )
}
