import { assertNever } from '#core/base'
import type { Anchor, Moment, WindowField, WindowSpan, WorkState } from '#core/availability'
import type { Level } from '#core/audience'
import { count } from '~/shared/words/numbers'
import { sayDay, sayMinute } from '~/shared/words/times'

/** What an absent moment means. */
export const ABSENT_WORDS: Record<WindowField, string> = {
  listed: 'when published',
  opens: 'when published',
  due: 'no due date',
  closes: 'when due',
  putAway: 'never',
}

/** 'first meeting of W2.3, class start', as the composer's cells say it. */
export function sayMomentSpec(
  moment: Moment | null,
  field: WindowField,
  lesson: (id: string) => string,
): string {
  if (moment === null) return ABSENT_WORDS[field]
  switch (moment.kind) {
    case 'day':
      return `${sayDay(moment.on)}, whole day`
    case 'time':
      return `${sayDay(moment.on)}, ${sayMinute(moment.minuteOfDay)}`
    case 'anchor': {
      const step =
        moment.offset === 0
          ? ''
          : moment.step === 'days'
            ? ` ${moment.offset > 0 ? '+' : '−'} ${count(Math.abs(moment.offset), 'day')}`
            : ` ${moment.offset > 0 ? '+' : '−'} ${Math.abs(moment.offset)}`
      return `${moment.edge} meeting of ${lesson(moment.lessonId)}${step}, ${sayPlace(moment.at)}`
    }
    case 'meeting': {
      const from = sayDay(moment.on)
      const which = moment.count === 1 ? 'next meeting' : count(moment.count, 'meeting')
      return `${which} after ${from}, ${sayPlace(moment.at)}`
    }
    default:
      return assertNever(moment)
  }
}

function sayPlace(at: Anchor['at']): string {
  switch (at) {
    case 'class-start':
      return 'class start'
    case 'class-end':
      return 'class end'
    case 'end-of-day':
      return 'end of day'
    default:
      return sayMinute(at.minuteOfDay)
  }
}

/** '3 meetings to do it'. */
export function saySpan(span: WindowSpan): string {
  return `${count(span.meetings, 'meeting')} to do it`
}

export const LEVEL_WORDS: Record<Level, string> = {
  assignment: 'for everyone',
  class: 'for the class',
  piece: 'of this piece',
  group: 'for the group',
  learner: 'for this learner',
  accommodation: 'accommodation',
  started: 'kept, has begun',
}
export const STATE_WORDS: Record<WorkState, string> = {
  'not-listed': 'not listed',
  'coming-up': 'coming up',
  open: 'open',
  late: 'late',
  closed: 'closed',
  'put-away': 'put away',
}
