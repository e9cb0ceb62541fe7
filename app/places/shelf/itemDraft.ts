import { asId } from '#core/base'
import type { ItemId } from '#core/base'
import { KINDS, fromTyped, isChosenAmong, optionsOf, rightOptions, toTyped } from '#core/library'
import type { FieldType, Fields, Item, ItemKind } from '#core/library'

/** One question while it is being written: everything as typed. */
export interface ItemDraft {
  /** What a question that is changed has besides what is written here; its name is what answers count for. */
  kept?: Pick<Item, 'id'>
  standard: string | null
  kind: ItemKind
  stem: string
  points: number
  /** 1 (easy) to 5. */
  difficulty: number
  feedback: string
  hint: string
  options: { text: string; right: boolean }[]
  /** Fields that are typed, by name. */
  typed: Record<string, string>
}

/** An empty question of one kind. */
export function newDraft(kind: ItemKind = 'single'): ItemDraft {
  return {
    standard: null,
    kind,
    stem: '',
    points: 1,
    difficulty: 2,
    feedback: '',
    hint: '',
    options: [
      { text: '', right: true },
      { text: '', right: false },
      { text: '', right: false },
    ],
    typed: { tolerance: '0' },
  }
}

/** A field that is typed: on a line, or on several. */
export interface TypedField {
  readonly name: string
  readonly type: FieldType
  readonly isLong: boolean
}

/** Fields that are written with another one: the key of an order, of pairs and of blanks stands in their text. */
const WRITTEN_WITH_ANOTHER: ReadonlySet<FieldType> = new Set([
  'option',
  'option-set',
  'option-order',
  'pairs',
  'accepted-in-blanks',
])
const LONG: ReadonlySet<FieldType> = new Set(['options', 'entries', 'passage', 'prose'])

/** The fields of a kind that are typed, in order; answers that are ticked as right are not. */
export function typedFieldsOf(kind: ItemKind): readonly TypedField[] {
  const fields: Fields = KINDS[kind].fields
  const isTicked = isChosenAmong({ kind })
  return Object.entries(fields)
    .filter(([name, type]) => !WRITTEN_WITH_ANOTHER.has(type) && name !== 'partners')
    .filter(([, type]) => !(isTicked && type === 'options'))
    .map(([name, type]) => ({ name, type, isLong: LONG.has(type) }))
}

/** A question of the shelf as it is written again. */
export function toDraft(item: Item): ItemDraft {
  const empty = newDraft(item.kind)
  const rights = rightOptions(item)
  const options = isChosenAmong(item)
    ? optionsOf(item).map(({ id, text }) => ({ text, right: rights.includes(id) }))
    : []
  const { id, standard, difficulty, kind, stem, points, feedback, hint } = item
  return {
    kept: { id },
    standard,
    kind,
    stem,
    points,
    difficulty,
    feedback,
    hint,
    options: options.length > 0 ? options : empty.options,
    typed: { ...empty.typed, ...toTyped(item) },
  }
}

/** Questions as the shelf keeps them; those that are new get names that none of the others has. */
export function toItems(drafts: readonly ItemDraft[]): Item[] {
  const taken = new Set<string>(drafts.flatMap((d) => d.kept?.id ?? []))
  return drafts.map((draft, i) => {
    let number = i + 1
    if (draft.kept) return toItem(draft, draft.kept)
    while (taken.has(`q${number}`)) number++
    taken.add(`q${number}`)
    return toItem(draft, { id: asId<ItemId>(`q${number}`) })
  })
}

/** The question as the shelf keeps it; what cannot be read becomes something the checks refuse by name. */
function toItem(draft: ItemDraft, kept: NonNullable<ItemDraft['kept']>): Item {
  const base = {
    ...kept,
    standard: draft.standard,
    stem: draft.stem.trim(),
    points: Number(draft.points),
    difficulty: draft.difficulty,
    feedback: draft.feedback.trim(),
    hint: draft.hint.trim(),
  }
  const text = (name: string) => (draft.typed[name] ?? '').trim()
  return fromTyped(draft.kind, base, { text, options: draft.options })
}
