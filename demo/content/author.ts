import { asId, seedOf, seededRandom, shuffled } from '#core/base'
import type { ItemId, ResourceId } from '#core/base'
import { NO_MATERIAL } from '#core/library'
import type { Item, Option, Resource, ResourceKind, ResourceRole } from '#core/library'

/** Writing textbooks tersely: what each item needs, in reading order. */
export interface About {
  readonly s: string
  readonly d?: number
  readonly fb: string
  readonly points?: number
  readonly hint?: string
}
type Draft = Item extends infer I ? (I extends Item ? Omit<I, 'id'> : never) : never

function base(stem: string, { s, d = 2, fb, points = 1, hint = '' }: About) {
  return { stem, points, standard: s, difficulty: d, feedback: fb, hint }
}

/** Options in an order that depends on the question alone, so that the right one is not always first. */
function mixed(stem: string, texts: readonly string[]): Option[] {
  const order = shuffled(texts, seededRandom(seedOf(stem)))
  return order.map((text, i) => ({ id: 'abcdefgh'[i] as string, text }))
}

/** One right answer: the first one given. */
export function one(stem: string, texts: readonly string[], about: About): Draft {
  const options = mixed(stem, texts)
  return {
    ...base(stem, about),
    kind: 'single',
    options,
    right: options.find((o) => o.text === texts[0])?.id ?? '',
  }
}

/** Several right answers. */
export function many(stem: string, right: readonly string[], wrong: readonly string[], about: About): Draft {
  const options = mixed(stem, [...right, ...wrong])
  return {
    ...base(stem, { points: 2, ...about }),
    kind: 'multiple',
    options,
    right: options.filter((o) => right.includes(o.text)).map((o) => o.id),
  }
}

/** A number with tolerance and unit. */
export function num(stem: string, value: number, tolerance: number, unit: string, about: About): Draft {
  return { ...base(stem, about), kind: 'numeric', value, tolerance, unit }
}

/** A word or two. */
export function txt(stem: string, accepted: readonly string[], about: About): Draft {
  return { ...base(stem, about), kind: 'text', accepted }
}

export interface Piece {
  readonly lesson: string
  readonly resource: Resource
}

/** A piece of a lesson; ids follow from the code, so that a rebuilt demo keeps them. */
export function piece(
  lesson: string,
  kind: ResourceKind,
  code: string,
  title: string,
  minutes: number,
  grade: number,
  content: string,
  items: readonly Draft[] = [],
  role: ResourceRole = 'core',
): Piece {
  const withIds = items.map((item, i): Item => ({ ...item, id: asId<ItemId>(`${code}-${i + 1}`) }))
  const standards = [...new Set(withIds.flatMap((i) => i.standard ?? []))]
  return {
    lesson,
    resource: {
      id: asId<ResourceId>(`piece-${code}`),
      code,
      title,
      kind,
      role,
      minutes,
      grade,
      language: 'en',
      readingLevel: null,
      material: NO_MATERIAL,
      standards,
      content: content.trim(),
      items: withIds,
    },
  }
}
