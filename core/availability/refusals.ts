import type { LessonId } from '../base'
import type { WindowField } from './types'

/** Why a window cannot be set; `field` is the moment to correct. */
export type AvailabilityRefusal =
  | {
      readonly code: 'availability/anchor-past-year'
      readonly field: WindowField
      readonly lessonId: LessonId
      readonly offset: number
      readonly meetings: number
    }
  /** The class has only `left` meetings after the moment from which they are counted. */
  | {
      readonly code: 'availability/no-more-meetings'
      readonly field: WindowField
      readonly wanted: number
      readonly left: number
    }
  | {
      readonly code: 'availability/lesson-not-laid-out'
      readonly field: WindowField
      readonly lessonId: LessonId
    }
  | { readonly code: 'availability/out-of-order'; readonly field: WindowField; readonly before: WindowField }
  | { readonly code: 'availability/no-layout'; readonly field: WindowField }
