import type { BookId, ResourceId } from '../base'
import type { Item } from './kinds'

export const RESOURCE_KINDS = ['reading', 'worked-example', 'practice-set', 'check', 'test'] as const
export type ResourceKind = (typeof RESOURCE_KINDS)[number]
export const RESOURCE_ROLES = ['core', 'reteach', 'practice', 'extension', 'example'] as const
export type ResourceRole = (typeof RESOURCE_ROLES)[number]

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
