import type { ItemChoice, Share } from '#core/attempts'
import type { Moment, Overrides } from '#core/availability'
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

/** The mend of a caution; null where only the teacher can know. */
export function mendOf(
  caution: Caution,
  draft: DraftInWork,
  className: (id: ClassId) => string,
): Mend | null {
  switch (caution.code) {
    case 'due-in-past':
    case 'covered':
    case 'already-given': {
      const { classId } = caution
      return { word: `Leave ${className(classId)} out`, apply: (d) => without(d, classId) }
    }
    case 'tight': {
      const due = dueIn(draft, caution.classId)
      if (due?.kind !== 'anchor' || due.step !== 'meetings') return null
      const later = { ...due, offset: due.offset + 1 }
      return { word: 'Due one meeting later', apply: (d) => withDue(d, caution.classId, later) }
    }
    case 'no-meeting-on-due-day': {
      const { next, classId } = caution
      if (next === null) return null
      return {
        word: 'Due at the end of the next meeting',
        apply: (d) => withDue(d, classId, { kind: 'time', ...next }),
      }
    }
    case 'drawn-short': {
      const { pieceId, has } = caution
      return has === 0
        ? { word: 'Give all questions', apply: (d) => withItems(d, pieceId, { kind: 'all' }) }
        : shorter(caution)
    }
    case 'left-out': {
      const { classId } = caution
      return { word: `Give it to all of ${className(classId)}`, apply: (d) => withClass(d, classId) }
    }
    case 'blocks-test':
      return { word: 'Let other work go on meanwhile', apply: (d) => ({ ...d, isFirst: false }) }
    case 'two-tests':
    case 'full-day': {
      const { classId } = caution
      const due = dueIn(draft, classId)
      if (due?.kind !== 'anchor' || due.step !== 'meetings') return null
      const later = { ...due, offset: due.offset + 1 }
      return { word: 'Due one meeting later', apply: (d) => withDue(d, classId, later) }
    }
    case 'heavy-week': {
      const { better, classId } = caution
      if (better === null) return null
      return { word: `Due ${sayDay(better)}`, apply: (d) => withDue(d, classId, { kind: 'day', on: better }) }
    }
    case 'waits': {
      const { learnerIds } = caution
      return { word: 'Give it all the same', apply: (d) => evenIfFull(d, learnerIds) }
    }
    case 'waited-in-vain': {
      const { learnerIds } = caution
      return { word: 'Leave them out', apply: (d) => excepting(d, learnerIds) }
    }
    case 'opens-at-once':
    case 'past-term':
    case 'in-several':
    case 'many-pieces':
      return null
  }
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

/** A piece's choice of items, kept where its other rules are kept. */
function withItems(draft: DraftInWork, id: PieceId, items: ItemChoice): DraftInWork {
  const piece = draft.pieces.find((p) => p.id === id)
  const isOwn = piece?.rules.items !== undefined
  if (!isOwn) return { ...draft, rules: { ...draft.rules, items } }
  const pieces = draft.pieces.map((p) => (p.id === id ? { ...p, rules: { ...p.rules, items } } : p))
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

function dueIn(draft: DraftInWork, id: ClassId): Moment | null {
  const own = overridesIn(draft, id).window?.due
  return own === undefined ? draft.window.due : own
}

function without(draft: DraftInWork, id: ClassId): DraftInWork {
  return { ...draft, targets: draft.targets.filter((t) => !isClass(t, id)) }
}

/** A class's own due moment. */
function withDue(draft: DraftInWork, id: ClassId, due: Moment): DraftInWork {
  return {
    ...draft,
    targets: draft.targets.map((t) =>
      isClass(t, id) ? { ...t, overrides: withMoment(t.overrides, 'due', due) } : t,
    ),
  }
}
