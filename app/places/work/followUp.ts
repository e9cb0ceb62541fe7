import type { NamedPiece } from '#core/attempts'
import { NO_WINDOW } from '#core/availability'
import type { CountedFrom, WindowSpec } from '#core/availability'
import type { ClassId, ResourceId } from '#core/base'
import { asOneWork } from '#core/followUp'
import type { Accepted } from '#core/followUp'
import { NO_ABOUT } from '#core/work'
import type { Preset } from '#core/work'
import type { DraftInWork } from './draft'
import type { StartingCard } from './pieceRules'
import { startingDraft } from './starting'

/** What was accepted after a check, and how it is given. */
export interface FollowUpGiven {
  readonly classId: ClassId
  readonly accepted: readonly Accepted[]
  readonly cardOf: ReadonlyMap<ResourceId, StartingCard>
  /** A second check, for everybody who is given something, when that is done; null: none. */
  readonly then: StartingCard | null
  readonly title: string
  readonly category: string
  readonly followsUp: NamedPiece
  readonly window: WindowSpec
}

/** One work in which each learner has only what was accepted for them. */
export function followUpDraft(of: FollowUpGiven, presets: readonly Preset[]): DraftInWork {
  const { learnerIds, pieces } = asOneWork(of.accepted)
  const given = pieces.flatMap((p) => {
    const card = of.cardOf.get(p.pieceId)
    return card ? [{ card, onlyIds: p.onlyIds }] : []
  })
  const all = of.then ? [...given, { card: of.then, onlyIds: undefined }] : given
  const start = { cards: all.map((g) => g.card), lesson: null, classId: of.classId, learnerIds }
  const classes = [{ id: of.classId, planId: null }]
  const draft = startingDraft(start, { classes, planOf: () => null, isOver: () => false, presets })
  return {
    ...draft,
    title: of.title,
    pieces: draft.pieces.map((piece, i) => {
      const onlyIds = all[i]?.onlyIds
      const after = { ...piece, when: 'after' as const }
      return onlyIds ? { ...after, onlyIds } : after
    }),
    about: { ...NO_ABOUT, category: of.category, followsUp: of.followsUp },
    inTurn: of.then !== null,
    window: of.window,
  }
}

/** At which meetings to come follow-up opens and is due, counted from 1; null: at once, and without an end. */
export interface WindowInMeetings {
  readonly opens: number | null
  readonly due: number | null
}

/** The moments of it: it opens when a meeting begins, and is due when one begins. */
export function windowInMeetings({ opens, due }: WindowInMeetings, from: CountedFrom): WindowSpec {
  const meeting = (count: number) => ({ kind: 'meeting', ...from, count, at: 'class-start' }) as const
  return {
    ...NO_WINDOW,
    opens: opens === null ? null : meeting(opens),
    due: due === null ? null : meeting(due),
  }
}
