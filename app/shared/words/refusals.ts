import { assertNever } from '#core/base'
import type { ComputeRefusal } from '#core/base'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal, WindowField } from '#core/availability'
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
import type { Refusal } from '#shared/contracts/refusal'
import { sayForLearner } from './tryRefusals'
import { sayFileRefusal } from './fileRefusals'
import type { Naming } from './everyonesRefusals'
import { saySkipped } from './skippedEvents'
import { sayLibraryRefusal } from './libraryRefusals'
import { count } from './numbers'
import { ofCalendar, ofPacing } from './planningRefusals'
import {
  sayFilingRefusal,
  sayPlacingRefusal,
  saySeriesRefusal,
  sayStandingRefusal,
} from './classWorkRefusals'
import { sayVersionsRefusal } from './versionRefusals'
import { sayWorkRefusal } from './workRefusals'

export const FIELD_WORDS: Record<WindowField, string> = {
  listed: 'Listed',
  opens: 'Opens',
  due: 'Due',
  closes: 'Closes',
  putAway: 'Put away',
}

export { fieldOf } from './everyonesRefusals'
export type { Naming } from './everyonesRefusals'

/** One plain sentence: what is wrong, where, and what to do. What only teachers meet is said here. */
export function sayRefusal(refusal: Refusal, naming: Naming = {}): string {
  const topic = refusal.code.slice(0, refusal.code.indexOf('/'))
  switch (topic) {
    case 'audience':
      return ofAudience(refusal as AudienceRefusal)
    case 'work':
      return sayWorkRefusal(refusal as WorkRefusal)
    case 'availability':
      return ofAvailability(refusal as AvailabilityRefusal, naming)
    case 'calendar':
      return ofCalendar(refusal as CalendarRefusal)
    case 'formats':
      return ofFormats(refusal as FormatRefusal)
    case 'compute':
      return ofCompute(refusal as ComputeRefusal)
    case 'library':
      return sayLibraryRefusal(refusal as LibraryRefusal)
    case 'placing':
      return sayPlacingRefusal(refusal as PlacingRefusal)
    case 'filing':
      return sayFilingRefusal(refusal as FilingRefusal)
    case 'series':
      return saySeriesRefusal(refusal as SeriesRefusal)
    case 'standing':
      return sayStandingRefusal(refusal as StandingRefusal)
    case 'versions':
      return sayVersionsRefusal(refusal as VersionsRefusal)
    case 'pacing':
      return ofPacing(refusal as PacingRefusal)
    default:
      return sayForLearner(refusal, naming)
  }
}

function ofAudience(r: AudienceRefusal): string {
  switch (r.code) {
    case 'audience/nobody-chosen':
      return 'Nobody is chosen yet. Add a class, a group or a learner.'
    case 'audience/bad-group-rule':
      if (r.part === 'leastItems') return 'Give a number of questions from 1 to 100.'
      if (r.part === 'grades') return 'Choose at least one grade from 1 to 13.'
      return 'Give percentages from 0 to 100, the lower one first, and at least one of them.'
    case 'audience/group-by-rule':
      return 'This group goes by a rule. Change the rule, or make another group.'
    case 'audience/same-target-twice':
      return 'One of the recipients is named twice. Take one of the two off the list.'
    case 'audience/nobody-reached':
      return 'The chosen classes and groups hold no learners. Add learners first, or choose others.'
    case 'audience/bad-exception':
      return 'One of the exceptions is not among your learners, or is named twice. Take it off the list.'
    case 'audience/unknown-target':
      return 'One of the recipients is not there, or not in a class that you teach. Take it off the list.'
    case 'audience/not-in-class':
      return 'One of these learners is not in this class any more. Reload and choose again.'
    case 'audience/bad-rows':
      return (
        `${r.lines.length === 1 ? 'Line' : 'Lines'} ${r.lines.slice(0, 12).join(', ')} ` +
        'cannot be read. Correct them, or leave them out.'
      )
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
      return (
        `${field}: ${r.offset < 0 ? `${-r.offset} before` : `${r.offset} after`} ` +
        `${lesson(r.lessonId)} lies outside the school year. Choose a smaller step ` +
        'or a date.'
      )
    case 'availability/no-more-meetings':
      return (
        `${field}: the class has only ${count(r.left, 'meeting')} left after that day, not ${r.wanted}. ` +
        'Choose fewer, or a date.'
      )
    case 'availability/lesson-not-laid-out':
      return `${field}: ${lesson(r.lessonId)} has no meeting in this class's layout. Choose another lesson or a date.`
    case 'availability/out-of-order':
      return `${field} comes before ${FIELD_WORDS[r.before].toLowerCase()}. Move one of them.`
    case 'availability/no-layout':
      return (
        `${field}: this class has no plan laid out, so nothing can hang on a lesson. ` +
        'Lay a plan first, or give a date.'
      )
    default:
      return assertNever(r)
  }
}

