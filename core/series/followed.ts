import { keyOf } from '../audience'
import { withWindow } from '../availability'
import { same } from '../base'
import type { AssignmentTarget, Draft } from '../work'

/**
 * A row's work after its series changed: days, recipients and rules where the series changed them. All else stays as
 * the work has it, such as what learners were given there besides.
 * @param work as it stands; `had` what the series made of the row before (null: nothing), `next` what it makes now
 */
export function followed<W extends Draft>(work: W, had: Draft | null, next: Draft): W {
  return {
    ...work,
    window: same(had?.window, next.window) ? work.window : next.window,
    rules: same(had?.rules, next.rules) ? work.rules : next.rules,
    targets: targetsAfter(work.targets, had?.targets ?? [], next.targets),
  }
}

function targetsAfter(
  stand: readonly AssignmentTarget[],
  had: readonly AssignmentTarget[],
  next: readonly AssignmentTarget[],
): readonly AssignmentTarget[] {
  const before = byKey(had)
  const after = byKey(next)
  const known = byKey(stand)
  const stays = stand.filter((t) => after.has(keyOf(t.target)) || !before.has(keyOf(t.target)))
  const added = next.filter((t) => !known.has(keyOf(t.target)))
  return [...stays, ...added].map((own) => {
    const key = keyOf(own.target)
    const days = after.get(key)?.overrides.window
    const isAsBefore = !after.has(key) || same(before.get(key)?.overrides.window, days)
    return isAsBefore ? own : { ...own, overrides: withWindow(own.overrides, days ?? {}) }
  })
}

function byKey(targets: readonly AssignmentTarget[]): ReadonlyMap<string, AssignmentTarget> {
  return new Map(targets.map((t) => [keyOf(t.target), t]))
}
