import { asId } from '#core/base'
import type { ItemId } from '#core/base'
import {
  KINDS,
  blanksAsTyped,
  blanksOf,
  matchingOf,
  optionsOf,
  orderingOf,
  readNumber,
  rightOptions,
} from '#core/library'
import type { FieldType, Fields, Item, ItemKind, Option } from '#core/library'

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
  const isTicked = kind === 'single' || kind === 'multiple'
  return Object.entries(fields)
    .filter(([name, type]) => !WRITTEN_WITH_ANOTHER.has(type) && name !== 'partners')
    .filter(([, type]) => !(isTicked && type === 'options'))
    .map(([name, type]) => ({ name, type, isLong: LONG.has(type) }))
}

/** A question of the shelf as it is written again. */
export function toDraft(item: Item): ItemDraft {
  const empty = newDraft(item.kind)
  const rights = rightOptions(item)
  const options =
    item.kind === 'ordering'
      ? []
      : optionsOf(item).map(({ id, text }) => ({ text, right: rights.includes(id) }))
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
    typed: { ...empty.typed, ...typedOf(item) },
  }
}

/** What is typed of a question, by field. */
function typedOf(item: Item): Readonly<Record<string, string>> {
  switch (item.kind) {
    case 'single':
    case 'multiple':
      return {}
    case 'numeric':
      return { value: String(item.value), tolerance: String(item.tolerance), unit: item.unit }
    case 'text':
      return { accepted: item.accepted.join('; ') }
    case 'ordering':
      return { options: item.right.map((id) => textIn(item.options, id)).join('\n') }
    case 'matching': {
      const used = new Set(Object.values(item.right))
      const pairs = item.prompts.map((p) => `${p.text} = ${textIn(item.partners, item.right[p.id] ?? '')}`)
      const more = item.partners.filter((p) => !used.has(p.id)).map((p) => `= ${p.text}`)
      return { prompts: [...pairs, ...more].join('\n') }
    }
    case 'blanks':
      return { passage: blanksAsTyped(item) }
    case 'extended':
      return {
        leastWords: String(item.leastWords),
        mostWords: String(item.mostWords),
        leastParagraphs: String(item.leastParagraphs),
        guide: item.guide,
      }
  }
}

const textIn = (options: readonly Option[], id: string) => options.find((o) => o.id === id)?.text ?? ''

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
  const typed = (name: string) => (draft.typed[name] ?? '').trim()
  const number = (name: string) => readNumber(typed(name), typed('unit')) ?? Number.NaN
  const countIn = (name: string) => readNumber(typed(name), '') ?? 0
  const { kind } = draft
  switch (kind) {
    case 'single':
      return { ...base, kind, options: optionsIn(draft), right: rightsIn(draft)[0] ?? '' }
    case 'multiple':
      return { ...base, kind, options: optionsIn(draft), right: rightsIn(draft) }
    case 'numeric':
      return { ...base, kind, value: number('value'), tolerance: number('tolerance'), unit: typed('unit') }
    case 'text':
      return { ...base, kind, accepted: partsOf(typed('accepted'), /[;\n]/) }
    case 'ordering':
      return { ...base, kind, ...orderingOf(partsOf(typed('options'), /\n/)) }
    case 'matching':
      return { ...base, kind, ...pairsIn(typed('prompts')) }
    case 'blanks':
      return { ...base, kind, ...blanksOf(typed('passage')) }
    case 'extended':
      return {
        ...base,
        kind,
        leastWords: countIn('leastWords'),
        mostWords: countIn('mostWords'),
        leastParagraphs: countIn('leastParagraphs'),
        guide: typed('guide'),
      }
  }
}

const partsOf = (text: string, between: RegExp) =>
  text
    .split(between)
    .map((part) => part.trim())
    .filter((part) => part !== '')

function ticked(draft: ItemDraft) {
  return draft.options
    .map((o, i) => ({ id: 'abcdefghijkl'[i] as string, text: o.text.trim(), right: o.right }))
    .filter((o) => o.text !== '')
}
const optionsIn = (draft: ItemDraft) => ticked(draft).map(({ id, text }) => ({ id, text }))
const rightsIn = (draft: ItemDraft) =>
  ticked(draft)
    .filter((o) => o.right)
    .map((o) => o.id)

/** Lines such as 'echo = a reflected sound'; '= a light' is a partner of nothing. */
function pairsIn(text: string) {
  const lines = partsOf(text, /\n/).map((line) => {
    const at = line.indexOf('=')
    const [left, right] = at < 0 ? [line, ''] : [line.slice(0, at), line.slice(at + 1)]
    return [left.trim(), right.trim()] as const
  })
  return matchingOf(
    lines.filter(([left]) => left !== ''),
    lines.flatMap(([left, right]) => (left === '' ? [right] : [])),
  )
}
