import { asksAgain } from '#core/attempts'
import type { AttemptRules, ItemChoice, Share } from '#core/attempts'
import { isInOrder } from '#core/availability'
import type { Anchor, Moment, Overrides, Window, WindowField } from '#core/availability'
import type { Zone } from '#core/calendar'
import type { ClassId, PieceId, UserId } from '#core/base'
import type { Caution } from '#core/lastLook'
import { rulesOf } from '#core/work'
import { sayDay } from '~/shared/words/times'
import { withMoment } from './draft'
import type { DraftInWork } from './draft'

/** What a caution offers, in one press. */
export interface Mend {
  readonly word: string
  readonly apply: (draft: DraftInWork) => DraftInWork
}

/** What a mend needs to know of the classes. */
export interface MendContext {
  readonly className: (id: ClassId) => string
  /** How a class's window comes out now; null: it does not stand. */
  readonly windowOf: (id: ClassId) => Window | null
  readonly zone: Zone
}

/** The mend of a caution; null where only the teacher can know, or where it would help nothing. */
export function mendOf(caution: Caution, draft: DraftInWork, context: MendContext): Mend | null {
  switch (caution.code) {
    case 'due-in-past':
    case 'covered':
    case 'already-given': {
      const { classId } = caution
      if (without(draft, classId).targets.length === 0) return null
      return { word: `Leave ${context.className(classId)} out`, apply: (d) => without(d, classId) }
    }
    case 'tight':
      return oneMeetingLater(draft, caution.classId)
    case 'no-meeting-on-due-day': {
      const { next, classId } = caution
      if (next === null) return null
      const moment = { kind: 'time' as const, ...next }
      return dueAt('Due at the end of the next meeting', { classId, moment }, context)
    }
    case 'drawn-short': {
      const { pieceId, has } = caution
      return has === 0
        ? { word: 'Give all questions', apply: (d) => withItems(d, pieceId, { kind: 'all' }) }
        : shorter(caution)
    }
    case 'left-out': {
      const { classId } = caution
      return { word: `Give it to all of ${context.className(classId)}`, apply: (d) => withClass(d, classId) }
    }
    case 'blocks-test':
      return { word: 'Let other work go on meanwhile', apply: (d) => ({ ...d, isFirst: false }) }
    case 'two-tests':
    case 'full-day':
      return oneMeetingLater(draft, caution.classId)
    case 'heavy-week': {
      const { better, classId } = caution
      if (better === null) return null
      return dueAt(`Due ${sayDay(better)}`, { classId, moment: { kind: 'day', on: better } }, context)
    }
    case 'waits': {
      const { learnerIds } = caution
      return { word: 'Give it all the same', apply: (d) => evenIfFull(d, learnerIds) }
    }
    case 'waited-in-vain': {
      const { learnerIds } = caution
      return { word: 'Leave them out', apply: (d) => excepting(d, learnerIds) }
    }
    case 'never-shown':
      return shownAfterHandIn(caution, draft)
    case 'gives-away': {
      const { pieceId } = caution
      const answers = closesEverywhere(draft, context) ? ('close' as const) : ('never' as const)
      return {
        word: answers === 'close' ? 'Show them once it has closed' : 'Do not show them',
        apply: (d) => withRules(d, pieceId, { answers }),
      }
    }
    case 'short-time': {
      const { pieceId, minutes } = caution
      return {
        word: `Give ${minutes} minutes`,
        apply: (d) => withRules(d, pieceId, { timeLimitMinutes: minutes }),
      }
    }
    case 'opens-at-once':
    case 'past-term':
    case 'in-several':
    case 'many-pieces':
      return null
  }
}

/** Shown after each hand-in; right answers not at all where a further try asks the same. */
function shownAfterHandIn(
  { pieceId, what }: Extract<Caution, { readonly code: 'never-shown' }>,
  draft: DraftInWork,
): Mend {
  const piece = draft.pieces.find((p) => p.id === pieceId)
  const isAskedAgain = piece !== undefined && asksAgain(rulesOf(draft, piece))
  const answers = isAskedAgain ? ('never' as const) : ('submission' as const)
  const scores = { feedback: 'submission' as const }
  const rules = { ...(what === 'answers' ? {} : scores), ...(what === 'scores' ? {} : { answers }) }
  const isHidden = isAskedAgain && what !== 'scores'
  const word = what === 'answers' ? 'Do not show them' : 'Show scores after each hand-in, no right answers'
  return {
    word: isHidden ? word : 'Show them after each hand-in',
    apply: (d) => withRules(d, pieceId, rules),
  }
}

/** Whether it closes in each of its classes. */
function closesEverywhere({ targets }: DraftInWork, { windowOf }: MendContext): boolean {
  const classIds = targets.flatMap((t) => (t.target.kind === 'class' ? [t.target.classId] : []))
  return classIds.length > 0 && classIds.every((id) => (windowOf(id)?.closes ?? null) !== null)
}

