import type { BookId, ResourceId } from '../base'
import type { KeptFile } from './files'
import type { Item } from './kinds'

export const RESOURCE_KINDS = [
  'reading',
  'video',
  'worked-example',
  'practice-set',
  'check',
  'test',
  'writing-task',
  'word-list',
  'read-aloud',
  'page',
  'project',
  'link',
  'file',
] as const
export type ResourceKind = (typeof RESOURCE_KINDS)[number]
export const RESOURCE_ROLES = ['core', 'reteach', 'practice', 'extension', 'example'] as const
export type ResourceRole = (typeof RESOURCE_ROLES)[number]

/** A word to be learnt. */
export interface WordEntry {
  readonly word: string
  readonly meaning: string
  /** A sentence that uses it; may be empty. */
  readonly example: string
}
/** What a person looks at when a piece of work is scored. */
export interface Criterion {
  readonly name: string
  readonly points: number
  /** What earns all of the points. */
  readonly about: string
}

/** What a piece shows besides its text. */
export interface Material {
  /** The https address of a video or a page; empty: none. */
  readonly link: string
  /** What is said in a video. */
  readonly transcript: string
  readonly words: readonly WordEntry[]
  readonly rubric: readonly Criterion[]
  /** To be opened or printed: sheets, recordings, films. */
  readonly files: readonly KeptFile[]
}
export const NO_MATERIAL: Material = { link: '', transcript: '', words: [], rubric: [], files: [] }

export interface Resource {
  readonly id: ResourceId
  /** One word, unique in its book, such as `wav203`. */
  readonly code: string
  readonly title: string
  readonly kind: ResourceKind
  readonly role: ResourceRole
  readonly minutes: number
  readonly grade: number
  /** The language it is written in, such as `en`. */
  readonly language: string
  /** The grade whose readers it suits; null: nobody has said. */
  readonly readingLevel: number | null
  readonly standards: readonly string[]
  /** Markdown shown to the learner before or instead of items. */
  readonly content: string
  readonly material: Material
  readonly items: readonly Item[]
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
/** When in a year a textbook looks at where learners stand. */
export const BENCHMARK_TIMES = ['start', 'middle', 'end'] as const
export type BenchmarkTime = (typeof BENCHMARK_TIMES)[number]
export interface Benchmark {
  readonly at: BenchmarkTime
  readonly resourceId: ResourceId
}

export interface Book {
  readonly id: BookId
  readonly title: string
  readonly course: string
  readonly grade: number
  readonly units: readonly BookUnit[]
  /** Its tests of all that a year is about, in the order of the year. */
  readonly benchmarks: readonly Benchmark[]
}