function ofCompute(r: ComputeRefusal): string {
  return r.code === 'compute/busy'
    ? 'Very much is being computed just now. Try again in a moment.'
    : `This is more than can be computed in ${r.seconds} seconds. Take a smaller part of it.`
}

function ofFormats(r: FormatRefusal): string {
  switch (r.code) {
    case 'formats/empty':
      return 'There is nothing to read. Paste rows or choose a file.'
    case 'formats/not-text':
      return 'This file is not text. Save it as CSV and choose that.'
    case 'formats/lost-letters':
      return `Line ${r.line}: letters were lost (they show as �). Save the file as UTF-8 and choose it again.`
    case 'formats/broken-quotes':
      return `Line ${r.line}: a quotation mark is not closed.`
    case 'formats/too-many-rows':
      return `${r.count} rows are too many at once (at most ${r.most}). Split the file.`
    case 'formats/cell-too-long':
      return `Line ${r.line}: a cell is longer than ${r.most} characters. Shorten it.`
    case 'formats/too-many-closures':
      return (
        `This calendar closes more than ${r.most} times in the year, so it holds more than closures. ` +
        'Export those alone.'
      )
    case 'formats/not-a-calendar':
      return 'This is not an iCalendar (.ics) file. Export the calendar again, or type the closures.'
    case 'formats/no-closures':
      return r.events === 0
        ? 'The calendar holds no events.'
        : `None of the ${count(r.events, 'event')} is a whole day inside this school year. ${saySkipped(r.skipped)}`
    case 'formats/not-a-package':
      return 'The file is no package that can be opened. Save or export it again.'
    case 'formats/damaged-package':
      return r.why === 'encrypted'
        ? `“${r.name}” in this package is encrypted. Save it without a password.`
        : `“${r.name}” in this package is damaged. Make or fetch the file once more.`
    case 'formats/unsafe-package':
      return `The package holds a file that leads out of it (“${r.name}”). It is not read.`
    case 'formats/package-too-large':
      return 'The file holds more than can be read at once. Take it in several parts.'
    case 'formats/has-entities':
      return 'The file declares a document type or entities, which may lead elsewhere. It is not read.'
    case 'formats/not-xml':
      return `The file is not well formed: line ${r.line}.`
    case 'formats/no-framework':
      return 'The file holds no framework of standards: CFDocument, CFItems and CFAssociations are looked for.'
    case 'formats/standards-in-circle':
      return `Standards come before each other in a circle: ${r.circle.slice(0, 8).join(', ')}.`
    case 'formats/no-text-headings':
      return 'Table: give it a first line with the columns “learner” and “text”.'
    case 'formats/no-item-headings':
      return 'Which column holds the question is not known: say it, or name the columns in the first row.'
    case 'formats/text-too-long':
      return `The text is longer than ${r.most} characters. Take it in several parts.`
    case 'formats/no-navigation':
      return 'The book has no table of contents, so that nobody knows in what order it stands. It is not read.'
    case 'formats/nothing-known':
      return (
        'Nothing in the file is known here. Questions (QTI), standards (CASE), textbooks (Common Cartridge, EPUB), ' +
        'tables and texts can be read.'
      )
    case 'formats/other-file':
    case 'formats/read-elsewhere':
      return sayFileRefusal(r)
    case 'formats/nothing-taken':
      return `Nothing of the ${count(r.rows, 'part')} can be taken over; the reasons stand beside each.`
    case 'formats/too-large':
      return `The file is too large (at most ${Math.round(r.most / 1000)} kB).`
    default:
      return assertNever(r)
  }
}
