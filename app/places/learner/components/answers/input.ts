import type { FieldTypes, LearnerItem } from '#core/library'

/** What every input of an answer gets, by what it holds; it says `value` when something else was given. */
export interface AnswerInputProps<Type extends keyof FieldTypes> {
  item: LearnerItem
  value: FieldTypes[Type]
  /** Null: it is no question. */
  number: number | null
  /** Answered for good: it can no longer be changed. */
  isFinal: boolean
  /** Whether the browser marks words it does not know. */
  spelling: boolean
}
