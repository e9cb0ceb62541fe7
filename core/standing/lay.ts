import { same } from '../base'
import type { ClassId } from '../base'
import type { Draft } from '../work'
import { STANDING_FIELDS } from './types'
import type { Offer, StandingField, StandingPiece, StandingSetting } from './types'

/** What standing work becomes in a class: all of it, for all of the class, with the moments of its own layout. */
export function draftFor(piece: StandingPiece, classId: ClassId): Draft {
  const { versions } = piece
  const target = { target: { kind: 'class' as const, classId }, overrides: {} }
  return {
    ...settingOfPiece(piece),
    targets: [versions === undefined ? target : { ...target, versions }],
    exceptIds: [],
    overCeiling: [],
    newcomers: true,
    teams: [],
  }
}

/** What of standing work a class makes its own. */
export function settingOfPiece(of: StandingSetting): StandingSetting {
  const { pieces, title, note, about, isFirst, inTurn, window, rules } = of
  return { pieces, title, note, about, isFirst, inTurn, window, rules }
}

/** What a class has of a piece: as it was laid, as it is there now (null: taken back), and whether it was answered. */
export interface Laid {
  readonly base: StandingSetting
  readonly copy: StandingSetting | null
}

/**
 * What the plan offers to a class. What the class changed in its own copy stays: only fields that it left as they
 * were laid are offered.
 * @param next the piece as the plan has it now; null: it was taken out of the plan.
 */
export function offerOf(next: StandingSetting | null, laid: Laid | null): Offer {
  if (laid === null) return next === null ? { kind: 'settled' } : { kind: 'new' }
  const { base, copy } = laid
  if (copy === null) return { kind: 'settled' }
  if (next === null) return { kind: 'gone' }
  const changed = STANDING_FIELDS.filter((f) => !same(next[f], base[f]) && !same(next[f], copy[f]))
  const isOwn = (f: StandingField) => !same(copy[f], base[f])
  const fields = changed.filter((f) => !isOwn(f))
  return fields.length === 0 ? { kind: 'settled' } : { kind: 'changed', fields, keeps: changed.filter(isOwn) }
}

/** A class's copy with what the plan changed since, but for what the class has made its own. */
export function withChanges<D extends StandingSetting>(
  copy: D,
  base: StandingSetting,
  next: StandingSetting,
): D {
  const taken = STANDING_FIELDS.filter((f) => same(copy[f], base[f])).map((f) => [f, next[f]])
  return { ...copy, ...Object.fromEntries(taken) }
}
