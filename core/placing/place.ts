import { READY_RULES, readyRulesFor } from '../attempts'
import { keyOf } from '../audience'
import type { Target } from '../audience'
import type { WindowSpec } from '../availability'
import type { IsoDay, ResourceId } from '../base'
import type { ResourceKind } from '../library'
import { NO_ABOUT, plainPiece, rulesSuiting } from '../work'
import type { AssignmentTarget, Draft } from '../work'
import { staysOf, throughOf } from './days'
import type { Placed, PlacedDays } from './types'

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
  const through = (target: Target) => throughOf(on, meetingDays.get(keyOf(target)) ?? [], stays)
  const [first] = targets
  const shared: PlacedDays = { opensOn: on, throughOn: first ? through(first) : null }
  return {
    pieces: [plainPiece({ resourceId: piece.id, revision: piece.revision })],
    title: piece.title,
    note: '',
    about: NO_ABOUT,
    isFirst: false,
    inTurn: false,
    window: asWindow(shared),
    rules: rulesSuiting(READY_RULES[readyRulesFor(piece.kind)], piece.kind),
    targets: targets.map((target) => asTarget({ target, overrides: {} }, through(target), shared)),
    exceptIds: [],
    newcomers: true,
    teams: [],
    overCeiling: [],
  }
}

/**
 * Where work lies for a target by whole days; null where a moment of it hangs on a lesson, or has a time of its own.
 */
export function placedFor(draft: Pick<Draft, 'window' | 'targets'>, key: string): Placed | null {
  const of = draft.targets.find((t) => keyOf(t.target) === key)
  if (!of) return null
  const { opens, due } = { ...draft.window, ...of.overrides.window }
  if (opens?.kind !== 'day' || (due !== null && due.kind !== 'day')) return null
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
  const { on, key, alone } = to
  const moved = placedFor(draft, key)
  if (moved === null) return null
  // one that was moved alone goes on alone
  const isAlone = alone || moved.isOwn
  const days = (t: AssignmentTarget): PlacedDays | null => {
    const was = placedFor(draft, keyOf(t.target))
    const meets = meetingDays.get(keyOf(t.target)) ?? []
    return was && { opensOn: on, throughOn: throughOf(on, meets, staysOf(was, meets)) }
  }
  const goesAlong = (t: AssignmentTarget) =>
    isAlone ? keyOf(t.target) === key : placedFor(draft, keyOf(t.target))?.isOwn === false
  if (isAlone) {
    const targets = draft.targets.map((t) => {
      const own = goesAlong(t) ? days(t) : null
      if (own === null) return t
      const shared = sharedDays(draft)
      // back on the day of the others it goes along with them again
      return shared?.opensOn === on
        ? asTarget(t, own.throughOn, shared)
        : { ...t, overrides: { ...t.overrides, window: momentsOf(own) } }
    })
    return { ...draft, targets }
  }
  const lead = draft.targets.find((t) => keyOf(t.target) === key)
  const shared = (lead && days(lead)) ?? { opensOn: on, throughOn: null }
  const targets = draft.targets.map((t) => {
    const own = goesAlong(t) ? days(t) : null
    return own ? asTarget(t, own.throughOn, shared) : t
  })
  return { ...draft, window: { ...draft.window, ...momentsOf(shared) }, targets }
}

/** Work without one of its targets; null when that was the only one. */
export function takenFrom(draft: Draft, key: string): Draft | null {
  const targets = draft.targets.filter((t) => keyOf(t.target) !== key)
  return targets.length === 0 ? null : { ...draft, targets }
}

/** Where those lie that were not moved alone. */
function sharedDays({ window: { opens, due } }: Draft): PlacedDays | null {
  if (opens?.kind !== 'day') return null
  return { opensOn: opens.on, throughOn: due?.kind === 'day' ? due.on : null }
}

function momentsOf({ opensOn, throughOn }: PlacedDays): Pick<WindowSpec, 'opens' | 'due' | 'closes'> {
  const opens = { kind: 'day', on: opensOn } as const
  const due = throughOn === null ? null : ({ kind: 'day', on: throughOn } as const)
  return { opens, due, closes: due }
}

function asWindow(days: PlacedDays): WindowSpec {
  return { listed: null, putAway: null, ...momentsOf(days) }
}

/** A target that lies with the others: of its own it has at most its last day. */
function asTarget(of: AssignmentTarget, throughOn: IsoDay | null, shared: PlacedDays): AssignmentTarget {
  const { window: _, ...overrides } = of.overrides
  if (throughOn === shared.throughOn) return { ...of, overrides }
  const { due, closes } = momentsOf({ opensOn: shared.opensOn, throughOn })
  return { ...of, overrides: { ...overrides, window: { due, closes } } }
}
