import type { AccessRefusal } from '#core/access'
import type { AttemptRefusal } from '#core/attempts'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal } from '#core/availability'
import type { ComputeRefusal } from '#core/base'
import type { CalendarRefusal } from '#core/calendar'
import type { FormatRefusal } from '#core/formats'
import type { LibraryRefusal } from '#core/library'
import type { PacingRefusal } from '#core/pacing'
import type { FilingRefusal } from '#core/filing'
import type { PlacingRefusal } from '#core/placing'
import type { SeriesRefusal } from '#core/series'
import type { StandingRefusal } from '#core/standing'
import type { VersionsRefusal } from '#core/versions'
import type { WorkRefusal } from '#core/work'

/** Refusals of the wire itself. `lost` and `broken` are made by the client. */
export type WireRefusal =
  | { readonly code: 'input/invalid'; readonly field: string; readonly problem: string }
  | { readonly code: 'input/too-large'; readonly most: number }
  | { readonly code: 'input/not-json' }
  | { readonly code: 'wire/foreign-origin' }
  | { readonly code: 'wire/unknown-address' }
  /** The database cannot be written just now: its disk is full, or it may only be read. */
  | { readonly code: 'wire/cannot-save' }
  | { readonly code: 'wire/broken'; readonly requestId: string }
  | { readonly code: 'wire/lost' }

export type Refusal =
  | AccessRefusal
  | AttemptRefusal
  | AudienceRefusal
  | AvailabilityRefusal
  | CalendarRefusal
  | ComputeRefusal
  | FormatRefusal
  | LibraryRefusal
  | PacingRefusal
  | FilingRefusal
  | PlacingRefusal
  | SeriesRefusal
  | StandingRefusal
  | VersionsRefusal
  | WorkRefusal
  | WireRefusal

