import type { Ground } from './resolveMoment'
import { resolveWindow } from './resolveWindow'
import { WINDOW_FIELDS } from './types'
import type { Moment, Window, WindowSpec } from './types'

/**
 * A window before and after its ground changed; `after` null: it can no longer stand, and stays where it was.
 */
export interface MovedWindow<Id> {
  readonly id: Id
  readonly before: Window
  readonly after: Window | null
}

/**
 * Which of a class's windows move when its ground changes. Only windows that hang on lessons or count meetings can
 * move; one that did not stand before is not listed.
 */
export function movedWindows<Id>(
  windows: readonly { readonly id: Id; readonly spec: WindowSpec }[],
  before: Ground,
  after: Ground,
): MovedWindow<Id>[] {
  const out: MovedWindow<Id>[] = []
  for (const { id, spec } of windows) {
    if (!WINDOW_FIELDS.some((f) => isOnMeetings(spec[f]))) continue
    const was = resolveWindow(spec, before)
    if (!was.ok) continue
    const next = resolveWindow(spec, after)
    if (!next.ok) out.push({ id, before: was.value, after: null })
    else if (WINDOW_FIELDS.some((f) => was.value[f] !== next.value[f]))
      out.push({ id, before: was.value, after: next.value })
  }
  return out
}

function isOnMeetings(moment: Moment | null): boolean {
  return moment?.kind === 'anchor' || moment?.kind === 'meeting'
}
