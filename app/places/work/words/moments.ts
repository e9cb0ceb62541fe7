import { assertNever } from '#core/base'
import type { Moment, WindowField, WindowSpan, WorkState } from '#core/availability'
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
      const at =
        moment.at === 'class-start'
          ? 'class start'
          : moment.at === 'class-end'
            ? 'class end'
            : moment.at === 'end-of-day'
              ? 'end of day'
              : sayMinute(moment.at.minuteOfDay)
      return `${moment.edge} meeting of ${lesson(moment.lessonId)}${step}, ${at}`
    }
    default:
      return assertNever(moment)
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
