import { assertNever } from '#core/base'
import type { AccessRefusal } from '#core/access'
import type { AttemptRefusal } from '#core/attempts'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal, WindowField } from '#core/availability'
import type { CalendarRefusal } from '#core/calendar'
import type { FormatRefusal } from '#core/formats'
import type { LibraryRefusal } from '#core/library'
import type { PacingRefusal } from '#core/pacing'
import type { WorkRefusal } from '#core/work'
import type { Refusal, WireRefusal } from '#shared/contracts/refusal'
import { count, meetingsOf } from './numbers'
import { sayDay, sayMinute, sayMoment, WEEKDAY_WORDS } from './times'

/** What the words need to know beyond the refusal itself. */
export interface Naming {
  readonly zone?: string
  readonly lesson?: (id: string) => string
}

export const FIELD_WORDS: Record<WindowField, string> = {
  listed: 'Listed',
  opens: 'Opens',
  due: 'Due',
  closes: 'Closes',
  putAway: 'Put away',
}

/** One plain sentence: what is wrong, where, and what to do. */
export function sayRefusal(refusal: Refusal, naming: Naming = {}): string {
  const topic = refusal.code.slice(0, refusal.code.indexOf('/'))
  switch (topic) {
    case 'access':
      return ofAccess(refusal as AccessRefusal, naming)
    case 'attempts':
      return ofAttempts(refusal as AttemptRefusal, naming)
    case 'audience':
      return ofAudience(refusal as AudienceRefusal)
    case 'work':
      return ofWork(refusal as WorkRefusal)
    case 'availability':
      return ofAvailability(refusal as AvailabilityRefusal, naming)
    case 'calendar':
      return ofCalendar(refusal as CalendarRefusal)
    case 'formats':
      return ofFormats(refusal as FormatRefusal)
    case 'library':
      return ofLibrary(refusal as LibraryRefusal)
    case 'pacing':
      return ofPacing(refusal as PacingRefusal)
    default:
      return ofWire(refusal as WireRefusal)
  }
}

/** The input field a refusal names, or null. */
export function fieldOf(refusal: Refusal): string | null {
  return 'field' in refusal ? refusal.field : null
}

function ofAccess(r: AccessRefusal, { zone }: Naming): string {
  switch (r.code) {
    case 'access/not-signed-in':
      return 'You are signed out. Sign in again to go on.'
    case 'access/denied':
      return 'This is not yours to change. Ask the person who runs it.'
    case 'access/not-found':
      return `This ${r.what} is not there, or not yours to see.`
    case 'access/wrong-sign-in':
      return 'Name and password do not fit together. Check both and try again.'
    case 'access/too-many-tries':
      return `Too many wrong tries. Wait until ${zone ? sayMoment(r.until, zone) : 'a quarter of an hour has passed'}, then try again.`
    case 'access/sign-in-taken':
      return 'This sign-in name is taken. Choose another.'
    case 'access/unknown-code':
      return 'No class has this code. Check it letter by letter, or ask your teacher.'
    case 'access/changed-meanwhile':
      return 'Somebody changed this while you had it open. Reload to see their version, then make your change again.'
    default:
      return assertNever(r)
  }
}

function ofAttempts(r: AttemptRefusal, { zone = 'UTC' }: Naming): string {
  switch (r.code) {
    case 'attempts/not-open-yet':
      return `This opens ${sayMoment(r.opensAt, zone)}.`
    case 'attempts/closed':
      return `This closed ${sayMoment(r.closedAt, zone, 'closes')}. What you had saved was handed in.`
    case 'attempts/none-left':
      return `You have used ${count(r.used, 'try', 'tries')} of ${r.most}.`
    case 'attempts/wait':
      return `You can try again from ${sayMoment(r.until, zone)}.`
    case 'attempts/already-handed-in':
      return 'This try is handed in already.'
    case 'attempts/time-is-up':
      return 'The time for this try is up. What you had saved was handed in.'
    case 'attempts/unknown-item':
      return 'This question is not part of the piece. Reload the page.'
    case 'attempts/wrong-kind-of-answer':
      return 'This answer does not fit the question. Reload the page.'
    case 'attempts/unknown-option':
      return 'This choice is not among the answers. Reload the page.'
    case 'attempts/bad-rules':
      return {
        maxAttempts: 'Tries: give a whole number of at least 1, or no limit.',
        waitMinutes: 'Wait between tries: give minutes, 0 or more.',
        timeLimitMinutes: 'Time limit: give at least 1 minute, or no limit.',
        late: 'Late deduction: give percentages from 0 to 100.',
      }[r.field]
    default:
      return assertNever(r)
  }
}

