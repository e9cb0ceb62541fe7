import type { Moment, Overrides } from '#core/availability'
import type { ClassId } from '#core/base'
import type { Caution } from '#core/work'
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
    case 'opens-at-once':
    case 'past-term':
    case 'in-several':
      return null
  }
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