/** A class's due date on a day or at a time, where its window still stands with it: after opening, before closing. */
function dueAt(
  word: string,
  { classId, moment }: { readonly classId: ClassId; readonly moment: Exclude<Moment, Anchor> },
  { windowOf, zone }: MendContext,
): Mend | null {
  const window = windowOf(classId)
  if (window === null) return null
  const due = zone.at(moment.on, moment.kind === 'day' ? 24 * 60 : moment.minuteOfDay)
  const closes = window.closes === window.due ? null : window.closes
  if (!isInOrder({ ...window, due, closes })) return null
  return { word, apply: (d) => withDue(d, classId, moment) }
}

/** A class's due date one meeting later, and its closing with it where that hangs on a lesson, too. */
function oneMeetingLater(draft: DraftInWork, classId: ClassId): Mend | null {
  const due = momentIn(draft, classId, 'due')
  const closes = momentIn(draft, classId, 'closes')
  if (due?.kind !== 'anchor' || due.step !== 'meetings') return null
  const word = 'Due one meeting later'
  const later = { ...due, offset: due.offset + 1 }
  if (closes === null) return { word, apply: (d) => withDue(d, classId, later) }
  if (closes.kind !== 'anchor' || closes.step !== 'meetings') return null
  const closesLater = { ...closes, offset: closes.offset + 1 }
  return { word, apply: (d) => withOwn(withDue(d, classId, later), classId, 'closes', closesLater) }
}

/** Learners get it whatever they have open. */
function evenIfFull(draft: DraftInWork, ids: readonly UserId[]): DraftInWork {
  return { ...draft, overCeiling: [...new Set([...draft.overCeiling, ...ids])] }
}

function excepting(draft: DraftInWork, ids: readonly UserId[]): DraftInWork {
  return { ...draft, exceptIds: [...new Set([...draft.exceptIds, ...ids])] }
}

/** Asks for no more items than there are. */
function shorter({ pieceId, has }: Extract<Caution, { readonly code: 'drawn-short' }>): Mend {
  return {
    word: `Draw ${has}`,
    apply: (d) => {
      const piece = d.pieces.find((p) => p.id === pieceId)
      if (!piece) return d
      const { items } = rulesOf(d, piece)
      if (items.kind === 'adaptive') return withItems(d, pieceId, { ...items, most: has })
      if (items.kind === 'drawn') return withItems(d, pieceId, { ...items, shares: cutTo(items.shares, has) })
      return d
    },
  }
}

/** Shares that ask for so many in all: the last ones ask for less. */
function cutTo(shares: readonly Share[], most: number): readonly Share[] {
  let left = most
  return shares.flatMap((share) => {
    const count = Math.min(share.count, left)
    left -= count
    return count === 0 ? [] : [{ ...share, count }]
  })
}

const withItems = (draft: DraftInWork, id: PieceId, items: ItemChoice) => withRules(draft, id, { items })

/** Rules of a piece, kept where it keeps others of its own, else where the work has them. */
function withRules(draft: DraftInWork, id: PieceId, rules: Partial<AttemptRules>): DraftInWork {
  const piece = draft.pieces.find((p) => p.id === id)
  const keys = Object.keys(rules) as (keyof AttemptRules)[]
  const isOwn = piece !== undefined && keys.some((key) => piece.rules[key] !== undefined)
  if (!isOwn) return { ...draft, rules: { ...draft.rules, ...rules } }
  const pieces = draft.pieces.map((p) => (p.id === id ? { ...p, rules: { ...p.rules, ...rules } } : p))
  return { ...draft, pieces }
}

function withClass(draft: DraftInWork, classId: ClassId): DraftInWork {
  const target = { target: { kind: 'class' as const, classId }, overrides: {} }
  return { ...draft, targets: [target, ...draft.targets] }
}

const isClass = (t: DraftInWork['targets'][number], id: ClassId) =>
  t.target.kind === 'class' && t.target.classId === id

function overridesIn(draft: DraftInWork, id: ClassId): Overrides {
  return draft.targets.find((t) => isClass(t, id))?.overrides ?? {}
}

function momentIn(draft: DraftInWork, id: ClassId, field: WindowField): Moment | null {
  const own = overridesIn(draft, id).window?.[field]
  return own === undefined ? draft.window[field] : own
}

function without(draft: DraftInWork, id: ClassId): DraftInWork {
  return { ...draft, targets: draft.targets.filter((t) => !isClass(t, id)) }
}

const withDue = (draft: DraftInWork, id: ClassId, due: Moment) => withOwn(draft, id, 'due', due)

/** A moment of a class's own. */
function withOwn(draft: DraftInWork, id: ClassId, field: WindowField, moment: Moment): DraftInWork {
  return {
    ...draft,
    targets: draft.targets.map((t) =>
      isClass(t, id) ? { ...t, overrides: withMoment(t.overrides, field, moment) } : t,
    ),
  }
}
