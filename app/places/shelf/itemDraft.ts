import { asId } from '#core/base'
import type { ItemId } from '#core/base'
import type { Item, ItemKind } from '#core/library'
import { readNumber } from '#core/attempts'

/** One question while it is being written: everything as typed. */
export interface ItemDraft {
  kind: ItemKind
  stem: string
  points: number
  feedback: string
  options: { text: string; right: boolean }[]
  value: string
  tolerance: string
  unit: string
  accepted: string
}

/** An empty question of one kind. */
export function newDraft(kind: ItemKind = 'single'): ItemDraft {
  return {
    kind,
    stem: '',
    points: 1,
    feedback: '',
    options: [
      { text: '', right: true },
      { text: '', right: false },
      { text: '', right: false },
    ],
    value: '',
    tolerance: '0',
    unit: '',
    accepted: '',
  }
}

/** The question as the shelf keeps it; what cannot be read becomes something the checks refuse by name. */
export function toItem(draft: ItemDraft, number: number): Item {
  const base = {
    id: asId<ItemId>(`q${number}`),
    stem: draft.stem.trim(),
    points: Number(draft.points),
    standard: null,
    difficulty: 2,
    feedback: draft.feedback.trim(),
  }
  const options = draft.options
    .map((o, i) => ({ id: 'abcdefghijkl'[i] as string, text: o.text.trim(), right: o.right }))
    .filter((o) => o.text !== '')
  const plain = options.map(({ id, text }) => ({ id, text }))
  const rights = options.filter((o) => o.right).map((o) => o.id)
  switch (draft.kind) {
    case 'single':
      return { ...base, kind: 'single', options: plain, right: rights[0] ?? '' }
    case 'multiple':
      return { ...base, kind: 'multiple', options: plain, right: rights }
    case 'numeric':
      return {
        ...base,
        kind: 'numeric',
        value: readNumber(draft.value, draft.unit) ?? Number.NaN,
        tolerance: readNumber(draft.tolerance, draft.unit) ?? Number.NaN,
        unit: draft.unit.trim(),
      }
    case 'text':
      return {
        ...base,
        kind: 'text',
        accepted: draft.accepted
          .split(/[;\n]/)
          .map((a) => a.trim())
          .filter(Boolean),
      }
  }
}
