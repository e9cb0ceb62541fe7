import { assertNever } from '#core/base'
import type { CalendarRefusal } from '#core/calendar'
import { LENGTH_LIMITS } from '#core/pacing'
import type { PacingRefusal } from '#core/pacing'
import { saySeen } from './seen'
import { sayDay, sayMinute, WEEKDAY_WORDS } from './times'

/** Why a school year or a pattern is not accepted, and what to do. */
export function ofCalendar(r: CalendarRefusal): string {
  switch (r.code) {
    case 'calendar/year-ends-before-start':
      return 'Last day: the year ends before it starts. Choose a later last day.'
    case 'calendar/year-too-long':
      return `Last day: ${r.days} days are too many for a school year (at most ${r.most}).`
    case 'calendar/year-out-of-range':
      return (
        `${r.field === 'firstOn' ? 'First' : 'Last'} day: a school year lies between ${r.fromOn.slice(0, 4)} ` +
        `and ${r.throughOn.slice(0, 4)}. Check the year you typed.`
      )
    case 'calendar/unknown-zone':
      return `Time zone: “${r.zone}” is not known. Choose one such as America/Denver.`
    case 'calendar/no-weekdays':
      return 'School days: tick at least one weekday.'
    case 'calendar/no-instructional-days':
      return 'Every school day is closed. Take a closure out, or make the year longer.'
    case 'calendar/note-ends-before-start':
      return `“${r.name}” ends before it starts. Correct its dates.`
    case 'calendar/term-ends-before-start':
      return `${r.name} ends before it starts. Correct its dates.`
    case 'calendar/terms-overlap':
      return `${r.first} and ${r.second} overlap. Let the second start after the first ends.`
    case 'calendar/term-outside-year':
      return `${r.name} lies outside the school year. Correct its dates.`
    case 'calendar/bad-rotation':
      return r.label === ''
        ? 'Rotation: give 1 to 10 different letters.'
        : `Rotation: the letter “${r.label}” is given twice or is not one of the rotation's.`
    case 'calendar/no-meetings':
      return 'Meeting pattern: add at least one meeting.'
    case 'calendar/unknown-label':
      return `Meeting pattern: the year has no day letter “${r.label}”.`
    case 'calendar/bad-meeting-minutes':
      return 'Meeting pattern: a meeting has to last at least 5 minutes and end the same day.'
    case 'calendar/meeting-ends-before-start':
      return `Meeting pattern: a meeting that holds from ${sayDay(r.fromOn)} cannot end on ${sayDay(r.throughOn)}.`
    case 'calendar/meetings-overlap':
      return `Meeting pattern: two meetings overlap on ${sayPatternDay(r.day)} at ${sayMinute(r.startMinute)}.`
    default:
      return assertNever(r)
  }
}

/** 'Mon' of a weekday's number, 'A days' of a letter. */
function sayPatternDay(day: string): string {
  return /^\d$/.test(day) ? (WEEKDAY_WORDS[Number(day) - 1] ?? day) : `${day} days`
}

/** Why a plan or a planning act is not accepted, and what to do. */
export function ofPacing(r: PacingRefusal): string {
  switch (r.code) {
    case 'pacing/empty-plan':
      return 'The plan has no lessons. Add at least one row.'
    case 'pacing/too-many-lessons':
      return `${r.count} lessons are too many for one plan (at most ${r.most}).`
    case 'pacing/bad-length':
      return (
        `${r.lesson}: a lesson lasts ${sayLimits('meetings')} (or ${sayLimits('minutes')}), ` +
        'with least ≤ usual ≤ most.'
      )
    case 'pacing/unknown-unit':
      return `${r.lesson} belongs to no unit of the plan.`
    case 'pacing/bad-fixed-date':
      return `${r.lesson}: the fixed dates end before they begin. Correct one of them.`
    case 'pacing/fixed-out-of-order':
      return (
        `${r.lesson} is fixed before ${r.before}, which comes earlier in the order. ` +
        'Change one of the dates, or the order.'
      )
    case 'pacing/fixed-on-closure':
      return r.closedBy === null
        ? `${r.lesson}: ${sayDay(r.on)} is not a school day of this year. Choose another date.`
        : `${r.lesson}: the school is closed on ${sayDay(r.on)} (${r.closedBy}). Choose another date.`
    case 'pacing/bad-part':
      return (
        `The part “${r.part}” overlaps another: give each part a later term than ` +
        'the one before, and keep its units together.'
      )
    case 'pacing/bad-order':
      return 'This order leaves out lessons, or names some twice. Reload and order them again.'
    case 'pacing/not-yet-held':
      return `${r.lesson} has not been held that far yet. Record it once its meetings are over.`
    case 'pacing/already-recorded':
      return `${r.lesson} is recorded already. Take its record back first: in its details, or with undo.`
    case 'pacing/bad-record':
      return `${r.lesson || 'The lesson'}: what was held is counted in halves of its meetings. Record it again.`
    case 'pacing/not-recorded':
      return `Nothing is recorded of ${r.lesson || 'this lesson'}, so there is nothing to take back.`
    case 'pacing/not-laid-out':
      return `${r.lesson} has no meeting in this class, so there is nothing to record.`
    case 'pacing/length-out-of-range':
      return `A lesson lasts ${sayLimits(r.unit)}.`
    case 'pacing/unknown-lesson':
      return 'This lesson is no longer in the plan. Reload the desk.'
    case 'pacing/no-such-meeting':
      return `The class has no meeting on ${sayDay(r.on)} at ${sayMinute(r.startMinute)}. Reload the desk.`
    case 'pacing/too-many': {
      const what = r.field === 'notes' ? 'notes in a year' : 'changed meetings of a class'
      return `There can be at most ${r.most} ${what}. Take some away first.`
    }
    case 'pacing/ids-disagree':
      return 'The change names one thing and brings another. Reload the desk and do it again.'
    case 'pacing/two-years':
      return 'These changes are about two school years. Make them one year after the other.'
    case 'pacing/changed-meanwhile':
      return (
        `Somebody changed this meanwhile: you saw ${saySeen(r.seen, 'seen')}, now ` +
        `it is ${saySeen(r.now, 'now')}. Nothing was overwritten.`
      )
    default:
      return assertNever(r)
  }
}

/** '½ to 40 meetings, in halves', '5 to 2,400 minutes'. */
function sayLimits(unit: keyof typeof LENGTH_LIMITS): string {
  const { least, most } = LENGTH_LIMITS[unit]
  return unit === 'meetings'
    ? `½ to ${most} meetings, in halves`
    : `${least} to ${most.toLocaleString('en')} minutes`
}
