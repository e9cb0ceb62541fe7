import { asId, seedOf, seededRandom, shuffled } from '#core/base'
import type { ItemId, ResourceId } from '#core/base'
import { NO_MATERIAL, blanksOf, matchingOf, orderingOf, withScoredPart } from '#core/library'
import type { Item, Material, Option, Resource, ResourceKind, ResourceRole } from '#core/library'

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

/** Steps in their right order. */
export function order(stem: string, steps: readonly string[], about: About): Draft {
  return { ...base(stem, { points: 2, ...about }), kind: 'ordering', ...orderingOf(steps) }
}

/** Pairs; `more` are partners of nothing. */
export function match(
  stem: string,
  pairs: readonly (readonly [string, string])[],
  more: readonly string[],
  about: About,
): Draft {
  return { ...base(stem, { points: 2, ...about }), kind: 'matching', ...matchingOf(pairs, more) }
}

/** A text with its missing words in brackets. */
export function fill(stem: string, text: string, about: About): Draft {
  return { ...base(stem, { points: 2, ...about }), kind: 'blanks', ...blanksOf(text) }
}

/** Sentences that a person scores by the guide. */
export function write(stem: string, guide: string, leastWords: number, about: About): Draft {
  return {
    ...base(stem, { points: 4, ...about }),
    kind: 'extended',
    leastWords,
    mostWords: leastWords * 2,
    leastParagraphs: 0,
    guide,
  }
}

/** A word or two. */
export function txt(stem: string, accepted: readonly string[], about: About): Draft {
  return { ...base(stem, about), kind: 'text', accepted }
}

export interface Piece {
  /** Null: of the whole book. */
  readonly lesson: string | null
  readonly resource: Resource
  /** Codes of pieces for who is weak in it. */
  readonly weak: readonly string[]
}

/** What is said of a piece, besides its text and items. */
export interface Front {
  readonly lesson: string | null
  readonly kind: ResourceKind
  readonly code: string
  readonly title: string
  readonly minutes: number
  readonly grade: number
  readonly role?: ResourceRole | undefined
  readonly level?: number | undefined
  readonly standards?: readonly string[] | undefined
  readonly weak?: readonly string[] | undefined
  readonly material?: Partial<Material> | undefined
}

/** A piece of a lesson; ids follow from the code, so that a rebuilt demo keeps them. */
export function piece(front: Front, content: string, items: readonly Draft[] = []): Piece {
  const { lesson, code, role = 'core', level = null, material = {}, weak = [] } = front
  const withIds = items.map((item, i): Item => ({ ...item, id: asId<ItemId>(`${code}-${i + 1}`) }))
  const standards = [...new Set([...(front.standards ?? []), ...withIds.flatMap((i) => i.standard ?? [])])]
  return {
    lesson,
    weak,
    resource: withScoredPart({
      id: asId<ResourceId>(`piece-${code}`),
      code,
      title: front.title,
      kind: front.kind,
      role,
      minutes: front.minutes,
      grade: front.grade,
      language: 'en',
      readingLevel: level,
      material: { ...NO_MATERIAL, ...material },
      standards,
      content: content.trim(),
      items: withIds,
    }),
  }
}