/** The HTTP status of every refusal. */
export const STATUS_OF = {
  'access/not-signed-in': 401,
  'access/denied': 403,
  'access/not-found': 404,
  'access/wrong-sign-in': 401,
  'access/too-many-tries': 429,
  'access/busy': 503,
  'access/sign-in-taken': 409,
  'access/unknown-code': 404,
  'access/joining-closed': 409,
  'access/sign-up-closed': 403,
  'access/wrong-invitation': 403,
  'access/wrong-password': 422,
  'access/same-password': 422,
  'access/must-change-password': 403,
  'access/changed-meanwhile': 409,
  'attempts/not-open-yet': 409,
  'attempts/closed': 409,
  'attempts/none-left': 409,
  'attempts/one-in-progress': 409,
  'attempts/wait': 409,
  'attempts/already-handed-in': 409,
  'attempts/time-is-up': 409,
  'attempts/too-soon': 409,
  'attempts/answered-elsewhere': 409,
  'attempts/unknown-item': 422,
  'attempts/wrong-kind-of-answer': 422,
  'attempts/unknown-option': 422,
  'attempts/bad-rules': 422,
  'attempts/not-item-by-item': 409,
  'attempts/answer-first': 422,
  'attempts/first-things-first': 409,
  'attempts/bad-points': 422,
  'attempts/bad-levels': 422,
  'attempts/has-a-text': 409,
  'attempts/no-text-asked': 422,
  'versions/same-word-twice': 422,
  'versions/frame-without-blank': 422,
  'versions/mark-outside-text': 422,
  'versions/marks-overlap': 422,
  'versions/mark-without-legend': 422,
  'versions/organiser-size': 422,
  'versions/organiser-full': 422,
  'versions/nothing-handed-in': 422,
  'versions/unknown-item': 422,
  'versions/bad-share': 422,
  'versions/trail-count': 422,
  'versions/trail-twice': 422,
  'versions/trail-in-use': 409,
  'versions/bad-thresholds': 422,
  'versions/unknown-trail': 422,
  'placing/bad-stretch': 422,
  'placing/not-by-days': 409,
  'placing/nothing-to-lay': 422,
  'placing/outside-year': 422,
  'filing/no-name': 422,
  'filing/name-twice': 422,
  'filing/too-many': 422,
  'filing/bad-weight': 422,
  'filing/bad-ceiling': 422,
  'series/too-long': 422,
  'series/bad-step': 422,
  'series/same-piece-twice': 422,
  'series/same-row-twice': 422,
  'series/nobody': 422,
  'series/not-in-class': 422,
  'series/row-begun': 409,
  'series/still-released': 409,
  'series/nothing-to-release': 409,
  'standing/unknown-lesson': 422,
  'standing/anchor-in-other-part': 422,
  'standing/no-dates': 422,
  'standing/too-many': 422,
  'standing/no-place': 409,
  'standing/other-plan': 409,
  'standing/nothing-to-lay': 409,
  'work/other-task-not-alike': 422,
  'work/bad-link': 422,
  'work/in-two-teams': 422,
  'work/past-the-year': 422,
  'work/too-many-presets': 409,
  'audience/bad-group-rule': 422,
  'audience/group-by-rule': 409,
  'audience/nobody-chosen': 422,
  'audience/same-target-twice': 422,
  'audience/nobody-reached': 422,
  'audience/bad-exception': 422,
  'audience/unknown-target': 422,
  'work/already-begun': 409,
  'work/has-begun': 409,
  'work/changed-since': 409,
  'work/no-pieces': 422,
  'work/piece-for-nobody': 422,
  'work/piece-twice': 422,
  'work/withdrawn': 409,
  'work/not-whole': 403,
  'audience/not-in-class': 422,
  'audience/bad-rows': 422,
  'audience/sign-in-taken': 409,
  'availability/anchor-past-year': 422,
  'availability/no-more-meetings': 422,
  'availability/lesson-not-laid-out': 422,
  'availability/out-of-order': 422,
  'availability/no-layout': 422,
  'calendar/year-ends-before-start': 422,
  'calendar/year-too-long': 422,
  'calendar/year-out-of-range': 422,
  'calendar/unknown-zone': 422,
  'calendar/no-weekdays': 422,
  'calendar/no-instructional-days': 422,
  'calendar/note-ends-before-start': 422,
  'calendar/term-ends-before-start': 422,
  'calendar/terms-overlap': 422,
  'calendar/term-outside-year': 422,
  'calendar/bad-rotation': 422,
  'calendar/no-meetings': 422,
  'calendar/unknown-label': 422,
  'calendar/bad-meeting-minutes': 422,
  'calendar/meeting-ends-before-start': 422,
  'calendar/meetings-overlap': 422,
  'compute/too-much': 422,
  'compute/busy': 503,
  'formats/empty': 422,
  'formats/not-text': 422,
  'formats/broken-quotes': 422,
  'formats/lost-letters': 422,
  'formats/too-many-rows': 422,
  'formats/cell-too-long': 422,
  'formats/not-a-calendar': 422,
  'formats/too-many-closures': 422,
  'formats/no-closures': 422,
  'formats/not-a-package': 422,
  'formats/damaged-package': 422,
  'formats/unsafe-package': 422,
  'formats/package-too-large': 422,
  'formats/has-entities': 422,
  'formats/not-xml': 422,
  'formats/no-framework': 422,
  'formats/standards-in-circle': 422,
  'formats/no-item-headings': 422,
  'formats/no-text-headings': 422,
  'formats/text-too-long': 422,
  'formats/nothing-known': 422,
  'formats/other-file': 422,
  'formats/read-elsewhere': 422,
  'formats/no-navigation': 422,
  'formats/nothing-taken': 422,
  'formats/too-large': 413,
  'library/bad-code': 422,
  'library/no-items': 422,
  'library/same-item-twice': 422,
  'library/too-few-options': 422,
  'library/same-option-twice': 422,
  'library/no-right-answer': 422,
  'library/right-answer-twice': 422,
  'library/bad-tolerance': 422,
  'library/order-tells-answer': 422,
  'library/no-blank': 422,
  'library/bad-word-range': 422,
  'library/bad-points': 422,
  'library/piece-in-use': 409,
  'library/book-in-use': 409,
  'library/items-not-asked': 422,
  'library/bad-link': 422,
  'library/no-words': 422,
  'library/no-file': 422,
  'library/silent-picture': 422,
  'library/unknown-file': 422,
  'library/too-many-files': 422,
  'library/same-word-twice': 422,
  'pacing/empty-plan': 422,
  'pacing/too-many-lessons': 422,
  'pacing/bad-length': 422,
  'pacing/unknown-unit': 422,
  'pacing/bad-fixed-date': 422,
  'pacing/fixed-out-of-order': 422,
  'pacing/fixed-on-closure': 422,
  'pacing/bad-part': 422,
  'pacing/bad-order': 422,
  'pacing/too-many': 422,
  'pacing/ids-disagree': 422,
  'pacing/two-years': 422,
  'pacing/not-yet-held': 422,
  'pacing/already-recorded': 409,
  'pacing/not-recorded': 409,
  'pacing/bad-record': 422,
  'pacing/not-laid-out': 422,
  'pacing/length-out-of-range': 422,
  'pacing/unknown-lesson': 422,
  'pacing/no-such-meeting': 422,
  'pacing/changed-meanwhile': 409,
  'input/invalid': 422,
  'input/too-large': 413,
  'input/not-json': 400,
  'wire/foreign-origin': 403,
  'wire/unknown-address': 404,
  'wire/cannot-save': 503,
  'wire/broken': 500,
  'wire/lost': 503,
} as const satisfies Record<Refusal['code'], number>
