import { READY_RULES, readyRulesFor } from '../attempts'
import { keyOf } from '../audience'
import type { Target } from '../audience'
import { withWindow } from '../availability'
import type { WindowSpec } from '../availability'
import { same } from '../base'
import type { IsoDay, ResourceId } from '../base'
import type { ResourceKind } from '../library'
import { NO_ABOUT, plainPiece, rulesSuiting } from '../work'
import type { AssignmentTarget, Draft } from '../work'
import { staysOf, throughOf } from './days'
import type { LaidDays, PlacedDays } from './types'

/** What is laid: the piece in the form that is given out. */
export interface PieceToLay {
  readonly id: ResourceId
  readonly revision: number
  readonly title: string
  readonly kind: ResourceKind
}

/** On which days the class of a target meets, by the target's key. */
export type MeetingDays = ReadonlyMap<string, readonly IsoDay[]>

/**
 * A piece as work for classes and groups from a day on: for all of them the same day, and for each through the n-th
 * of its own meetings afterwards.
 */
export function placedDraft(
  piece: PieceToLay,
  of: {
    readonly on: IsoDay
    readonly stays: number | null
    readonly targets: readonly Target[]
    readonly meetingDays: MeetingDays
  },
): Draft {
  const { on, stays, targets, meetingDays } = of
  const daysOf = (target: Target | undefined): PlacedDays => {
    const meets = target ? meetingDays.get(keyOf(target)) : undefined
    return { opensOn: on, throughOn: throughOf(on, meets ?? [], stays) }
  }
  const window = { listed: null, putAway: null, ...momentsOf(daysOf(targets[0])) }
  return {
    pieces: [plainPiece({ resourceId: piece.id, revision: piece.revision })],
    title: piece.title,
    note: '',
    about: NO_ABOUT,
    isFirst: false,
    inTurn: false,
    window,
    rules: rulesSuiting(READY_RULES[readyRulesFor(piece.kind)], piece.kind),
    targets: targets.map((target) => lyingAt({ target, overrides: {} }, daysOf(target), window)),
    exceptIds: [],
    newcomers: true,
    teams: [],
    overCeiling: [],
  }
}

/**
 * Where work lies for a target by whole days; null where a moment of it hangs on a lesson, has a time of its own, or
 * where it is listed, closes or is put away at another time than it opens and is due.
 */
export function placedFor(draft: Pick<Draft, 'window' | 'targets'>, key: string): LaidDays | null {
  const of = draft.targets.find((t) => keyOf(t.target) === key)
  if (!of) return null
  const { listed, opens, due, closes, putAway } = { ...draft.window, ...of.overrides.window }
  if (opens?.kind !== 'day' || (due !== null && due.kind !== 'day')) return null
  if (listed !== null || putAway !== null || (closes !== null && !same(closes, due))) return null
  return { opensOn: opens.on, throughOn: due?.on ?? null, isOwn: of.overrides.window?.opens !== undefined }
}

/**
 * Work on another day: for all that lie together, or for one target alone, which goes with the others no longer until
 * it lies on their day again. For each it stays over as many meetings as before. Null where it does not lie on a day
 * for that target.
 */
export function movedTo(
  draft: Draft,
  to: { readonly on: IsoDay; readonly key: string; readonly alone: boolean },
  meetingDays: MeetingDays,
): Draft | null {
  const { on, key } = to
  const lead = placedFor(draft, key)
  if (lead === null) return null
  // one that was moved alone goes on alone
  const isAlone = to.alone || lead.isOwn
  const daysOf = (of: string, was: LaidDays): PlacedDays => {
    const meets = meetingDays.get(of) ?? []
    return { opensOn: on, throughOn: throughOf(on, meets, staysOf(was, meets)) }
  }
  const window = isAlone ? draft.window : { ...draft.window, ...momentsOf(daysOf(key, lead)) }
  const targets = draft.targets.map((t): AssignmentTarget => {
    const own = keyOf(t.target)
    const was = placedFor(draft, own)
    const goesAlong = was !== null && (isAlone ? own === key : !was.isOwn)
    return goesAlong ? lyingAt(t, daysOf(own, was), window) : t
  })
  return { ...draft, window, targets }
}

/** Work without one of its targets; null when that was the only one. */
export function takenFrom(draft: Draft, key: string): Draft | null {
  const targets = draft.targets.filter((t) => keyOf(t.target) !== key)
  return targets.length === 0 ? null : { ...draft, targets }
}

function momentsOf({ opensOn, throughOn }: PlacedDays): Pick<WindowSpec, 'opens' | 'due' | 'closes'> {
  const opens = { kind: 'day', on: opensOn } as const
  const due = throughOn === null ? null : ({ kind: 'day', on: throughOn } as const)
  return { opens, due, closes: due }
}

/** A target with days of its own as far as it needs any: on the day of all, at most its last one. */
function lyingAt(of: AssignmentTarget, days: PlacedDays, shared: WindowSpec): AssignmentTarget {
  const own = momentsOf(days)
  const { due, closes } = own
  if (!same(own.opens, shared.opens)) return { ...of, overrides: withWindow(of.overrides, own) }
  const ends = same(due, shared.due) ? {} : { due, closes }
  return { ...of, overrides: withWindow(of.overrides, ends) }
}
