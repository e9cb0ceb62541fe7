import { z } from 'zod'
import type { ItemId } from '#core/base'
import { ITEM_KINDS, KINDS } from '#core/library'
import type { Answer, FieldType, Fields, FieldTypes, Item } from '#core/library'
import { id } from './makers'
import type { Makers } from './makers'

type FieldShapes = { readonly [T in FieldType]: z.ZodType<FieldTypes[T]> }

function fieldShapes(m: Makers): FieldShapes {
  const optionId = m.line(20)
  const blank = z.string().regex(/^\d{1,2}$/, 'is no number of a blank')
  return {
    options: m.list(m.object({ id: optionId, text: m.prose(500) }), 12),
    option: m.prose(20),
    'option-or-none': optionId.nullable(),
    'option-set': m.list(optionId, 12),
    'option-order': m.list(optionId, 12),
    entries: m.list(m.object({ id: optionId, text: m.prose(500) }), 12),
    pairs: byName(optionId, optionId),
    passage: m.prose(4000),
    'accepted-in-blanks': byName(blank, m.list(m.prose(200), 20)),
    'words-in-blanks': byName(blank, m.prose(200)),
    prose: m.prose(20_000),
    'word-count': m.whole(0, 5000),
    'paragraph-count': m.whole(0, 50),
    number: m.number(),
    unit: m.prose(20),
    'typed-number': m.prose(60),
    line: m.prose(500),
    lines: m.list(m.prose(200), 20),
  }
}

/** Values by name, as many as an item may have of anything. */
function byName<T extends z.ZodType>(name: z.ZodType<string, string>, of: T) {
  return z.record(name, of).refine((v) => Object.keys(v).length <= 30, 'is too long') as unknown as z.ZodType<
    Readonly<Record<string, z.output<T>>>,
    Readonly<Record<string, z.input<T>>>
  >
}

/**
 * Items and answers: made from the fields that each kind states, so that a new kind needs no shape of its
 * own.
 */
export function itemShapes(m: Makers) {
  const shapes = fieldShapes(m)
  const made = (fields: Fields) =>
    Object.fromEntries(Object.entries(fields).map(([name, type]) => [name, shapes[type]]))
  const base = {
    id: id<ItemId>(),
    stem: m.line(2000),
    points: m.number(),
    standard: m.prose(40).nullable(),
    difficulty: m.whole(1, 5),
    feedback: m.prose(2000),
    hint: m.prose(1000),
  }
  const items = ITEM_KINDS.map((kind) =>
    m.object({ ...base, kind: z.literal(kind), ...made(KINDS[kind].fields) }),
  )
  const answers = ITEM_KINDS.map((kind) => m.object({ kind: z.literal(kind), ...made(KINDS[kind].answer) }))
  return {
    item: unionOf(items) as unknown as z.ZodType<Item, Item>,
    answer: unionOf(answers) as unknown as z.ZodType<Answer, Answer>,
  }
}

function unionOf(shapes: readonly z.ZodObject[]) {
  const [first, ...rest] = shapes
  if (!first) throw new Error('no kinds')
  return z.discriminatedUnion('kind', [first, ...rest])
}