function ofWork(r: WorkRefusal): string {
  switch (r.code) {
    case 'work/already-begun':
      return (
        'Learners have begun this, so the piece cannot be exchanged. ' +
        'Withdraw it and assign the other piece instead.'
      )
    case 'work/withdrawn':
      return 'This work is withdrawn. Publish it again before changing it.'
  }
}

function ofAudience(r: AudienceRefusal): string {
  switch (r.code) {
    case 'audience/nobody-chosen':
      return 'Nobody is chosen yet. Add a class, a group or a learner.'
    case 'audience/nobody-reached':
      return 'The chosen classes and groups hold no learners. Add learners first, or choose others.'
    case 'audience/not-your-class':
      return `You do not teach ${r.name}, so you cannot give work to it. Take it off the list.`
    case 'audience/unknown-target':
      return 'One of the recipients is no longer there. Take it off the list.'
    case 'audience/not-in-class':
      return 'One of these learners is not in this class any more. Reload and choose again.'
    case 'audience/bad-rows':
      return `${r.lines.length === 1 ? 'Line' : 'Lines'} ${r.lines.slice(0, 12).join(', ')} cannot be read. Correct them, or leave them out.`
    case 'audience/sign-in-taken':
      return `Line ${r.line}: the sign-in name “${r.signIn}” is taken. Give another one.`
    default:
      return assertNever(r)
  }
}

function ofAvailability(r: AvailabilityRefusal, { lesson = () => 'this lesson' }: Naming): string {
  const field = FIELD_WORDS[r.field]
  switch (r.code) {
    case 'availability/anchor-past-year':
      return `${field}: ${r.offset < 0 ? `${-r.offset} before` : `${r.offset} after`} ${lesson(r.lessonId)} lies outside the school year. Choose a smaller step or a date.`
    case 'availability/lesson-not-laid-out':
      return `${field}: ${lesson(r.lessonId)} has no meeting in this class's layout. Choose another lesson or a date.`
    case 'availability/out-of-order':
      return `${field} comes before ${FIELD_WORDS[r.before].toLowerCase()}. Move one of them.`
    case 'availability/no-layout':
      return `${field}: this class has no plan laid out, so nothing can hang on a lesson. Lay a plan first, or give a date.`
    default:
      return assertNever(r)
  }
}

function ofCalendar(r: CalendarRefusal): string {
  switch (r.code) {
    case 'calendar/year-ends-before-start':
      return 'Last day: the year ends before it starts. Choose a later last day.'
    case 'calendar/year-too-long':
      return `Last day: ${r.days} days are too many for a school year (at most ${r.most}).`
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
      return `Meeting pattern: two meetings overlap on ${/^\d$/.test(r.day) ? WEEKDAY_WORDS[Number(r.day) - 1] : `${r.day} days`} at ${sayMinute(r.startMinute)}.`
    default:
      return assertNever(r)
  }
}

function ofFormats(r: FormatRefusal): string {
  switch (r.code) {
    case 'formats/empty':
      return 'There is nothing to read. Paste rows or choose a file.'
    case 'formats/not-text':
      return 'This file is not text. Save it as CSV and choose that.'
    case 'formats/broken-quotes':
      return `Line ${r.line}: a quotation mark is not closed.`
    case 'formats/too-many-rows':
      return `${r.count} rows are too many at once (at most ${r.most}). Split the file.`
    case 'formats/not-a-calendar':
      return 'This is not an iCalendar (.ics) file. Export the calendar again, or type the closures.'
    case 'formats/no-closures':
      return r.events === 0
        ? 'The calendar holds no events.'
        : `None of the ${count(r.events, 'event')} is a whole day inside this school year.`
    case 'formats/too-large':
      return `The file is too large (at most ${Math.round(r.most / 1000)} kB).`
    default:
      return assertNever(r)
  }
}

