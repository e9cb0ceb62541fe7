import { asId } from '#core/base'
import type { ItemId } from '#core/base'
import { KINDS, optionsOf, readNumber, rightOptions } from '#core/library'
import type { FieldType, Fields, Item, ItemKind } from '#core/library'

/** One question while it is being written: everything as typed. */
export interface ItemDraft {
  /** What a question that is changed has besides what is written here; its name is what answers count for. */
  kept?: Pick<Item, 'id' | 'standard'>
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

/** The fields of a kind that are typed on a line, in order; options and what is right among them are not. */
export function typedFieldsOf(
  kind: ItemKind,
): readonly { readonly name: string; readonly type: FieldType }[] {
  const fields: Fields = KINDS[kind].fields
  return Object.entries(fields)
    .filter(([, type]) => type !== 'options' && type !== 'option' && type !== 'option-set')
    .map(([name, type]) => ({ name, type }))
}

/** A question of the shelf as it is written again. */
export function toDraft(item: Item): ItemDraft {
  const fields: Fields = KINDS[item.kind].fields
  const values = item as unknown as Readonly<Record<string, unknown>>
  const rights = rightOptions(item)
  const options = optionsOf(item).map(({ id, text }) => ({ text, right: rights.includes(id) }))
  const typed = Object.entries(fields).flatMap(([name, type]) => {
    if (type === 'options' || type === 'option' || type === 'option-set') return []
    const value = values[name]
    return [[name, Array.isArray(value) ? value.join('; ') : String(value ?? '')] as const]
  })
  const { id, standard, difficulty, kind, stem, points, feedback, hint } = item
  return {
    kept: { id, standard },
    kind,
    stem,
    points,
    difficulty,
    feedback,
    hint,
    options: options.length > 0 ? options : newDraft(kind).options,
    typed: { ...newDraft(kind).typed, ...Object.fromEntries(typed) },
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
    return toItem(draft, { id: asId<ItemId>(`q${number}`), standard: null })
  })
}

/** The question as the shelf keeps it; what cannot be read becomes something the checks refuse by name. */
function toItem(draft: ItemDraft, kept: NonNullable<ItemDraft['kept']>): Item {
  const fields: Fields = KINDS[draft.kind].fields
  const own = Object.entries(fields).map(([name, type]) => [name, valueOf(draft, name, type)])
  return {
    ...kept,
    kind: draft.kind,
    stem: draft.stem.trim(),
    points: Number(draft.points),
    difficulty: draft.difficulty,
    feedback: draft.feedback.trim(),
    hint: draft.hint.trim(),
    ...Object.fromEntries(own),
  } as unknown as Item
}

function valueOf(draft: ItemDraft, name: string, type: FieldType): unknown {
  const options = draft.options
    .map((o, i) => ({ id: 'abcdefghijkl'[i] as string, text: o.text.trim(), right: o.right }))
    .filter((o) => o.text !== '')
  const rights = options.filter((o) => o.right).map((o) => o.id)
  const typed = (draft.typed[name] ?? '').trim()
  switch (type) {
    case 'options':
      return options.map(({ id, text }) => ({ id, text }))
    case 'option':
      return rights[0] ?? ''
    case 'option-or-none':
      return rights[0] ?? null
    case 'option-set':
      return rights
    case 'number':
      return readNumber(typed, draft.typed.unit ?? '') ?? Number.NaN
    case 'lines':
      return typed
        .split(/[;\n]/)
        .map((a) => a.trim())
        .filter(Boolean)
    case 'unit':
    case 'typed-number':
    case 'line':
      return typed
  }
}
