import type { BookId, ItemId, ResourceId } from '../base'

export const RESOURCE_KINDS = ['reading', 'worked-example', 'practice-set', 'check', 'test'] as const
export type ResourceKind = (typeof RESOURCE_KINDS)[number]
export const RESOURCE_ROLES = ['core', 'reteach', 'practice', 'extension', 'example'] as const
export type ResourceRole = (typeof RESOURCE_ROLES)[number]

export const ITEM_KINDS = ['single', 'multiple', 'numeric', 'text'] as const
export type ItemKind = (typeof ITEM_KINDS)[number]

interface ItemBase {
  readonly id: ItemId
  /** The question, in Markdown. */
  readonly stem: string
  readonly points: number
  readonly standard: string | null
  /** 1 (easy) to 5. */
  readonly difficulty: number
  /** Shown with the answer when the rules allow it. */
  readonly feedback: string
}

export interface Option {
  readonly id: string
  readonly text: string
}

export type SingleItem = ItemBase & {
  readonly kind: 'single'
  readonly options: readonly Option[]
  readonly right: string
}
export type MultipleItem = ItemBase & {
  readonly kind: 'multiple'
  readonly options: readonly Option[]
  readonly right: readonly string[]
}
export type NumericItem = ItemBase & {
  readonly kind: 'numeric'
  readonly value: number
  readonly tolerance: number
  readonly unit: string
}
export type TextItem = ItemBase & { readonly kind: 'text'; readonly accepted: readonly string[] }

/** One question with its key. Never sent to a learner; see `LearnerItem` in attempts. */
export type Item = SingleItem | MultipleItem | NumericItem | TextItem

export interface Resource {
  readonly id: ResourceId
  /** One word, unique in its book, such as `wav203`. */
  readonly code: string
  readonly title: string
  readonly kind: ResourceKind
  readonly role: ResourceRole
  readonly minutes: number
  readonly grade: number
  readonly standards: readonly string[]
  /** Markdown shown to the learner before or instead of items. */
  readonly content: string
  readonly items: readonly Item[]
}

export interface Standard {
  readonly code: string
  readonly text: string
}

export interface BookLesson {
  readonly id: string
  readonly number: string
  readonly title: string
  readonly typicalMeetings: number
  readonly kind: 'lesson' | 'test' | 'project' | 'review'
}
export interface BookUnit {
  readonly number: string
  readonly title: string
  readonly lessons: readonly BookLesson[]
}
export interface Book {
  readonly id: BookId
  readonly title: string
  readonly course: string
  readonly grade: number
  readonly units: readonly BookUnit[]
}