function ofLibrary(r: LibraryRefusal): string {
  switch (r.code) {
    case 'library/bad-code':
      return r.value === ''
        ? 'Short code: give 2 to 16 letters and digits.'
        : `Short code: “${r.value}” is taken or is not 2 to 16 letters and digits.`
    case 'library/no-items':
      return 'Add at least one question.'
    case 'library/too-few-options':
      return `Question ${r.item}: give at least two answers, none of them empty.`
    case 'library/same-option-twice':
      return `Question ${r.item}: two answers are the same.`
    case 'library/no-right-answer':
      return `Question ${r.item}: say which answer is right.`
    case 'library/bad-tolerance':
      return `Question ${r.item}: the tolerance has to be 0 or more.`
    case 'library/bad-points':
      return `Question ${r.item}: points have to be above 0 and at most 100.`
    default:
      return assertNever(r)
  }
}

function ofPacing(r: PacingRefusal): string {
  switch (r.code) {
    case 'pacing/empty-plan':
      return 'The plan has no lessons. Add at least one row.'
    case 'pacing/too-many-lessons':
      return `${r.count} lessons are too many for one plan (at most ${r.most}).`
    case 'pacing/bad-length':
      return `${r.lesson}: lengths are whole or half meetings up to 40, with least ≤ usual ≤ most.`
    case 'pacing/unknown-unit':
      return `${r.lesson} belongs to no unit of the plan.`
    case 'pacing/bad-fixed-date':
      return `${r.lesson}: the fixed dates end before they begin. Correct one of them.`
    case 'pacing/fixed-out-of-order':
      return `${r.lesson} is fixed before ${r.before}, which comes earlier in the order. Change one of the dates, or the order.`
    case 'pacing/fixed-on-closure':
      return r.closedBy === null
        ? `${r.lesson}: ${sayDay(r.on)} is not a school day of this year. Choose another date.`
        : `${r.lesson}: the school is closed on ${sayDay(r.on)} (${r.closedBy}). Choose another date.`
    case 'pacing/bad-part':
      return `The part “${r.part}” overlaps another: give each part a later term than the one before, and keep its units together.`
    case 'pacing/bad-order':
      return 'This order leaves out lessons, or names some twice. Reload and order them again.'
    case 'pacing/not-yet-held':
      return `${r.lesson} has not been held that far yet. Record it once its meetings are over.`
    case 'pacing/already-recorded':
      return `${r.lesson} is recorded, and later lessons too. Undo those first to record it anew.`
    case 'pacing/not-laid-out':
      return `${r.lesson} has no meeting in this class, so there is nothing to record.`
    case 'pacing/length-out-of-range':
      return `A lesson lasts from ½ to ${meetingsOf(r.most)} meetings.`
    case 'pacing/unknown-lesson':
      return 'This lesson is no longer in the plan. Reload the desk.'
    case 'pacing/no-such-meeting':
      return `The class has no meeting on ${sayDay(r.on)} at ${sayMinute(r.startMinute)}. Reload the desk.`
    case 'pacing/changed-meanwhile':
      return `Somebody changed this meanwhile: you saw ${r.seen}, now it is ${r.now}. Nothing was overwritten.`
    default:
      return assertNever(r)
  }
}

function ofWire(r: WireRefusal): string {
  switch (r.code) {
    case 'input/invalid':
      return `${r.field ? `${r.field} ` : 'The input '}${r.problem}.`
    case 'input/too-large':
      return `This is too large to send (at most ${Math.round(r.most / 1000)} kB).`
    case 'input/not-json':
      return 'The request could not be read. Reload the page and try again.'
    case 'wire/foreign-origin':
      return 'This request came from another site and was not carried out.'
    case 'wire/unknown-address':
      return 'There is nothing at this address.'
    case 'wire/broken':
      return `Something broke on our side; nothing was changed${r.requestId ? ` (report number ${r.requestId})` : ''}.`
    case 'wire/lost':
      return 'No connection to the server. Check the network; nothing was lost.'
    default:
      return assertNever(r)
  }
}
