import type { IsoDay } from '../base'

/** Why a school year or a pattern is not accepted; `field` names the input to correct. */
export type CalendarRefusal =
  | {
      readonly code: 'calendar/year-ends-before-start'
      readonly field: 'lastOn'
      readonly firstOn: IsoDay
      readonly lastOn: IsoDay
    }
  | {
      readonly code: 'calendar/year-too-long'
      readonly field: 'lastOn'
      readonly days: number
      readonly most: number
    }
  | {
      readonly code: 'calendar/year-out-of-range'
      readonly field: 'firstOn' | 'lastOn'
      readonly on: IsoDay
      readonly fromOn: IsoDay
      readonly throughOn: IsoDay
    }
  | { readonly code: 'calendar/unknown-zone'; readonly field: 'zone'; readonly zone: string }
  | { readonly code: 'calendar/no-weekdays'; readonly field: 'weekdays' }
  | { readonly code: 'calendar/no-instructional-days'; readonly field: 'notes' }
  | { readonly code: 'calendar/note-ends-before-start'; readonly field: 'notes'; readonly name: string }
  | { readonly code: 'calendar/term-ends-before-start'; readonly field: 'terms'; readonly name: string }
  | {
      readonly code: 'calendar/terms-overlap'
      readonly field: 'terms'
      readonly first: string
      readonly second: string
    }
  | { readonly code: 'calendar/term-outside-year'; readonly field: 'terms'; readonly name: string }
  | { readonly code: 'calendar/bad-rotation'; readonly field: 'rotation'; readonly label: string }
  | { readonly code: 'calendar/no-meetings'; readonly field: 'pattern' }
  | { readonly code: 'calendar/unknown-label'; readonly field: 'pattern'; readonly label: string }
  | { readonly code: 'calendar/bad-meeting-minutes'; readonly field: 'pattern'; readonly minutes: number }
  | {
      readonly code: 'calendar/meeting-ends-before-start'
      readonly field: 'pattern'
      readonly fromOn: IsoDay
      readonly throughOn: IsoDay
    }
  | {
      readonly code: 'calendar/meetings-overlap'
      readonly field: 'pattern'
      readonly day: string
      readonly startMinute: number
    }
